<script lang="ts">
  import type { Formula } from '@tender-crumb/core/formula';
  import type { KeptBakeView } from '@tender-crumb/core/view';
  import { asMass, asPercent, say } from '../ui/writing.ts';

  let { rows, corrections }: { rows: KeptBakeView['beside']; corrections: Formula['taken'] } =
    $props();
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
          <td
            class="py-1 pr-3 text-right {row.planned !== undefined &&
            asMass(row.planned) === asMass(row.made)
              ? ''
              : 'font-bold text-act'}">{asMass(row.made)}</td
          >
          <td class="py-1 text-right">{row.percent === undefined ? '' : asPercent(row.percent)}</td>
        </tr>
      {/each}
    </tbody>
  </table>
  {#if corrections.length > 0}
    <h3 class="mt-3 font-semibold">Corrections that were in it</h3>
    <ul class="ml-5 list-disc">
      {#each corrections as { id, reason, basis } (id)}
        <li>{say(reason)} <span class="quiet">{say(basis)}</span></li>
      {/each}
    </ul>
  {/if}
</section>
