<script lang="ts">
  import {
    mostPieces,
    pieceGrams,
    scaleTo,
    scaleToPiece,
    setPieces,
    type Formula,
    type ScaleTarget,
  } from '@tender-crumb/core/formula';
  import { gramsTyped, massNumber, mostGrams, numberTyped } from '@tender-crumb/core/quantity';
  import { writing } from '../ui/writing.ts';
  import type { Bench } from './bench.svelte.ts';
  import Explain from '../ui/Explain.svelte';

  let { bench }: { bench: Bench } = $props();

  const each = $derived(pieceGrams(bench.formula, bench.view.pantry));
  const totals = $derived(bench.view.evaluation?.totals);
  let fault = $state('');
  let target = $state<ScaleTarget>('dough');
  const present = $derived(totals && (target === 'dough' ? totals.doughGrams : totals.flourGrams));

  const beyond = 'The amounts you keep already weigh more than that.';

  function divide(text: string) {
    const typed = text.trim() === '' ? undefined : Number(text);
    const sound =
      typed === undefined || (Number.isInteger(typed) && typed > 0 && typed <= mostPieces);
    fault = sound ? '' : `Pieces are whole, 1 to ${mostPieces}.`;
    if (sound) bench.edit(setPieces(bench.formula, typed));
  }

  function scale(text: string, to: (grams: number) => Formula | undefined) {
    const typed = numberTyped(text, writing());
    const grams = typed && gramsTyped(typed, writing());
    const scaled = grams && grams <= mostGrams ? to(grams) : undefined;
    fault = scaled ? '' : grams ? beyond : 'A weight, such as 900.';
    if (scaled) bench.edit(scaled);
  }
  const { measures } = $derived(bench.household);
</script>

<!-- A field shows what is, and what is typed in it is what it shall be. -->
{#snippet weight(
  label: string,
  grams: number | undefined,
  to: (grams: number) => Formula | undefined,
)}
  <input
    class="field w-20 text-right"
    inputmode="decimal"
    aria-label={label}
    disabled={grams === undefined}
    value={grams === undefined ? '' : massNumber(grams, writing())}
    onfocus={(e) => e.currentTarget.select()}
    onchange={(e) => scale(e.currentTarget.value, to)}
  />
{/snippet}

<div
  class="no-print flex flex-wrap items-center gap-x-4 gap-y-2"
  aria-label="How much it makes"
  role="group"
>
  <label class="flex items-center gap-2"
    ><span class="quiet">Makes</span>
    <input
      class="field w-16 text-right"
      inputmode="numeric"
      aria-label="Pieces"
      placeholder="1"
      value={bench.formula.pieces ?? ''}
      onchange={(e) => divide(e.currentTarget.value)}
    /></label
  >
  {#if each !== undefined && (bench.formula.pieces ?? 1) > 1}
    <span class="flex items-center gap-2"
      ><span class="quiet">of</span>
      {@render weight('Raw weight of a piece', each, (g) =>
        scaleToPiece(bench.formula, g, bench.view.pantry, measures),
      )}
      <span class="quiet">{writing().mass} each, <Explain word="raw weight">raw</Explain></span
      ></span
    >
  {/if}
  <span class="flex flex-wrap items-center gap-2"
    ><span class="quiet">in all</span>
    {@render weight('Weight wanted', present, (g) =>
      scaleTo(bench.formula, target, g, bench.view.pantry, measures),
    )}
    <span class="quiet">{writing().mass} of</span>
    <select class="field" aria-label="Of what" bind:value={target}>
      <option value="dough">dough</option>
      <option value="flour">flour</option>
    </select></span
  >
  {#if fault}<span class="text-sm text-act" role="alert">{fault}</span>{/if}
</div>
