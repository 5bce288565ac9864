<script lang="ts">
  import { placeLine, type ResolvedLine } from '@tender-crumb/core/formula';
  import { dragHandleZone, TRIGGERS, type DndEvent } from 'svelte-dnd-action';
  import type { Bench } from '../bench/bench.svelte.ts';
  import Row from './Row.svelte';

  let {
    bench,
    stage,
    lines,
    percent,
    inStage,
    onmenu,
    onswap,
  }: {
    bench: Bench;
    /** Id of the stage. */
    stage: string;
    /** Its lines, as far as they are drawn. */
    lines: readonly ResolvedLine[];
    percent: (grams: number) => string;
    /** What tells its lines from those of the dough. */
    inStage: string;
    onmenu: (line: ResolvedLine, at: HTMLElement) => void;
    onswap: (line: ResolvedLine, refused: string) => void;
  } = $props();

  type Dragged = CustomEvent<DndEvent<ResolvedLine>>;

  /** Where the lines would stand, while one is being dragged. */
  let tried = $state.raw<ResolvedLine[] | undefined>();
  const items = $derived(tried ?? [...lines]);

  const consider = (e: Dragged) => (tried = e.detail.items);

  function drop({ detail: { items: dropped, info } }: Dragged) {
    tried = undefined;
    if (info.trigger !== TRIGGERS.DROPPED_INTO_ZONE) return;
    // What a correction brought in has no place of its own among the lines that were typed.
    const typed = new Set(bench.formula.stages.flatMap((s) => s.lines.map((l) => l.id)));
    const at = dropped.filter((l) => typed.has(l.id)).findIndex((l) => l.id === info.id);
    if (at >= 0) bench.edit(placeLine(bench.formula, info.id, stage, at));
  }
</script>

<tbody
  use:dragHandleZone={{
    items,
    type: 'lines',
    flipDurationMs: 0,
    dropTargetStyle: {},
    dropTargetClasses: ['sheet-target'],
    zoneTabIndex: -1,
    zoneItemTabIndex: -1,
    // It would make a list of the table: lines are moved by their menu and by Alt with an arrow, too.
    autoAriaDisabled: true,
  }}
  onconsider={consider}
  onfinalize={drop}
>
  {#each items as line (line.id)}
    <Row
      {bench}
      {line}
      {percent}
      {inStage}
      onmenu={(at) => onmenu(line, at)}
      onswap={(refused) => onswap(line, refused)}
    />
  {/each}
</tbody>
