<script lang="ts">
  import { stateAt } from '@tender-crumb/core/dough';
  import type { StyleId } from '@tender-crumb/core/style';
  import DoughDrawing from './DoughDrawing.svelte';

  let {
    style,
    kind,
    at,
    onpick,
  }: {
    style: StyleId;
    kind: 'ball' | 'sheet' | 'paste' | 'rubber';
    /** Points of the level where it was said to be. */
    at: number | undefined;
    onpick: (points: number) => void;
  } = $props();

  /** One for each state that a finger tells apart, at its middle. */
  const drawn = [-12, -7, -2, 2, 6, 11, 16] as const;
  const picked = $derived(at === undefined ? undefined : stateAt(at).id);
</script>

<ul class="doughs" aria-label="How a dough can look">
  {#each drawn as points (points)}
    {@const state = stateAt(points, style)}
    <li>
      <button
        type="button"
        aria-pressed={state.id === picked}
        title={state.says}
        onclick={() => onpick(points)}
      >
        <DoughDrawing {points} {kind} label={state.says} />
        <span>{state.short}</span>
      </button>
    </li>
  {/each}
</ul>

<style>
  .doughs {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(4.6rem, 1fr));
    gap: 0.35rem;
  }
  button {
    display: grid;
    gap: 0.2rem;
    width: 100%;
    min-height: 5.2rem;
    padding: 0.9rem 0.35rem 0.3rem;
    border: 2px solid var(--line);
    border-radius: 3px 3px 12px 12px;
    background: var(--enamel);
    font-weight: 600;
    text-align: center;
  }
  button[aria-pressed='true'] {
    border-color: var(--rim);
    background: var(--sunk);
  }
</style>
