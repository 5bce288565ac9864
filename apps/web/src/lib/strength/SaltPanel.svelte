<script lang="ts">
  import { saltLadder } from '@tender-crumb/core/correct';
  import { inSchool, otherSchool, schoolNames } from '@tender-crumb/core/formula';
  import { percentageSchools } from '@tender-crumb/core/household';
  import { portionsOf } from '@tender-crumb/core/nutrition';
  import { thinSpace } from '@tender-crumb/core/quantity';
  import type { Bench } from '../bench/bench.svelte.ts';
  import { asMass, asPercent } from '../ui/writing.ts';

  let { bench }: { bench: Bench } = $props();

  const evaluation = $derived(bench.view.evaluation);
  const portions = $derived(portionsOf(bench.formula));
  const school = $derived(bench.household.percentages);
  const other = $derived(otherSchool(percentageSchools, school));
  const ladder = $derived(
    evaluation
      ? saltLadder(evaluation.lines, evaluation.totals, bench.view.kitchen, portions.count)
      : [],
  );
  const signed = (share: number) =>
    Math.abs(share) < 0.005
      ? 'as now'
      : `${Math.abs(Math.round(100 * share))} % ${share > 0 ? 'faster' : 'slower'}`;
</script>

{#if evaluation}
  {@const { totals } = evaluation}
  {@const within = evaluation.lines.filter(
    (l) => l.of.role !== 'salt' && (l.of.addedSalt ?? 0) > 0 && l.grams > 0,
  )}
  <div class="grid gap-3">
    <p>
      Salt is <b>{asPercent(inSchool(totals.saltPercent, totals, school))}</b>
      {schoolNames[school]} ({asPercent(inSchool(totals.saltPercent, totals, other))}
      {schoolNames[other]}){within.length > 0
        ? `, what is inside the ${within.map((l) => l.of.name).join(' and ')} counted`
        : ''}. With the natural sodium of milk, egg and flour: {asPercent(
        inSchool(totals.saltEquivalentPercent, totals, school),
      )}.
    </p>
    <table class="w-full text-sm">
      <caption class="quiet text-left"
        >What a change does, in one {portions.word} of {portions.count}{portions.assumed
          ? ' (the usual; say how many under Slices)'
          : ''}</caption
      >
      <thead class="quiet">
        <tr>
          <th class="text-left font-medium">Salt</th>
          <th class="text-right font-medium">change</th>
          <th class="text-right font-medium">sodium</th>
          <th class="text-right font-medium">rises</th>
        </tr>
      </thead>
      <tbody>
        {#each ladder as rung (rung.label)}
          <tr class="border-t border-line" class:now={rung.now}>
            <td class="py-1">{asPercent(inSchool(rung.percent, totals, school))} {rung.label}</td>
            <td class="text-right"
              >{rung.now ? '' : `${rung.change > 0 ? '+' : ''}${asMass(rung.change)}`}</td
            >
            <td class="text-right">{Math.round(rung.sodium)}{thinSpace}mg</td>
            <td class="text-right">{signed(rung.riseFaster)}</td>
          </tr>
        {/each}
      </tbody>
    </table>
    <label class="flex items-center gap-2">
      <input
        type="checkbox"
        class="size-5 accent-rim"
        checked={bench.household.lowSodium}
        onchange={(e) => bench.settle({ lowSodium: e.currentTarget.checked })}
      />
      Low salt: we only ever ask for less.
    </label>
    <p class="quiet">
      Half the salt works: a faster, slacker dough with less taste. On a low-salt diet, follow your
      clinic.
    </p>
  </div>
{:else}
  <p class="quiet">Add some flour first.</p>
{/if}

<style>
  .now {
    background: var(--sunk);
    font-weight: 650;
  }
</style>
