<script lang="ts">
  import {
    choicesFor,
    editLine,
    gramsNumber,
    measureText,
    measuresFor,
    measuringMethods,
    methods,
    moveLine,
    removeLine,
    setMethod,
    swapIngredient,
    type MeasuringMethod,
    type ResolvedLine,
  } from '@tender-crumb/core';
  import ArrowLeftRight from '@lucide/svelte/icons/arrow-left-right';
  import Lock from '@lucide/svelte/icons/lock';
  import LockOpen from '@lucide/svelte/icons/lock-open';
  import Trash2 from '@lucide/svelte/icons/trash-2';
  import { tick } from 'svelte';
  import type { Bench } from '../bench/bench.svelte.ts';
  import RoleMark from '../role/RoleMark.svelte';
  import Cell from './Cell.svelte';
  import IngredientPicker from './IngredientPicker.svelte';
  import { columns } from './typed.ts';

  let {
    bench,
    line,
    percent,
    onswap,
  }: {
    bench: Bench;
    line: ResolvedLine;
    percent: (grams: number) => string;
    /** Asks what may take its place; with what was picked and cannot. */
    onswap: (refused?: string) => void;
  } = $props();

  const of = $derived(line.of);
  const choices = $derived(bench.bagsOf(line));

  function enter(column: keyof typeof columns, text: string) {
    const typed = columns[column](text, bench.formula, line, bench.household);
    if ('fault' in typed) return typed.fault;
    bench.edit(typed.formula, `${line.id}:${column}`);
    return undefined;
  }

  /** What cannot take its place is not put there: the reason is shown instead. */
  function pick(id: string) {
    const choice = choicesFor(bench.formula, line.id, bench.household).find((c) => c.id === id);
    if (choice?.refused) onswap(id);
    else bench.edit(swapIngredient(bench.formula, line.id, id, undefined, bench.pantry));
  }

  const bind = (bag: string) =>
    bench.edit(editLine(bench.formula, line.id, { bag: bag || undefined }));
  const measure = (method: MeasuringMethod) =>
    bench.edit(setMethod(bench.formula, line, method, bench.household.measures));
  /** Alt with an arrow moves the line, and the field that is typed in with it. */
  async function move(event: KeyboardEvent) {
    const by = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : 0;
    if (!event.altKey || by === 0) return;
    event.preventDefault();
    event.stopPropagation();
    const label = (event.target as HTMLElement).getAttribute('aria-label');
    bench.edit(moveLine(bench.formula, line.id, by));
    await tick();
    if (label) document.querySelector<HTMLElement>(`[aria-label="${CSS.escape(label)}"]`)?.focus();
  }
  const hold = () =>
    bench.edit(editLine(bench.formula, line.id, { held: line.held ? undefined : true }));
</script>

<tr
  onkeydown={move}
  class:lit={bench.lit === line.id}
  class:corrected={line.corrections.length > 0}
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
      onpick={pick}
    />
    {#if choices.length > 0}
      <select
        class="bag"
        aria-label="Bag of {of.name}"
        value={line.bag ?? ''}
        onchange={(e) => bind(e.currentTarget.value)}
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
      ontype={(text) => enter('percent', text)}
      onend={() => bench.endGroup()}
    />
  </td>
  <td class="grams">
    {#if line.corrections.length > 0 && line.typedGrams > 0}
      <s aria-label="before: {gramsNumber(line.typedGrams)} g">{gramsNumber(line.typedGrams)}</s>
    {/if}
    <Cell
      shown={gramsNumber(line.grams)}
      label="Grams of {of.name}"
      column="grams"
      ontype={(text) => enter('grams', text)}
      onend={() => bench.endGroup()}
    />
  </td>
  <td class="left measure">
    <Cell
      shown={measureText(line.grams, of, measuresFor(line, bench.household.measures)) ?? ''}
      label="Measure of {of.name}"
      column="measure"
      ontype={(text) => enter('measure', text)}
      onend={() => bench.endGroup()}
    />
    <select
      class="bag no-print"
      aria-label="How {of.name} is measured"
      value={line.measured}
      onchange={(e) => measure(e.currentTarget.value as MeasuringMethod)}
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
      onclick={() => onswap()}><ArrowLeftRight size={16} /></button
    >
    <button
      class="hold"
      type="button"
      title={line.held ? 'Held when scaling' : 'Hold when scaling'}
      aria-label="Hold {of.name} when scaling"
      aria-pressed={line.held === true}
      onclick={hold}
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
