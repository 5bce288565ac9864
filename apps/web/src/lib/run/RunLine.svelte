<script lang="ts">
  import { runStepKinds, type RunStep } from '@tender-crumb/core/lead';
  import Check from '@lucide/svelte/icons/check';
  import type { TimedStep } from '@tender-crumb/core/schedule';

  let {
    steps,
    now,
    shown,
    timeOf,
    time,
    onpick,
  }: {
    steps: readonly RunStep[];
    /** The step that is to be done. */
    now: string;
    shown: string;
    timeOf: (step: RunStep) => TimedStep | undefined;
    time: (iso: string) => string;
    onpick: (step: string) => void;
  } = $props();

  let line = $state<HTMLOListElement>();
  // The step that is looked at stands in sight, however long the line is.
  $effect(() => {
    void shown;
    const at = line?.querySelector<HTMLElement>('[aria-current]');
    if (!at || !line) return;
    // The first that is seen is seen whole.
    const left = at.offsetLeft - line.clientWidth / 3;
    const first = [...line.children].find((step) => (step as HTMLElement).offsetLeft >= left);
    line.scrollLeft = (first as HTMLElement).offsetLeft;
  });
</script>

<nav class="no-print" aria-label="Steps of the bake">
  <ol bind:this={line} class="line">
    {#each steps as step (step.id)}
      {@const timed = timeOf(step)}
      {@const over = step.standing === 'done' || step.standing === 'skipped'}
      {@const when =
        step.standing === 'skipped'
          ? 'skipped'
          : step.doneAt
            ? time(step.doneAt)
            : step.id === now
              ? 'now'
              : timed && step.kind !== 'check'
                ? time(timed.start)
                : ''}
      <li class:over class:now={step.id === now}>
        <button
          type="button"
          aria-label="{step.label} {when}"
          aria-current={step.id === shown ? 'step' : undefined}
          onclick={() => onpick(step.id)}
        >
          <span class="name"
            >{#if over}<Check size={15} strokeWidth={3} aria-hidden="true" />{/if}{runStepKinds[
              step.kind
            ].short}</span
          >
          <span class="quiet tabular-nums">{when || ' '}</span>
        </button>
      </li>
    {/each}
  </ol>
</nav>

<style>
  .line {
    position: relative;
    display: flex;
    overflow-x: auto;
    scrollbar-width: thin;
  }
  li {
    flex: 1 0 auto;
    border-top: 5px solid var(--line);
  }
  li.over {
    border-top-color: var(--rim);
  }
  li.now {
    border-top-color: var(--act);
  }
  button {
    display: grid;
    width: 100%;
    min-width: 4.75rem;
    min-height: 3.5rem;
    padding: 0.3rem 0.6rem;
    text-align: left;
    align-content: start;
  }
  .name {
    display: flex;
    align-items: center;
    gap: 0.2rem;
    font-weight: 600;
    line-height: 1.15;
  }
  .over .name {
    color: var(--soft);
  }
  button[aria-current] {
    background: var(--sunk);
    border-radius: 0 0 12px 12px;
  }
  button[aria-current] .name {
    color: var(--rim);
  }
</style>
