<script lang="ts">
  import { refresh } from '$lib/ui/refresh.ts';
  import { nothingLearned } from '@tender-crumb/core/belief';
  import { pantryIn, type Settings, settingsOf } from '@tender-crumb/core/household';
  import { kindOfBag } from '@tender-crumb/core/ingredient';
  import { knownAbsorption } from '@tender-crumb/core/learn';
  import Pencil from '@lucide/svelte/icons/pencil';
  import { deed } from '$lib/sync/deeds.ts';
  import BagForm from '$lib/pantry/BagForm.svelte';
  import BagTable from '$lib/pantry/BagTable.svelte';
  import CupForm from '$lib/pantry/CupForm.svelte';
  import KitchenForm from '$lib/pantry/KitchenForm.svelte';
  import LabelForm from '$lib/pantry/LabelForm.svelte';
  import { saidOfHouse } from '$lib/sync/said.ts';
  import { settledHouse } from '$lib/sync/settled-house.ts';
  import { asMass } from '$lib/ui/writing.ts';
  import type { PageProps } from './$types';
  import Explain from '$lib/ui/Explain.svelte';

  let { data }: PageProps = $props();

  /** As the server has it, with what was settled here and is not there yet. */
  const household = $derived(settledHouse(data.household));
  /** A bag that was written down here just now is told of nothing yet but its kind. */
  const bags = $derived(
    household.bags
      .filter((b) => kindOfBag(b) === 'flour')
      .map((b) => ({
        ...b,
        known:
          data.bags.find((known) => known.id === b.id)?.known ??
          knownAbsorption(
            { ingredient: b.ingredient, bag: b.id },
            nothingLearned,
            pantryIn(household),
          ),
      })),
  );
  const pantry = $derived(pantryIn(household));
  const flours = $derived(pantry.all.filter((i) => i.role === 'flour'));
  const inCups = $derived(pantry.all.filter((i) => i.cup));
  const nameOf = (id: string) => pantry.ingredient(id).name;
  const without = <T,>(words: Readonly<Record<string, T>>, word: string) =>
    Object.fromEntries(Object.entries(words).filter(([w]) => w !== word));
  let said = $state('');
  let fault = $state('');
  let editing = $state<string | undefined>();

  async function keep(change: Partial<Settings>) {
    const { refused, says } = await saidOfHouse(settingsOf(household), change);
    fault = refused ? says : '';
    said = refused ? '' : says;
  }

  /** The bakes that were measured otherwise were not. */
  async function alwaysSo() {
    try {
      await deed('always-so');
      fault = '';
      await kept();
    } catch (refusal) {
      fault = `Not changed: ${(refusal as Error).message}`;
    }
  }

  async function kept() {
    editing = undefined;
    said = 'Remembered.';
    await refresh();
  }
</script>

<svelte:head><title>Pantry · Tender Crumb</title></svelte:head>

<div class="flex flex-wrap items-baseline gap-4">
  <h1>Pantry</h1>
  <a class="link touch" href="/pantry/leavens">Leavens</a>
  <a class="link touch" href="/pantry/kitchen">Hours, ovens, pans and hands</a>
  <a class="link touch" href="/pantry/prices">Prices and power</a>
  <a class="link touch" href="/pantry/devices">Tablets and phones that are in</a>
  <a class="link touch" href="/pantry/figures">The figures that everything rests on</a>
</div>
<p class="quiet min-h-5" role="status">
  {said}{#if fault}<span class="text-act">{fault}</span>{/if}
</p>
<div class="grid items-start gap-4 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
  <div class="grid gap-4">
    <section class="bowl p-4" aria-labelledby="bags">
      <h2 id="bags">Flours by the bag</h2>
      <p class="quiet mb-2">
        <Explain word="thirst">Thirst</Explain>, grams of water that a gram of each drinks: by table
        and label at first, then by what your bakes taught.
      </p>
      {#if bags.length === 0}
        <p class="my-3">
          No bag is told apart yet. Add one, bind a line of a formula to it on the bench, and it
          learns apart from others of its kind. Until then what you bake is learned for the kind.
        </p>
      {:else}
        <BagTable {bags} kinds={flours} {nameOf} onchange={() => void kept()} />
      {/if}
      <div class="mt-4 border-t border-line pt-4">
        <BagForm kinds={flours} ondone={() => void kept()} />
      </div>
    </section>

    <section class="bowl p-4" aria-labelledby="own">
      <h2 id="own">Ingredients of your own</h2>
      <p class="quiet mb-2">
        From the label on the packet: they then stand in formulas as any other.
      </p>
      {#if data.labels.length > 0}
        <ul class="mb-4">
          {#each data.labels as own (own.id)}
            <li class="border-t border-line py-1.5">
              <div class="flex items-center justify-between gap-3">
                <span>
                  <b>{own.label.name}</b>
                  <span class="quiet"
                    >like {nameOf(own.label.like)}, {own.label.protein} % protein, {own.label.fibre} %
                    fibre{own.label.pricePerKilo === undefined
                      ? ''
                      : `, ${own.label.pricePerKilo.toFixed(2)} a kg`}</span
                  >
                </span>
                <button
                  class="touch justify-center rounded p-2 text-soft hover:bg-sunk"
                  type="button"
                  aria-label="Change {own.label.name}"
                  aria-expanded={editing === own.id}
                  onclick={() => (editing = editing === own.id ? undefined : own.id)}
                  ><Pencil size={16} /></button
                >
              </div>
              {#if editing === own.id}
                <div class="mt-2 border-l-4 border-rim bg-sunk p-3">
                  <LabelForm
                    {own}
                    ondone={() => void kept()}
                    onleave={() => (editing = undefined)}
                  />
                </div>
              {/if}
            </li>
          {/each}
        </ul>
      {/if}
      <details>
        <summary class="font-semibold">Add one from its label</summary>
        <div class="mt-3">
          <LabelForm ondone={() => void kept()} />
        </div>
      </details>
    </section>
  </div>

  <div class="grid gap-4">
    <section class="bowl p-4" aria-labelledby="kitchen">
      <h2 id="kitchen" class="mb-3">The kitchen</h2>
      <KitchenForm {household} onkeep={(change) => void keep(change)} />
      {#if data.measuredOtherwise > 0}
        <div class="mt-3 flex flex-wrap items-center gap-3 border-t border-line pt-3">
          <span
            >{data.measuredOtherwise === 1
              ? 'One bake was'
              : `${data.measuredOtherwise} bakes were`} measured otherwise, and
            {data.measuredOtherwise === 1 ? 'keeps' : 'keep'} that.</span
          >
          <button class="knob" type="button" onclick={() => void alwaysSo()}
            >No, it was always as it is now</button
          >
        </div>
      {/if}
    </section>
    {#if Object.keys(household.words).length > 0}
      <section class="bowl p-4" aria-labelledby="words">
        <h2 id="words">Words that were learned</h2>
        <ul class="mt-1 grid gap-1">
          {#each Object.entries(household.words) as [word, id] (word)}
            <li class="flex flex-wrap items-center justify-between gap-2">
              <span>“{word}” is {pantry.has(id) ? nameOf(id) : id}</span>
              <button
                class="knob"
                type="button"
                onclick={() => void keep({ words: without(household.words, word) })}
                >Take “{word}” back</button
              >
            </li>
          {/each}
        </ul>
      </section>
    {/if}
    {#if Object.keys(household.each).length > 0}
      <section class="bowl p-4" aria-labelledby="each">
        <h2 id="each">What one weighs here</h2>
        <ul class="mt-1 grid gap-1">
          {#each Object.entries(household.each) as [key, grams] (key)}
            {@const [unit, id] = key.includes(':') ? key.split(':') : ['', key]}
            {@const called = `${unit ? `a ${unit} of ` : 'one '}${pantry.has(id!) ? nameOf(id!) : id}`}
            <li class="flex flex-wrap items-center justify-between gap-2">
              <span>{called} is {asMass(grams)}</span>
              <button
                class="knob"
                type="button"
                aria-label="Take back what {called} weighs"
                onclick={() => void keep({ each: without(household.each, key) })}
                >Take it back</button
              >
            </li>
          {/each}
        </ul>
      </section>
    {/if}
    <section class="bowl p-4" aria-labelledby="cup">
      <h2 id="cup">My cup</h2>
      <CupForm {household} kinds={inCups} {nameOf} onkeep={(measures) => void keep({ measures })} />
    </section>
  </div>
</div>
