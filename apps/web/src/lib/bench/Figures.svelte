<script lang="ts">
  import { gramsText, percentText, type Totals } from '@tender-crumb/core';

  let { totals }: { totals: Totals } = $props();

  const figures = $derived([
    [
      'Flour',
      gramsText(totals.flourGrams),
      totals.dryBase ? 'dry base: gluten, fibre, meal' : 'all of it',
    ],
    ['Poured water', percentText(totals.hydrationTotalFlour), 'water only, of all flour'],
    ['Of added flour', percentText(totals.hydrationAddedFlour), 'the other school'],
    [
      'Effective water',
      percentText(totals.effectiveHydration),
      'with that in milk, egg, butter, honey',
    ],
    ['Salt', percentText(totals.saltPercent), 'of all flour'],
    ['Pre-fermented', percentText(totals.prefermentedFlourPercent), 'of all flour'],
    ['Protein', percentText(totals.proteinPercent), 'of the flours and gluten'],
  ] as const);
</script>

<dl class="figures">
  {#each figures as [name, value, says] (name)}
    <div title={says}>
      <dt>{name}</dt>
      <dd>{value}</dd>
    </div>
  {/each}
</dl>

<style>
  .figures {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem 1.5rem;
  }
  dt {
    font-size: 0.78rem;
    color: var(--soft);
  }
  dd {
    font-weight: 650;
  }
</style>
