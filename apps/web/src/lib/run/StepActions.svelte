<script lang="ts">
  import type { RunStep } from '@tender-crumb/core/lead';
  import Undo2 from '@lucide/svelte/icons/undo-2';
  import type { TimedStep } from '@tender-crumb/core/schedule';
  import type { Stirred } from '@tender-crumb/core/starter';
  import { tapsOf } from '@tender-crumb/core/view';
  import { longerBy, laterBy, type Run } from './run.svelte.ts';

  let {
    run,
    step,
    timed,
    feeding,
    now,
  }: {
    run: Run;
    step: RunStep;
    timed: TimedStep | undefined;
    /** What its starter is fed at this step, where the times are worked out. */
    feeding: Stirred | undefined;
    now: Date;
  } = $props();

  /** Minutes until a moment of the plan; none where it is past. */
  const until = (iso: string | undefined): number =>
    iso === undefined ? 0 : Math.max(0, (Date.parse(iso) - now.getTime()) / 60_000);

  const taps = $derived(tapsOf(step));
  const over = $derived(step.standing === 'done' || step.standing === 'skipped');
  const isNow = $derived(step.id === run.view.now.id);
  const waits = $derived(
    step.standing === 'ahead' && (taps.begins === 'tap' || taps.begins === 'itself'),
  );
  /** The step itself asks for something first: how the dough feels, a spoon of water. */
  const asks = $derived(
    step.kind === 'check' && (run.feeling !== undefined || run.view.advice?.action !== 'leave'),
  );
  const beginSays = $derived('beginSays' in taps && taps.beginSays ? taps.beginSays : 'Start now');
</script>

<div class="actions no-print" role="group" aria-label="This step">
  {#if !over && step.kind !== 'taste'}
    {#if waits}
      <button
        class="knob knob-act knob-large"
        type="button"
        data-tap="done"
        onclick={() => run.begin(step)}>{beginSays}</button
      >
    {:else if step.kind === 'weigh'}
      <button
        class="knob knob-act knob-large"
        type="button"
        data-tap="done"
        onclick={() => run.allIn(step)}
        >{run.view.steps.some((s) => s.runs && s.task === step.task)
          ? 'All in, machine started'
          : 'All in'}</button
      >
    {:else}
      <button
        class="knob knob-large"
        class:knob-act={!asks}
        type="button"
        data-tap="done"
        onclick={() => (feeding ? run.fed(step, feeding) : run.done(step))}>{taps.doneSays}</button
      >
    {/if}
    {#if step.standing === 'under-way'}
      <button
        class="knob min-h-14"
        type="button"
        data-tap="later"
        onclick={() => run.longer(step, until(timed?.end) + longerBy)}
        >{longerBy} minutes more</button
      >
    {:else if isNow || waits}
      <button
        class="knob min-h-14"
        type="button"
        data-tap="later"
        onclick={() => run.later(step, until(timed?.start) + laterBy)}
        >Remind me in {laterBy} min</button
      >
    {/if}
    {#if isNow}
      <button class="knob min-h-14" type="button" onclick={() => run.skip(step)}
        >Skip this step</button
      >
    {:else}
      <button class="knob min-h-14" type="button" onclick={() => run.beginHere(step)}
        >Start from here</button
      >
    {/if}
  {/if}
  {#if run.lastTap}
    <button class="knob min-h-14" type="button" data-tap="back" onclick={() => run.takeBackLast()}>
      <Undo2 size={18} aria-hidden="true" /> Undo: {run.lastTap.says}
    </button>
  {/if}
</div>

<style>
  .actions {
    position: sticky;
    bottom: 0;
    z-index: 10;
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem;
    padding: 0.75rem 0;
    background: var(--ground);
    border-top: 1px solid var(--line);
  }
  /* One row on a phone, pushed aside by a thumb: what is done most stands first. */
  @media (max-width: 700px) {
    .actions {
      flex-wrap: nowrap;
      overflow-x: auto;
      margin-inline: -1rem;
      padding-inline: 1rem;
    }
    .actions :global(.knob) {
      flex-shrink: 0;
    }
  }
</style>
