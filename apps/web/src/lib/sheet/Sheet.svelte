<script lang="ts">
  import './sheet.css';
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
