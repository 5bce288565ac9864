<script lang="ts">
  import { allergensOf } from '@tender-crumb/core/caution';
  import { besidesOf, otherSchool } from '@tender-crumb/core/formula';
  import { carbSchools, type CarbSchool } from '@tender-crumb/core/household';
  import {
    costOf,
    inHundredGrams,
    nutrition,
    partOf,
    portionsOf,
    slicesFor,
    thicknessOf,
    thinnestSlice,
    usRounded,
    usualLength,
    type Estimate,
    type Nutrition,
  } from '@tender-crumb/core/nutrition';
  import { parseNumber, thinSpace } from '@tender-crumb/core/quantity';
  import Either from '../ui/Either.svelte';
  import type { Bench } from '../bench/bench.svelte.ts';
  import { asMass } from '../ui/writing.ts';

  let { bench }: { bench: Bench } = $props();

  let length = $state(String(usualLength.value));
  let thickness = $state('');
  let fault = $state('');

  const evaluation = $derived(bench.view.evaluation);
  const school = $derived(bench.household.netCarbs);
  const other = $derived(otherSchool(carbSchools, school));
  const portions = $derived(portionsOf(bench.formula));
  const loss = $derived(bench.view.loss);
  const whole = (of: CarbSchool) => nutrition(evaluation!.lines, of, bench.view.kitchen, loss);
  const names = { eu: 'EU label', us: 'US label' } as const;

  function count(text: string) {
    const slices = parseNumber(text);
    if (slices === undefined || !Number.isInteger(slices) || slices < 1 || slices > 200) {
      fault = 'A whole number of slices, 1 to 200';
      return;
    }
    fault = '';
    bench.edit({ ...bench.formula, slices }, 'slices');
  }

  function byThickness(text: string) {
    thickness = text;
    const [mm, loaf] = [parseNumber(text), parseNumber(length)];
    if (mm === undefined || loaf === undefined || mm < 3 || mm > 60 || loaf < 50 || loaf > 600) {
      fault = 'Slices of 3 to 60 mm, a loaf of 50 to 600 mm';
      return;
    }
    fault = '';
    bench.edit({ ...bench.formula, slices: slicesFor(loaf, mm) }, 'slices');
  }

  const one = (e: Estimate, unit: string) =>
    `${e.value < 10 ? e.value.toFixed(1) : Math.round(e.value)}${thinSpace}${unit}`;
  const band = (e: Estimate) =>
    `${e.low < 10 ? e.low.toFixed(1) : Math.round(e.low)} to ${e.high < 10 ? e.high.toFixed(1) : Math.round(e.high)}`;
  const carbohydrate = {
    eu: 'Carbohydrate, without fibre',
    us: 'Carbohydrate, with fibre',
  } as const;

  const rows = (n: Nutrition) =>
    [
      ['Net carbohydrate', n.netCarbs, 'g', undefined],
      [carbohydrate[school], n.carbohydrate, 'g', 'carbohydrate'],
      ['Fibre', n.fibre, 'g', 'fibre'],
      ['Sugars', n.sugars, 'g', 'sugars'],
      ['Protein', n.protein, 'g', 'protein'],
      ['Fat', n.fat, 'g', 'fat'],
      ['Sodium', n.sodium, 'mg', 'sodium'],
      ['Energy', school === 'eu' ? n.kJ : n.kcal, school === 'eu' ? 'kJ' : 'kcal', undefined],
      ...(school === 'eu' ? ([['', n.kcal, 'kcal', undefined]] as const) : []),
    ] as const;
</script>

{#if evaluation}
  {@const all = whole(school)}
  {@const slice = partOf(all, 1 / portions.count)}
  {@const hundred = inHundredGrams(all)}
  {@const allergens = allergensOf(evaluation.lines, besidesOf(bench.formula, bench.view.pantry))}
  {@const cost = costOf(evaluation.lines)}
  <div class="grid gap-3">
    <div class="flex flex-wrap items-end gap-x-4 gap-y-2">
      <label class="quiet grid gap-1"
        >Slices
        <input
          class="field w-20 text-right text-base text-ink"
          inputmode="numeric"
          value={bench.formula.slices ?? ''}
          placeholder={String(portions.count)}
          aria-invalid={fault ? 'true' : undefined}
          oninput={(e) => count(e.currentTarget.value)}
          onblur={() => bench.history.endGroup()}
        />
      </label>
      <label class="quiet grid gap-1"
        >or by thickness, mm
        <input
          class="field w-24 text-right text-base text-ink"
          inputmode="decimal"
          value={thickness}
          placeholder={bench.formula.slices
            ? thicknessOf(Number(length) || usualLength.value, portions.count).toFixed(0)
            : '13'}
          oninput={(e) => byThickness(e.currentTarget.value)}
          onblur={() => bench.history.endGroup()}
        />
      </label>
      <label class="quiet grid gap-1"
        >of a loaf of, mm
        <input
          class="field w-24 text-right text-base text-ink"
          inputmode="decimal"
          bind:value={length}
        />
      </label>
      <Either
        label="School of net carbohydrate"
        value={school}
        choices={carbSchools.map((s) => [s, names[s]])}
        onpick={(s) => bench.settle({ netCarbs: s })}
      />
    </div>
    {#if fault}<p class="text-sm text-act" role="alert">{fault}</p>{/if}
    {#if bench.formula.slices && thicknessOf(Number(length) || usualLength.value, portions.count) < thinnestSlice.value}
      <p class="text-sm text-act">Slices this thin flop.</p>
    {/if}
    <table class="w-full">
      <caption class="sr-only">What a {portions.word} holds</caption>
      <thead class="quiet">
        <tr>
          <th class="text-left font-medium"
            >{portions.assumed
              ? `One of ${portions.count} slices, the usual`
              : `One ${portions.word} of ${portions.count}`}</th
          >
          <th class="text-right font-medium">{asMass(slice.grams)}</th>
          <th class="text-right font-medium">8 in 10 between</th>
          {#if school === 'us'}<th class="text-right font-medium">on a label</th>{/if}
          <th class="text-right font-medium">in 100 g</th>
        </tr>
      </thead>
      <tbody>
        {#each rows(slice) as [name, estimate, unit, label], i (name + unit)}
          <tr class="border-t border-line" class:first={i === 0}>
            <td class="py-0.5">{name}</td>
            <td class="text-right font-semibold">{one(estimate, unit)}</td>
            <td class="quiet text-right">{band(estimate)}</td>
            {#if school === 'us'}
              <td class="text-right"
                >{label
                  ? usRounded(label, estimate.value)
                  : unit === 'kcal'
                    ? usRounded('calories', estimate.value)
                    : ''}</td
              >
            {/if}
            <td class="text-right">{one(rows(hundred)[i]![1], unit)}</td>
          </tr>
        {/each}
      </tbody>
    </table>
    <p class="quiet">
      {names[other]}: {one(partOf(whole(other), 1 / portions.count).netCarbs, 'g')} net a {portions.word}.
      {school === 'us'
        ? 'The US label leaves out fibre and erythritol, and half of other polyols.'
        : 'The EU label leaves out fibre and all polyols.'} The oven takes about {Math.round(
        100 * loss,
      )} % of the dough as water.
    </p>
    <p>
      Allergens, EU list: <b>{allergens.eu.join(', ') || 'none known'}</b>; US list:
      <b>{allergens.us.join(', ') || 'none known'}</b>.
      <span class="quiet">A help, not a declaration.</span>
    </p>
    <p>
      {#if cost.known === 0}
        No price yet: add it on the bag or the label.
      {:else}
        Ingredients cost <b>{cost.known.toFixed(2)}</b>{cost.unpriced.length > 0
          ? `, without ${cost.unpriced.slice(0, 4).join(', ')}${cost.unpriced.length > 4 ? ` and ${cost.unpriced.length - 4} more` : ''}, whose price is not known`
          : ''}.
      {/if}
    </p>
    <p class="quiet">
      Figures are estimates from tables and labels. On insulin or a medical diet, follow your
      clinic.
    </p>
  </div>
{:else}
  <p class="quiet">Add some flour first.</p>
{/if}

<style>
  .first {
    background: var(--sunk);
  }
</style>
