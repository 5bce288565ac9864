<script lang="ts">
  import {
    editLine,
    measuresFor,
    measuringMethods,
    methods,
    moveLine,
    setMethod,
    swapIngredient,
    type MeasuringMethod,
    type ResolvedLine,
  } from '@tender-crumb/core/formula';
  import { measureText } from '@tender-crumb/core/ingredient';
  import { choicesFor } from '@tender-crumb/core/substitute';
  import Ellipsis from '@lucide/svelte/icons/ellipsis';
  import Lock from '@lucide/svelte/icons/lock';
  import { dragHandle } from 'svelte-dnd-action';
  import { tick } from 'svelte';
  import type { Bench } from '../bench/bench.svelte.ts';
  import RoleMark from '../role/RoleMark.svelte';
  import Cell from './Cell.svelte';
  import IngredientPicker from './IngredientPicker.svelte';
  import { columns } from './typed.ts';
  import { asMass, asMassNumber, say } from '../ui/writing.ts';

  let {
    bench,
    line,
    percent,
    inStage,
    onmenu,
    onswap,
  }: {
    bench: Bench;
    line: ResolvedLine;
    percent: (grams: number) => string;
    /** What tells it from the same thing in the dough. */
    inStage: string;
    /** Asks what can be done with it. */
    onmenu: (at: HTMLElement) => void;
    /** Asks what may take its place, after something that cannot. */
    onswap: (refused: string) => void;
  } = $props();

  const of = $derived(line.of);
  const name = $derived(`${of.name}${inStage}`);
  const typed = $derived(line.typedGrams > 0 || line.corrections.length === 0);
  const choices = $derived(bench.view.bagsOf(line));

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
    else bench.edit(swapIngredient(bench.formula, line.id, id, undefined, bench.view.pantry));
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
</script>

<tr
  onkeydown={move}
  class:lit={bench.lit === line.id}
  class:corrected={line.corrections.length > 0}
  onpointerenter={() => (bench.lit = line.id)}
  onpointerleave={() => (bench.lit = undefined)}
>
  <td class="role">
    {#if typed}
      <span class="grip" use:dragHandle aria-label="Drag {name}" tabindex="-1"
        ><RoleMark role={of.role} /></span
      >
    {:else}
      <RoleMark role={of.role} />
    {/if}
  </td>
  <td class="left name">
    <IngredientPicker
      pantry={bench.view.pantry}
      glutenFree={bench.household.glutenFree}
      value={line.ingredient}
      label="Swap {name}"
      onpick={pick}
    />
    {#if choices.length > 0}
      <select
        class="bag"
        aria-label="Bag of {name}"
        value={line.bag ?? ''}
        onchange={(e) => bind(e.currentTarget.value)}
      >
        <option value="">any bag</option>
        {#each choices as bag (bag.id)}<option value={bag.id}>{bag.name}</option>{/each}
      </select>
    {/if}
  </td>
  <td class="share">
    <Cell
      shown={percent(line.grams)}
      label="Percent of {name}"
      column="percent"
      ontype={(text) => enter('percent', text)}
      onend={() => bench.history.endGroup()}
    />
  </td>
  <td class="grams">
    {#if line.corrections.length > 0 && line.typedGrams > 0}
      <s aria-label="before: {asMass(line.typedGrams)}">{asMassNumber(line.typedGrams)}</s>
    {/if}
    <Cell
      shown={asMassNumber(line.grams)}
      label="Grams of {name}"
      column="grams"
      ontype={(text) => enter('grams', text)}
      onend={() => bench.history.endGroup()}
    />
  </td>
  <td class="left measure">
    <Cell
      shown={say(measureText(line.grams, of, measuresFor(line, bench.household.measures)) ?? '')}
      label="Measure of {name}"
      column="measure"
      ontype={(text) => enter('measure', text)}
      onend={() => bench.history.endGroup()}
    />
    <select
      class="bag no-print"
      aria-label="How {name} is measured"
      value={line.measured}
      onchange={(e) => measure(e.currentTarget.value as MeasuringMethod)}
    >
      {#each measuringMethods as method (method)}
        <option value={method}>{methods[method].label}</option>
      {/each}
    </select>
  </td>
  <td class="acts no-print">
    {#if line.held}<Lock size={14} aria-label="held when scaling" />{/if}
    <button
      type="button"
      aria-label="What to do with {name}"
      aria-haspopup="menu"
      onclick={(e) => onmenu(e.currentTarget)}><Ellipsis size={18} /></button
    >
  </td>
</tr>
