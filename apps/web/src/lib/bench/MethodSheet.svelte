<script lang="ts">
  import type { Step } from '@tender-crumb/core/formula';
  import { styles } from '@tender-crumb/core/style';
  import { writeStep, type StepSaid } from '@tender-crumb/core/process';
  import { celsiusTyped, hoursText, numberTyped } from '@tender-crumb/core/quantity';
  import { methodView, type LedStep } from '@tender-crumb/core/view';
  import ArrowDown from '@lucide/svelte/icons/arrow-down';
  import ArrowUp from '@lucide/svelte/icons/arrow-up';
  import Trash from '@lucide/svelte/icons/trash-2';
  import { asWarmth, asWarmthTyped, say, writing } from '../ui/writing.ts';
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
  const places = { room: 'room', warm: 'warm place', fridge: 'fridge' } as const;

  let fault = $state('');
  /** A field of a step, as the sheet has it: it is written into the recipe's words. */
  function set(kind: LedStep['kind'], said: StepSaid) {
    const next = writeStep(steps, kind, said);
    fault = 'refused' in next ? next.refused.says : '';
    if (!('refused' in next)) keep(next);
  }
  function number(kind: LedStep['kind'], field: 'minutes' | 'celsius', text: string) {
    const typed = numberTyped(text, writing());
    const value =
      typed === undefined
        ? undefined
        : field === 'celsius'
          ? celsiusTyped(typed, writing())
          : typed;
    const [least, most, says] = limits[field];
    if (value === undefined || !(value >= least && value <= most)) {
      fault = say(says);
      return;
    }
    if (Math.round(value) >= 1) set(kind, { [field]: Math.round(value) });
  }
  const limits = {
    minutes: [1, 14 * 24 * 60, 'Minutes, such as 40.'],
    celsius: [105, 320, 'Set the oven to 105 to 320 °C.'],
  } as const;

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
      No method yet. The bake goes the usual way for {styles[bench.formula.style].inSentence}. Write
      your own steps, one a line.
    </p>
  {/if}
  <div class="overflow-x-auto">
    <table class="w-full" aria-label="The steps that are led">
      <thead>
        <tr class="quiet text-left">
          <th class="font-normal">Step</th>
          <th class="font-normal">Minutes</th>
          <th class="font-normal">Oven</th>
          <th class="font-normal">Where</th>
          <th class="font-normal">Until</th>
        </tr>
      </thead>
      <tbody>
        {#each view.steps as led (led.kind)}
          <tr class="border-t border-line" class:habit={!led.written}>
            <th class="py-1 pr-3 text-left font-semibold">{led.label}</th>
            {#if led.parts.length > 0}
              <td colspan="3">{led.parts.map((p) => say(p)).join(', then ')}</td>
            {:else}
              <td class:habit={!led.minutes.written}>
                {#if led.fields.includes('minutes')}
                  <input
                    class="field w-16 text-right"
                    inputmode="numeric"
                    aria-label="{led.label}, minutes"
                    value={Math.round(led.minutes.value)}
                    onchange={(e) => number(led.kind, 'minutes', e.currentTarget.value)}
                  />
                {:else}{hoursText(led.minutes.value / 60)}{/if}
              </td>
              <td class:habit={!led.celsius?.written}>
                {#if led.celsius && led.fields.includes('celsius')}
                  <input
                    class="field w-16 text-right"
                    inputmode="numeric"
                    aria-label="{led.label}, oven"
                    value={asWarmthTyped(led.celsius.value)}
                    onchange={(e) => number(led.kind, 'celsius', e.currentTarget.value)}
                  />
                {:else if led.celsius}{asWarmth(led.celsius.value)}{/if}
              </td>
              <td class:habit={!led.place?.written}>
                {#if led.place && led.fields.includes('place')}
                  <select
                    class="field"
                    aria-label="{led.label}, where"
                    value={led.place.value}
                    onchange={(e) =>
                      set(led.kind, { place: e.currentTarget.value as StepSaid['place'] & string })}
                  >
                    {#each Object.entries(places) as [id, name] (id)}<option value={id}
                        >{name}</option
                      >{/each}
                  </select>
                {/if}
              </td>
            {/if}
            <td>{led.until ? say(led.until) : ''}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
  {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
  <p class="quiet">Lighter steps are not in the recipe: the usual way for this bread.</p>
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
  .habit,
  .habit .field {
    color: var(--soft);
    font-weight: 400;
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
