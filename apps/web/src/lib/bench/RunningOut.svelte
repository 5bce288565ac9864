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
  <article class="bowl out p-3" aria-label="Not enough {bag.name}">
    <h2>Not enough {bag.name}</h2>
    <p><b class="text-lg">{asMass(left)}</b> left of {asMass(wants)} needed.</p>
    {#each makeUps as { from, grams, formula } (from.id)}
      <button class="knob no-print" type="button" onclick={() => bench.edit(formula)}>
        Add {asMass(grams)} of {from.name}
      </button>
    {:else}
      <p class="quiet">
        No other open bag has enough. Make a smaller batch, or add a bag in the Pantry.
      </p>
    {/each}
    {#if makeUps.length > 0}
      <p class="quiet">Water and gluten are adjusted.</p>
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
