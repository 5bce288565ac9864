<script lang="ts">
  import { pantryIn, type Household, type Settings } from '@tender-crumb/core/household';
  import { asMass } from '../ui/writing.ts';
  import CupForm from './CupForm.svelte';
  import KitchenForm from './KitchenForm.svelte';

  /** How this house measures: its cups, units, words, and what one of a thing weighs. */
  let {
    household,
    measuredOtherwise,
    onkeep,
    onalways,
  }: {
    household: Household;
    /** Bakes that were measured by other cups. */
    measuredOtherwise: number;
    onkeep: (change: Partial<Settings>) => void;
    /** They were not: the cups were always as they are now. */
    onalways: () => void;
  } = $props();

  const pantry = $derived(pantryIn(household));
  const inCups = $derived(pantry.all.filter((i) => i.cup));
  const nameOf = (id: string) => pantry.ingredient(id).name;
  const without = <T,>(words: Readonly<Record<string, T>>, word: string) =>
    Object.fromEntries(Object.entries(words).filter(([w]) => w !== word));
</script>

<section class="bowl p-4" aria-labelledby="kitchen">
  <h2 id="kitchen" class="mb-3">Measures and units</h2>
  <KitchenForm {household} {onkeep} />
  {#if measuredOtherwise > 0}
    <div class="mt-3 flex flex-wrap items-center gap-3 border-t border-line pt-3">
      <span
        >{measuredOtherwise === 1 ? 'One bake was' : `${measuredOtherwise} bakes were`} measured differently.</span
      >
      <button class="knob" type="button" onclick={() => onalways()}
        >No, it was always like this</button
      >
    </div>
  {/if}
</section>
{#if Object.keys(household.words).length > 0}
  <section class="bowl p-4" aria-labelledby="words">
    <h2 id="words">Your words</h2>
    <ul class="mt-1 grid gap-1">
      {#each Object.entries(household.words) as [word, id] (word)}
        <li class="flex flex-wrap items-center justify-between gap-2">
          <span>“{word}” is {pantry.has(id) ? nameOf(id) : id}</span>
          <button
            class="knob"
            type="button"
            onclick={() => onkeep({ words: without(household.words, word) })}
            >Forget “{word}”</button
          >
        </li>
      {/each}
    </ul>
  </section>
{/if}
{#if Object.keys(household.each).length > 0}
  <section class="bowl p-4" aria-labelledby="each">
    <h2 id="each">What one weighs</h2>
    <ul class="mt-1 grid gap-1">
      {#each Object.entries(household.each) as [key, grams] (key)}
        {@const [unit, id] = key.includes(':') ? key.split(':') : ['', key]}
        {@const called = `${unit ? `a ${unit} of ` : 'one '}${pantry.has(id!) ? nameOf(id!) : id}`}
        <li class="flex flex-wrap items-center justify-between gap-2">
          <span>{called} is {asMass(grams)}</span>
          <button
            class="knob"
            type="button"
            aria-label="Forget what {called} weighs"
            onclick={() => onkeep({ each: without(household.each, key) })}>Forget</button
          >
        </li>
      {/each}
    </ul>
  </section>
{/if}
<section class="bowl p-4" aria-labelledby="cup">
  <h2 id="cup">My cup</h2>
  <CupForm {household} kinds={inCups} {nameOf} onkeep={(measures) => onkeep({ measures })} />
</section>
