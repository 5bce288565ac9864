<script lang="ts">
  import {
    addIngredient,
    editLine,
    gramsNumber,
    hundred,
    measureText,
    measuresFor,
    measuringMethods,
    methods,
    percentOf,
    removeLine,
    schoolNames,
    setMethod,
    stagesOf,
    swapIngredient,
    type MeasuringMethod,
    type ResolvedLine,
  } from '@tender-crumb/core';
  import ArrowLeftRight from '@lucide/svelte/icons/arrow-left-right';
  import Lock from '@lucide/svelte/icons/lock';
  import LockOpen from '@lucide/svelte/icons/lock-open';
  import Trash2 from '@lucide/svelte/icons/trash-2';
  import type { Bench } from '../bench/bench.svelte.ts';
  import RoleMark from '../role/RoleMark.svelte';
  import SwapDialog from '../swap/SwapDialog.svelte';
  import Cell from './Cell.svelte';
  import IngredientPicker from './IngredientPicker.svelte';
  import { moveByKey } from './keys.ts';
  import { columns } from './typed.ts';

  let { bench }: { bench: Bench } = $props();

  /** Line that something is to take the place of. */
  let swapping = $state<string | undefined>();

  const totals = $derived(bench.evaluation?.totals);
  const lines = $derived(bench.evaluation?.lines ?? bench.resolved);
  const stages = $derived(
    stagesOf(bench.formula).map((stage) => {
      const own = lines.filter((l) => l.stage === stage.id);
      return { ...stage, own, grams: own.reduce((sum, l) => sum + l.grams, 0) };
    }),
  );
  const headed = $derived(stages.length > 1 || stages[0]?.kind !== 'dough');
  const school = $derived(bench.household.percentages);

  const percent = (grams: number) => (totals ? percentOf(grams, totals, school).toFixed(1) : '');

  function enter(column: keyof typeof columns, line: ResolvedLine, text: string) {
    const typed = columns[column](text, bench.formula, line, bench.household);
    if ('fault' in typed) return typed.fault;
    bench.edit(typed.formula, `${line.id}:${column}`);
    return undefined;
  }

  function key(event: KeyboardEvent) {
    if (moveByKey(event)) event.preventDefault();
  }

  function add(id: string) {
    bench.edit(addIngredient(bench.formula, id, 0));
    bench.lit = undefined;
  }

  const swap = (line: ResolvedLine, id: string) =>
    bench.edit(swapIngredient(bench.formula, line.id, id, undefined, bench.pantry));
  const bind = (line: ResolvedLine, bag: string) =>
    bench.edit(editLine(bench.formula, line.id, { bag: bag || undefined }));
  const measure = (line: ResolvedLine, method: MeasuringMethod) =>
    bench.edit(setMethod(bench.formula, line, method, bench.household.measures));
  const hold = (line: ResolvedLine) =>
    bench.edit(editLine(bench.formula, line.id, { held: line.held ? undefined : true }));
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
      {#each stage.own as line (line.id)}
        {@const { of } = line}
        {@const choices = bench.bagsOf(line)}
        <tr
          class:lit={bench.lit === line.id}
          class:slipped={line.slips.length > 0}
          onpointerenter={() => (bench.lit = line.id)}
          onpointerleave={() => (bench.lit = undefined)}
        >
          <td class="role"><RoleMark role={of.role} /></td>
          <td class="left name">
            <IngredientPicker
              pantry={bench.pantry}
              glutenFree={bench.household.glutenFree}
              value={line.ingredient}
              label="Swap {of.name}"
              onpick={(id) => swap(line, id)}
            />
            {#if choices.length > 0}
              <select
                class="bag"
                aria-label="Bag of {of.name}"
                value={line.bag ?? ''}
                onchange={(e) => bind(line, e.currentTarget.value)}
              >
                <option value="">no bag told apart</option>
                {#each choices as bag (bag.id)}<option value={bag.id}>{bag.name}</option>{/each}
              </select>
            {/if}
          </td>
          <td>
            <Cell
              shown={percent(line.grams)}
              label="Percent of {of.name}"
              column="percent"
              ontype={(text) => enter('percent', line, text)}
              onend={() => bench.endGroup()}
            />
          </td>
          <td class="grams">
            {#if line.slips.length > 0 && line.typedGrams > 0}
              <s aria-label="before: {gramsNumber(line.typedGrams)} g"
                >{gramsNumber(line.typedGrams)}</s
              >
            {/if}
            <Cell
              shown={gramsNumber(line.grams)}
              label="Grams of {of.name}"
              column="grams"
              ontype={(text) => enter('grams', line, text)}
              onend={() => bench.endGroup()}
            />
          </td>
          <td class="left measure">
            <Cell
              shown={measureText(line.grams, of, measuresFor(line, bench.household.measures)) ?? ''}
              label="Measure of {of.name}"
              column="measure"
              ontype={(text) => enter('measure', line, text)}
              onend={() => bench.endGroup()}
            />
            <select
              class="bag no-print"
              aria-label="How {of.name} is measured"
              value={line.measured}
              onchange={(e) => measure(line, e.currentTarget.value as MeasuringMethod)}
            >
              {#each measuringMethods as method (method)}
                <option value={method}>{methods[method].label}</option>
              {/each}
            </select>
          </td>
          <td class="acts no-print">
            <button
              type="button"
              title="Something in its place"
              aria-label="Put something in place of {of.name}"
              disabled={line.grams === 0}
              onclick={() => (swapping = line.id)}><ArrowLeftRight size={16} /></button
            >
            <button
              class="hold"
              type="button"
              title={line.held ? 'Held when scaling' : 'Hold when scaling'}
              aria-label="Hold {of.name} when scaling"
              aria-pressed={line.held === true}
              onclick={() => hold(line)}
            >
              {#if line.held}<Lock size={16} />{:else}<LockOpen size={16} />{/if}
            </button>
            <button
              type="button"
              title="Remove"
              aria-label="Remove {of.name}"
              onclick={() => bench.edit(removeLine(bench.formula, line.id))}
            >
              <Trash2 size={16} />
            </button>
          </td>
        </tr>
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
<SwapDialog {bench} bind:line={swapping} />

<style>
  .sheet {
    width: 100%;
    border-collapse: collapse;
    table-layout: fixed;
  }
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
  tr.slipped {
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
    margin: -0.3rem 0 0.2rem 0.15rem;
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
  td.measure :global(.cell) {
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
  @media (max-width: 760px) {
    thead th:nth-child(3) {
      width: 3.7rem;
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
</style>
