<script lang="ts">
  import type { BakeRecord } from '@tender-crumb/core/book';
  import { pantryIn, type Household } from '@tender-crumb/core/household';
  import { asMass, asPercent, say } from '../ui/writing.ts';

  let { record, household }: { record: BakeRecord; household: Household } = $props();

  const planned = $derived(new Map(record.planned.map((l) => [l.id, l])));
  const flour = $derived(record.totals?.flourGrams ?? 0);
  const bagOf = (id: string | undefined) => household.bags.find((b) => b.id === id)?.name;
  const rows = $derived(
    record.made.map((line) => {
      const plan = planned.get(line.id);
      return {
        id: line.id,
        name: pantryIn(household).has(line.ingredient)
          ? pantryIn(household).ingredient(line.ingredient).name
          : line.of.name,
        bag: bagOf(line.bag),
        planned: plan?.grams,
        made: line.grams,
        off: plan === undefined || asMass(plan.grams) !== asMass(line.grams),
      };
    }),
  );
</script>

<section class="bowl overflow-x-auto p-4" aria-labelledby="beside">
  <h2 id="beside">As baked, beside as planned</h2>
  <table class="w-full">
    <thead class="quiet text-left"
      ><tr
        ><th class="font-normal"></th><th class="text-right font-normal">planned</th><th
          class="text-right font-normal">baked</th
        ><th class="text-right font-normal">of flour</th></tr
      ></thead
    >
    <tbody>
      {#each rows as row (row.id)}
        <tr class="border-t border-line">
          <td class="py-1 pr-3"
            >{row.name}
            {#if row.bag}<span class="quiet">{row.bag}</span>{/if}</td
          >
          <td class="py-1 pr-3 text-right"
            >{row.planned === undefined ? 'added' : asMass(row.planned)}</td
          >
          <td class="py-1 pr-3 text-right {row.off ? 'font-bold text-act' : ''}"
            >{asMass(row.made)}</td
          >
          <td class="py-1 text-right">{flour > 0 ? asPercent((100 * row.made) / flour) : ''}</td>
        </tr>
      {/each}
    </tbody>
  </table>
  {#if record.meant.taken.length > 0}
    <h3 class="mt-3 font-semibold">Corrections that were in it</h3>
    <ul class="ml-5 list-disc">
      {#each record.meant.taken as { id, reason, basis } (id)}
        <li>{say(reason)} <span class="quiet">{say(basis)}</span></li>
      {/each}
    </ul>
  {/if}
</section>
