<script lang="ts">
  import {
    sumGrams,
    addIngredient,
    gramsNumber,
    hundred,
    percentOf,
    schoolNames,
    stagesOf,
    type ResolvedLine,
  } from '@tender-crumb/core';
  import type { Bench } from '../bench/bench.svelte.ts';
  import SwapDialog from '../swap/SwapDialog.svelte';
  import IngredientPicker from './IngredientPicker.svelte';
  import { moveByKey } from './keys.ts';
  import Row from './Row.svelte';

  let { bench }: { bench: Bench } = $props();

  /** Line that something is to take the place of. */
  let swapping = $state<string | undefined>();
  let chosen = $state<string | undefined>();

  const totals = $derived(bench.evaluation?.totals);
  const lines = $derived(bench.evaluation?.lines ?? bench.resolved);
  const stages = $derived(
    stagesOf(bench.formula).map((stage) => {
      const own = lines.filter((l) => l.stage === stage.id);
      return { ...stage, own, grams: sumGrams(own) };
    }),
  );
  /** Rows drawn at once: more than a screen holds. Those of a very long formula follow by themselves. */
  const rowsAtOnce = 24;
  let drawn = $state(rowsAtOnce);
  $effect(() => {
    if (drawn >= lines.length) return;
    const timer = setTimeout(() => (drawn += rowsAtOnce), 30);
    return () => clearTimeout(timer);
  });
  const shown = $derived(new Set(lines.slice(0, drawn).map((l) => l.id)));
  const headed = $derived(stages.length > 1 || stages[0]?.kind !== 'dough');
  const school = $derived(bench.household.percentages);

  const percent = (grams: number) => (totals ? percentOf(grams, totals, school).toFixed(1) : '');

  function key(event: KeyboardEvent) {
    if (moveByKey(event)) event.preventDefault();
  }

  function add(id: string) {
    bench.edit(addIngredient(bench.formula, id, 0));
    bench.lit = undefined;
  }

  function swap(line: ResolvedLine, refused?: string) {
    chosen = refused;
    swapping = line.id;
  }
</script>

<!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
<table class="sheet" onkeydown={key}>
  <caption class="sr-only">The formula, in percent, grams and measures</caption>
  <thead>
    <tr>
      <th scope="col"><span class="sr-only">Role</span></th>
      <th scope="col" class="left">Ingredient</th>
      <th scope="col">% {totals?.dryBase ? 'of dry base' : schoolNames[school]}</th>
      <th scope="col">Grams</th>
      <th scope="col" class="left">Measure</th>
      <th scope="col"><span class="sr-only">Hold or remove</span></th>
    </tr>
  </thead>
  {#each stages as stage (stage.id)}
    <tbody>
      {#if headed}
        <tr class="stage">
          <td class="role"></td>
          <th scope="rowgroup" class="left">{stage.name}</th>
          <td>{stage.kind === 'dough' ? '' : percent(stage.grams)}</td>
          <td>{gramsNumber(stage.grams)}</td>
          <td class="measure"></td>
          <td class="acts no-print"></td>
        </tr>
      {/if}
      {#each stage.own.filter((l) => shown.has(l.id)) as line (line.id)}
        <Row {bench} {line} {percent} onswap={(refused) => swap(line, refused)} />
      {/each}
    </tbody>
  {/each}
  <tfoot>
    <tr class="no-print">
      <td class="role"></td>
      <td class="left" colspan="3">
        <IngredientPicker
          pantry={bench.pantry}
          glutenFree={bench.household.glutenFree}
          label="Add an ingredient"
          placeholder="Add an ingredient …"
          onpick={add}
        />
      </td>
    </tr>
    {#if totals}
      <tr class="sum">
        <td class="role"></td>
        <td class="left">Dough</td>
        <td>{percent(totals.doughGrams)}</td>
        <td>{gramsNumber(totals.doughGrams)}</td>
        <td class="left quiet measure">
          100 % = {gramsNumber(hundred(totals, school))} g {totals.dryBase ? 'dry base' : 'flour'}
        </td>
      </tr>
    {/if}
  </tfoot>
</table>
<SwapDialog {bench} bind:line={swapping} bind:chosen />

<style>
  .sheet {
    width: 100%;
    border-collapse: collapse;
    table-layout: fixed;
  }
  /* The rows are their own component: these hold inside the sheet, whoever draws them. */
  .sheet :global {
    th,
    td {
      padding: 0 0.2rem;
      text-align: right;
      vertical-align: middle;
    }
    .left,
    td.role {
      text-align: left;
    }
    thead th {
      padding: 0.3rem 0.55rem;
      font-size: 0.8rem;
      font-weight: 600;
      color: var(--soft);
    }
    th:nth-child(1) {
      width: 2.4rem;
    }
    thead th:nth-child(3) {
      width: 6.8rem;
    }
    thead th:nth-child(4) {
      width: 7rem;
    }
    thead th:nth-child(5) {
      width: 14.2rem;
    }
    thead th:nth-child(6) {
      width: 6.2rem;
    }
    tbody tr {
      border-top: 1px solid var(--line);
    }
    tbody tr.lit {
      background: var(--sunk);
    }
    tr.corrected {
      box-shadow: inset 4px 0 0 var(--act);
    }
    .stage th,
    .stage td {
      padding: 0.35rem 0.55rem;
      background: var(--sunk);
      font-size: 0.9rem;
      font-weight: 650;
    }
    .name {
      display: grid;
    }
    .name .bag {
      justify-self: start;
      max-width: 100%;
      min-height: 1.6rem;
      margin: 0 0 0.2rem 0.15rem;
    }
    .bag {
      padding: 0.15rem 0.2rem;
      border-radius: 3px;
      background: transparent;
      font-size: 0.78rem;
      color: var(--soft);
      text-overflow: ellipsis;
    }
    .bag option {
      background: var(--enamel);
      color: var(--ink);
    }
    td.measure {
      white-space: nowrap;
    }
    td.measure .cell {
      display: inline-flex;
      width: 8.4rem;
    }
    td.measure .bag {
      width: 5.3rem;
    }
    .grams {
      font-weight: 650;
      font-size: 1.05rem;
    }
    td.grams {
      position: relative;
    }
    .grams s {
      position: absolute;
      left: 0.1rem;
      top: 50%;
      translate: 0 -50%;
      color: var(--soft);
      font-size: 0.8rem;
      font-weight: 450;
      pointer-events: none;
    }
    .acts {
      white-space: nowrap;
    }
    .acts button {
      padding: 0.4rem;
      border-radius: 4px;
      color: var(--soft);
    }
    .acts button:hover {
      background: var(--sunk);
      color: var(--ink);
    }
    .acts button[aria-pressed='true'] {
      color: var(--rim);
    }
    tfoot tr {
      border-top: 1px solid var(--line);
    }
    .sum td {
      padding: 0.45rem 0.55rem;
      border-top: 2px solid var(--rim);
      font-weight: 650;
    }
    .sum .quiet {
      font-weight: 450;
    }
    @media (max-width: 900px) {
      thead th:nth-child(3),
      thead th:nth-child(4) {
        width: 5.6rem;
      }
      thead th:nth-child(5) {
        width: 13.4rem;
      }
      td.measure .cell {
        width: 8rem;
      }
      td.measure .bag {
        width: 4.9rem;
      }
    }
    @media (max-width: 760px) {
      thead th:nth-child(3) {
        width: 4.1rem;
        padding-inline: 0.2rem;
      }
      thead th:nth-child(4) {
        width: 4.2rem;
        padding-inline: 0.2rem;
      }
      thead th:nth-child(6) {
        width: 4.6rem;
      }
      thead th:nth-child(1),
      thead th:nth-child(5),
      .measure,
      .role,
      .acts .hold {
        display: none;
      }
      tbody tr {
        height: 3rem;
      }
    }
  }
</style>
