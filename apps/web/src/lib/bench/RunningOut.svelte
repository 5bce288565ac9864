<script lang="ts">
  import { makeUpFor, runningOut } from '@tender-crumb/core/substitute';
  import type { Bench } from './bench.svelte.ts';
  import { asMass } from '../ui/writing.ts';

  let { bench }: { bench: Bench } = $props();

  const short = $derived(
    runningOut(bench.view.evaluation?.lines ?? [], bench.household.bags).map((out) => ({
      ...out,
      makeUps: makeUpFor(bench.formula, out, bench.household, bench.belief),
    })),
  );
</script>

{#each short as { bag, wants, left, makeUps } (bag.id)}
  <article class="bowl out p-3" aria-label="{bag.name} runs out">
    <h2>{bag.name} runs out</h2>
    <p><b class="text-lg">{asMass(left)}</b> left, and this takes {asMass(wants)}.</p>
    {#each makeUps as { from, grams, formula } (from.id)}
      <button class="knob no-print" type="button" onclick={() => bench.edit(formula)}>
        Make it up with {asMass(grams)} of {from.name}
      </button>
    {:else}
      <p class="quiet">
        No other open bag has enough of what could stand in. Make a smaller batch, or say in the
        Pantry what else there is.
      </p>
    {/each}
    {#if makeUps.length > 0}
      <p class="quiet">With the water, and the gluten, that keep the dough as it is.</p>
    {/if}
  </article>
{/each}

<style>
  .out {
    display: grid;
    gap: 0.4rem;
    min-width: 0;
    border-left: 5px solid var(--act);
  }
  .out .knob {
    width: 100%;
    justify-content: flex-start;
    white-space: normal;
    text-align: left;
  }
</style>
