<script lang="ts">
  import {
    hydration,
    inSchool,
    otherSchool,
    schoolNames,
    tellingWater,
    type Totals,
  } from '@tender-crumb/core/formula';
  import { percentageSchools, waterSchools, type Settings } from '@tender-crumb/core/household';
  import Either from '../ui/Either.svelte';
  import { asMass, asPercent } from '../ui/writing.ts';
  import Explain from '../ui/Explain.svelte';
  import type { GlossaryWord } from '../ui/glossary.ts';

  let {
    totals,
    settings,
    onsettle,
  }: { totals: Totals; settings: Settings; onsettle: (change: Partial<Settings>) => void } =
    $props();

  const school = $derived(settings.percentages);
  const other = $derived(otherSchool(percentageSchools, school));
  const water = $derived(tellingWater(totals, settings.water));
  const otherWater = $derived(otherSchool(waterSchools, water));
  const of = (s: typeof school) => (totals.dryBase ? 'of the dry base' : schoolNames[s]);

  type Shown = readonly [name: string, value: string, says: string, word?: GlossaryWord];
  const figures = $derived<readonly Shown[]>([
    [
      totals.dryBase ? 'Dry base' : 'Flour',
      asMass(totals.flourGrams),
      totals.dryBase ? 'gluten, fibre, meal' : `${asMass(totals.addedFlourGrams)} added as flour`,
    ],
    [
      'Hydration',
      asPercent(hydration(totals, school, water)),
      `${schoolNames[water]}, ${of(school)}`,
      'hydration',
    ],
    [
      water === 'poured' ? 'Counting all liquids' : 'Only poured water',
      asPercent(hydration(totals, school, otherWater)),
      `${schoolNames[otherWater]}, ${of(school)}`,
    ],
    [
      other === 'added' ? 'Only flour you add' : 'All flour',
      asPercent(hydration(totals, other, water)),
      `${schoolNames[water]}, ${of(other)}`,
    ],
    ['Salt', asPercent(inSchool(totals.saltPercent, totals, school)), of(school)],
    ['Pre-fermented', asPercent(totals.prefermentedFlourPercent), 'of all flour', 'pre-fermented'],
    ['Protein', asPercent(totals.proteinPercent), 'of flours and gluten'],
  ]);
</script>

<div class="flex flex-wrap items-start justify-between gap-3">
  <dl class="figures">
    {#each figures as [name, value, says, word] (name)}
      <div>
        <dt>
          {#if word}<Explain {word}>{name}</Explain>{:else}{name}{/if}
        </dt>
        <dd>{value}</dd>
        <dd class="says">{says}</dd>
      </div>
    {/each}
  </dl>
  <div class="no-print">
    <Either
      label="School of water"
      value={settings.water}
      choices={waterSchools.map((w) => [w, schoolNames[w]])}
      onpick={(w) => onsettle({ water: w })}
    />
  </div>
</div>

<style>
  .figures {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem 1.5rem;
  }
  dt {
    font-size: 0.78rem;
    color: var(--soft);
  }
  dd {
    font-weight: 650;
  }
  .says {
    font-size: 0.75rem;
    font-weight: 450;
    color: var(--soft);
  }
</style>
