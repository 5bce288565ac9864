<script lang="ts">
  import type { Formula } from '@tender-crumb/core/formula';
  import type { DeviceId } from '@tender-crumb/core/machine';
  import { onMount, untrack } from 'svelte';
  import { isTimed } from '@tender-crumb/core/schedule';
  import { planBeside } from './planner.ts';
  import type { Planning } from './planning.svelte.ts';
  import { timeText } from './when.ts';
  import { currentTime } from '../clock.ts';

  let {
    planning,
    breads,
  }: {
    planning: Planning;
    breads: ReadonlyArray<{
      readonly id: string;
      readonly name: string;
      readonly formula?: Formula;
      readonly device?: DeviceId;
    }>;
  } = $props();

  /** When each would be ready, begun as soon as it can be; null where it cannot be told. */
  let ready = $state.raw<Readonly<Record<string, string | null>>>({});
  const offered = untrack(() => breads.filter((b) => b.formula));

  onMount(() => {
    let gone = false;
    void (async () => {
      for (const { id, formula, device } of offered) {
        const { household, belief, zone } = planning.data;
        const given = {
          plans: [{ id, formulaId: id, version: 0 }],
          formulas: { [id]: formula! },
          devices: device ? { [id]: device } : {},
          household,
          belief,
          zone,
        };
        const answer = (await planBeside(given, currentTime()).catch(() => undefined))?.answer;
        if (gone) return;
        const end = answer && isTimed(answer) ? (answer.steps.at(-1)?.end ?? null) : null;
        ready = { ...ready, [id]: end };
      }
    })();
    return () => {
      gone = true;
    };
  });
</script>

<section class="bowl p-4" aria-labelledby="could-bake">
  <h2 id="could-bake" class="text-lg">What could I bake, and when is it ready?</h2>
  <p class="quiet">If you start as soon as you are up.</p>
  <ul class="mt-2">
    {#each offered as { id, name } (id)}
      <li
        class="grid grid-cols-[minmax(0,1fr)_7rem_auto] items-center gap-3 border-t border-line py-1.5"
      >
        <span class="text-lg font-semibold">{name}</span>
        <b class="text-lg tabular-nums"
          >{ready[id] === undefined
            ? '…'
            : ready[id] === null
              ? 'not told'
              : timeText(ready[id], planning.data.zone, planning.now)}</b
        >
        <button
          class="knob touch"
          type="button"
          aria-label="Plan {name}"
          onclick={() => void planning.add(id, {})}>Plan it</button
        >
      </li>
    {/each}
  </ul>
</section>
