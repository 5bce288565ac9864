<script lang="ts">
  import { editStage, moveStage, removeStage, type StageHead } from '@tender-crumb/core/formula';
  import ArrowDown from '@lucide/svelte/icons/arrow-down';
  import ArrowUp from '@lucide/svelte/icons/arrow-up';
  import FlaskConical from '@lucide/svelte/icons/flask-conical';
  import Ellipsis from '@lucide/svelte/icons/ellipsis';
  import Trash2 from '@lucide/svelte/icons/trash-2';
  import type { Bench } from '../bench/bench.svelte.ts';
  import type { Deed } from '../ui/deed.ts';
  import { asMassNumber } from '../ui/writing.ts';

  let {
    bench,
    stage,
    grams,
    percent,
    onmenu,
  }: {
    bench: Bench;
    stage: StageHead;
    grams: number;
    percent: string;
    onmenu: (deeds: readonly Deed[], at: HTMLElement) => void;
  } = $props();

  /** One that a correction brought in is given back with it. */
  const own = $derived(bench.formula.stages.some((s) => s.id === stage.id));
  const move = (by: -1 | 1) => {
    const next = moveStage(bench.formula, stage.id, by);
    return { does: () => bench.edit(next), not: next === bench.formula };
  };
  /** The household's starters: what is noted of a rise is learned of the one that it is of. */
  const starters = $derived(
    stage.kind === 'starter'
      ? bench.household.bags.filter((b) => b.kind === 'starter' && !b.finished)
      : [],
  );
  const bound = $derived(starters.find((b) => b.id === stage.bag));
  const bind = (bag: string | undefined): void => {
    const { bag: before, ...head } = stage;
    void before;
    bench.edit({
      ...bench.formula,
      stages: bench.formula.stages.map((s) => {
        if (s.id !== stage.id) return s;
        return { ...head, lines: s.lines, ...(bag === undefined ? {} : { bag }) };
      }),
    });
  };
  const deeds = $derived<readonly Deed[]>([
    ...starters.map((b) => ({
      says: `It is of ${b.name}`,
      icon: FlaskConical,
      does: () => bind(b.id),
      not: b.id === stage.bag,
    })),
    ...(bound
      ? [{ says: 'Of no starter in particular', icon: FlaskConical, does: () => bind(undefined) }]
      : []),
    { says: 'Move the part up', icon: ArrowUp, ...move(-1) },
    { says: 'Move the part down', icon: ArrowDown, ...move(1) },
    {
      says: 'Remove the part and its lines',
      icon: Trash2,
      does: () => bench.edit(removeStage(bench.formula, stage.id)),
      not: bench.formula.stages.length < 2,
    },
  ]);

  function name(event: Event & { currentTarget: HTMLInputElement }) {
    const typed = event.currentTarget.value.trim();
    if (typed) bench.edit(editStage(bench.formula, stage.id, { name: typed }), `${stage.id}:name`);
  }
</script>

<tr class="stage">
  <td class="role"></td>
  <th scope="rowgroup" class="left" aria-label={stage.name}>
    {#if own}
      <input
        class="picker"
        aria-label="Name of the part"
        maxlength="120"
        value={stage.name}
        oninput={name}
        onblur={(e) => {
          e.currentTarget.value = stage.name;
          bench.history.endGroup();
        }}
      />
    {:else}
      {stage.name}
    {/if}
    {#if bound}<span class="quiet font-normal">of {bound.name}</span>{/if}
  </th>
  <td class="share">{percent}</td>
  <td>{asMassNumber(grams)}</td>
  <td class="measure"></td>
  <td class="acts no-print">
    {#if own}
      <button
        type="button"
        aria-label="What to do with the part {stage.name}"
        aria-haspopup="menu"
        onclick={(e) => onmenu(deeds, e.currentTarget)}><Ellipsis size={18} /></button
      >
    {/if}
  </td>
</tr>
