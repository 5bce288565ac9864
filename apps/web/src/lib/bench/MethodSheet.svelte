<script lang="ts">
  import type { Step } from '@tender-crumb/core/formula';
  import { styles } from '@tender-crumb/core/style';
  import { methodView } from '@tender-crumb/core/view';
  import ArrowDown from '@lucide/svelte/icons/arrow-down';
  import ArrowUp from '@lucide/svelte/icons/arrow-up';
  import Trash from '@lucide/svelte/icons/trash-2';
  import { say } from '../ui/writing.ts';
  import type { Bench } from './bench.svelte.ts';

  let { bench }: { bench: Bench } = $props();

  const steps = $derived<readonly Step[]>(bench.formula.steps ?? []);
  const view = $derived(
    methodView({
      formula: bench.formula,
      device: bench.view.device,
      household: bench.household,
      belief: bench.belief,
    }),
  );
  const words = { followed: 'followed', changed: 'changed', 'not-used': 'not used' } as const;
  const parts = $derived(view.read.filter((r) => r.parts.length > 0));

  function keep(next: readonly Step[]) {
    const { steps: before, ...rest } = bench.formula;
    void before;
    bench.edit(next.length > 0 ? { ...rest, steps: [...next] } : rest);
  }
  /** A step's words, typed anew: what was read of the old ones goes with them. */
  function write(i: number, says: string) {
    const text = says.trim().slice(0, 2000);
    if (text === '') return keep(steps.filter((_, k) => k !== i));
    if (text === steps[i]?.says) return;
    const { stage } = steps[i] ?? {};
    keep(steps.map((step, k) => (k === i ? { says: text, ...(stage ? { stage } : {}) } : step)));
  }
  function move(i: number, by: -1 | 1) {
    const next = [...steps];
    const [step] = next.splice(i, 1);
    next.splice(i + by, 0, step!);
    keep(next);
  }
  let added = $state('');
  function add(event: SubmitEvent) {
    event.preventDefault();
    const says = added.trim().slice(0, 2000);
    if (says === '') return;
    keep([...steps, { says }]);
    added = '';
  }
</script>

<section class="no-print mt-4 grid gap-2" aria-labelledby="method">
  <h2 id="method">The method</h2>
  {#if steps.length === 0}
    <p class="quiet">
      No method yet: it is led as {styles[bench.formula.style].inSentence} usually is. Write how you do
      it, a step a line, and the bake goes by that.
    </p>
  {/if}
  {#if parts.length > 0 || view.folds}
    <p class="quiet">
      {[
        ...parts.map((r) => `${r.label}: ${r.parts.map((p) => say(p)).join(', then ')}`),
        ...(view.folds ? [view.folds] : []),
      ].join(' · ')}
    </p>
  {/if}
  <ol class="grid gap-2">
    {#each view.rows as row, i (`${i} ${row.says}`)}
      <li class="step">
        <textarea
          class="field field-sizing-content w-full"
          aria-label="Step {i + 1}"
          maxlength="2000"
          value={row.says}
          onchange={(e) => write(i, e.currentTarget.value)}></textarea>
        <span class="flex">
          <button
            class="icon"
            type="button"
            aria-label="Step {i + 1} up"
            disabled={i === 0}
            onclick={() => move(i, -1)}><ArrowUp size={18} aria-hidden="true" /></button
          >
          <button
            class="icon"
            type="button"
            aria-label="Step {i + 1} down"
            disabled={i === steps.length - 1}
            onclick={() => move(i, 1)}><ArrowDown size={18} aria-hidden="true" /></button
          >
          <button
            class="icon"
            type="button"
            aria-label="Leave step {i + 1} out"
            onclick={() => keep(steps.filter((_, k) => k !== i))}
            ><Trash size={18} aria-hidden="true" /></button
          >
        </span>
        <ul class="col-span-2 grid gap-0.5 text-sm">
          {#each row.sentences as { says, led, why }, k (k)}
            <li data-led={led}>
              <b class="led {led}">{words[led]}</b>
              {#if row.sentences.length > 1}<span class="quiet">{says}</span>{/if}
              {#if why}<span>{say(why)}</span>{/if}
            </li>
          {/each}
        </ul>
      </li>
    {/each}
  </ol>
  <form class="flex flex-wrap items-end gap-2" onsubmit={add}>
    <label class="quiet grid grow gap-1"
      >One step more
      <input
        class="field text-base text-ink"
        maxlength="2000"
        placeholder="Bake at 230 °C for 20 minutes with the lid on, then 20 without."
        bind:value={added}
      /></label
    >
    <button class="knob" type="submit">Add it</button>
  </form>
</section>

<style>
  .step {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0.25rem 0.5rem;
  }
  .icon {
    display: inline-flex;
    align-items: center;
    justify-content: center;
    min-width: 2.25rem;
    min-height: 2.25rem;
    color: var(--rim);
  }
  .icon:disabled {
    color: var(--line);
  }
  .led {
    font-weight: 600;
  }
  .led.changed {
    color: var(--act);
  }
  .led.not-used {
    color: var(--soft);
  }
  @media (pointer: coarse) {
    .icon {
      min-width: 2.75rem;
      min-height: 2.75rem;
    }
  }
</style>
