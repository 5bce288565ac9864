<script lang="ts">
  import type { RunStep } from '@tender-crumb/core/lead';
  import type { TimedStep } from '@tender-crumb/core/schedule';
  import { slicesFor, usualLength } from '@tender-crumb/core/nutrition';
  import { untilText } from '../plan/when.ts';
  import type { Run } from './run.svelte.ts';

  let {
    run,
    step,
    timed,
    now,
    time,
  }: {
    run: Run;
    step: RunStep;
    timed: TimedStep | undefined;
    now: Date;
    time: (iso: string) => string;
  } = $props();

  const { outOfPan, cut, ready } = $derived(run.view.cooled(step, timed?.start, now.toISOString()));
  let thick = $state(12);
</script>

<div class="grid gap-4">
  {#if outOfPan}
    <p class="text-lg">
      Out of the tin at <b>{time(outOfPan)}</b>
      <span class="quiet">{untilText(outOfPan, now)}</span>
    </p>
  {/if}
  <p class="text-lg">
    {#if cut}
      {ready ? 'Ready to cut since' : 'Ready to cut at'}
      <b>{time(cut)}</b>.
    {/if}
    {run.view.cooling.says}
  </p>
  {#if run.view.sliced}
    <section class="grid gap-2" aria-label="Slices">
      <label class="flex flex-wrap items-center gap-3 text-lg">
        Slices
        <input
          type="range"
          min="8"
          max="25"
          step="1"
          bind:value={thick}
          aria-label="Thickness, mm"
        />
        <b class="tabular-nums">{thick} mm</b>
        <span><b>{slicesFor(usualLength.value, thick)}</b> from a {usualLength.value} mm loaf</span>
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
