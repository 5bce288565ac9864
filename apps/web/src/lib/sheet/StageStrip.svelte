<script lang="ts">
  import { placeStage, type Stage } from '@tender-crumb/core/formula';
  import { dndzone, TRIGGERS, type DndEvent } from 'svelte-dnd-action';
  import type { Bench } from '../bench/bench.svelte.ts';

  let { bench }: { bench: Bench } = $props();

  type Dragged = CustomEvent<DndEvent<Stage>>;

  /** Where the parts would stand, while one is being dragged. */
  let tried = $state.raw<Stage[] | undefined>();
  const items = $derived(tried ?? [...bench.formula.stages]);

  function drop({ detail: { items: dropped, info } }: Dragged) {
    tried = undefined;
    if (info.trigger !== TRIGGERS.DROPPED_INTO_ZONE) return;
    const at = dropped.findIndex((s) => s.id === info.id);
    bench.edit(placeStage(bench.formula, info.id, at));
  }
</script>

<!-- The parts in the order of work: a dragged one goes elsewhere. -->
<ol
  class="no-print strip"
  aria-label="Parts in their order; drag one to move it"
  use:dndzone={{
    items,
    type: 'parts',
    flipDurationMs: 0,
    dropTargetStyle: {},
    zoneTabIndex: -1,
  }}
  onconsider={(e: Dragged) => (tried = e.detail.items)}
  onfinalize={drop}
>
  {#each items as stage (stage.id)}
    <li aria-label="Drag the part {stage.name}">{stage.name}</li>
  {/each}
</ol>

<style>
  .strip {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem;
    margin-bottom: 0.5rem;
  }
  li {
    display: grid;
    place-items: center;
    min-height: 2.75rem;
    padding: 0 0.9rem;
    border: 1.5px solid var(--rim);
    border-radius: 4px 4px 12px 12px;
    background: var(--sunk);
    font-weight: 600;
    cursor: grab;
    overflow-wrap: anywhere;
  }
</style>
