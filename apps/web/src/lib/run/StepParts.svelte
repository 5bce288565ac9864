<script lang="ts">
  import type { RunStep } from '@tender-crumb/core/lead';
  import { foldsAt, partsAt, partText } from '@tender-crumb/core/process';
  import Check from '@lucide/svelte/icons/check';
  import { say } from '../ui/writing.ts';

  let {
    step,
    pace,
    now,
    time,
  }: {
    step: RunStep;
    /** Times the recipe's minutes that its oven takes; 1 where none is known. */
    pace: number;
    now: Date;
    time: (iso: string) => string;
  } = $props();

  const clock = $derived(now.toISOString());
  const parts = $derived(step.parts ? partsAt(step.parts, step.begunAt, clock, pace) : []);
  const folds = $derived(
    step.folds && step.begunAt ? foldsAt(step.folds, step.begunAt, clock) : [],
  );
  /** The last fold whose time has come, and the next. */
  const lastDue = $derived(folds.findLast((f) => f.due));
  const next = $derived(folds.find((f) => !f.due));
</script>

{#if parts.length > 1}
  <ol class="grid gap-1" aria-label="Its parts">
    {#each parts as part, i (i)}
      <li class="part {part.standing}" aria-current={part.standing === 'now' ? 'step' : undefined}>
        <span
          >{#if part.standing === 'over'}<Check
              class="inline"
              size={16}
              strokeWidth={3}
              aria-hidden="true"
            />{/if}
          {say(partText(part))}</span
        >
        <span class="quiet tabular-nums"
          >{part.until && part.standing !== 'over' ? `until ${time(part.until)}` : ''}</span
        >
      </li>
    {/each}
  </ol>
{/if}
{#if folds.length > 0}
  <p class="text-lg" role="status">
    {#if next}
      <b>Fold {folds.indexOf(next) + 1} of {folds.length}</b> at
      <b class="tabular-nums">{time(next.at)}</b>
    {:else}
      Folds done. Let it rise.
    {/if}
    {#if lastDue}
      <span class="quiet block">The last one was due at {time(lastDue.at)}.</span>
    {/if}
  </p>
{/if}

<style>
  .part {
    display: flex;
    justify-content: space-between;
    gap: 1rem;
    padding: 0.35rem 0.6rem;
    border-left: 4px solid var(--line);
  }
  .part.now {
    border-left-color: var(--act);
    background: var(--act-tint);
    font-size: 1.25rem;
    font-weight: 600;
  }
  .part.over {
    color: var(--soft);
  }
</style>
