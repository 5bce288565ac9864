<script lang="ts">
  import type { RunStep } from '@tender-crumb/core/lead';
  import { coolingOf } from '@tender-crumb/core/style';
  import { slicesFor, usualLength } from '@tender-crumb/core/nutrition';
  import { untilText } from '../plan/when.ts';
  import type { Run } from './run.svelte.ts';

  let {
    run,
    step,
    now,
    time,
  }: { run: Run; step: RunStep; now: Date; time: (iso: string) => string } = $props();

  const cooling = $derived(
    coolingOf(run.view.formula.style, run.view.doughGrams / run.view.loaves),
  );
  const out = $derived(step.begunAt ? Date.parse(step.begunAt) : now.getTime());
  const at = (minutes: number) => new Date(out + minutes * 60_000).toISOString();
  const ready = $derived(out + cooling.cut * 60_000 <= now.getTime());
  let thick = $state(12);
  const sliced = $derived(run.view.loaves === 1 && run.view.formula.style !== 'pizza');
</script>

<div class="grid gap-4">
  {#if cooling.outOfPan > 0}
    <p class="text-lg">
      Out of its tin at <b>{time(at(cooling.outOfPan))}</b>
      <span class="quiet">{untilText(at(cooling.outOfPan), now)}</span>
    </p>
  {/if}
  <p class="text-lg">
    {#if cooling.cut > 0}
      {ready ? 'It may be cut since' : 'It may be cut at'}
      <b>{time(at(cooling.cut))}</b>.
    {/if}
    {cooling.says}
  </p>
  {#if sliced}
    <section class="grid gap-2" aria-label="Slices">
      <label class="flex flex-wrap items-center gap-3 text-lg">
        Slices of
        <input
          type="range"
          min="8"
          max="25"
          step="1"
          bind:value={thick}
          aria-label="Thickness, mm"
        />
        <b class="tabular-nums">{thick} mm</b>
        <span
          >give <b>{slicesFor(usualLength.value, thick)}</b> of a loaf of {usualLength.value} mm</span
        >
      </label>
    </section>
  {/if}
</div>

<style>
  input[type='range'] {
    width: 12rem;
    height: 3.5rem;
    accent-color: var(--rim);
  }
</style>
