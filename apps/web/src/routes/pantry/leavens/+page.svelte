<script lang="ts">
  import { pacesOfJar, spoiledStarter } from '@tender-crumb/core/starter';
  import { pantryIn } from '@tender-crumb/core/household';
  import type { Bag } from '@tender-crumb/core/ingredient';
  import Pencil from '@lucide/svelte/icons/pencil';
  import LeavenForm from '$lib/leavens/LeavenForm.svelte';
  import Starter from '$lib/leavens/Starter.svelte';
  import { settledHouse } from '$lib/sync/settled-house.ts';
  import { sync } from '$lib/sync/sync.svelte.ts';
  import { refresh } from '$lib/ui/refresh.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();

  const household = $derived(settledHouse(data.household));
  const pantry = $derived(pantryIn(household));
  const flours = $derived(pantry.all.filter((i) => i.role === 'flour'));
  const yeasts = $derived(pantry.all.filter((i) => i.yeast));
  const of = (kind: Bag['kind']) =>
    household.bags
      .filter((b) => b.kind === kind)
      .sort((a, b) => Number(a.finished ?? false) - Number(b.finished ?? false));
  const starters = $derived(of('starter'));
  const packets = $derived(of('yeast'));
  /** Newest first, with what was fed here just now. */
  const fed = (bag: Bag) =>
    [...sync.feedings(data.feedings[bag.id] ?? [], bag.id)].sort((a, b) => (a.at < b.at ? 1 : -1));
  let editing = $state('');
  const past = (bag: Bag) =>
    bag.bestBefore !== undefined && bag.bestBefore < (household.today ?? '');
</script>

<svelte:head><title>Starters and yeast · Tender Crumb</title></svelte:head>

<h1>Starters and yeast</h1>
<p class="quiet mb-3">Choose one in a recipe, and the book learns its pace.</p>
<div class="grid items-start gap-4 lg:grid-cols-2">
  <div class="grid gap-4">
    {#if starters.length === 0}
      <p class="bowl p-4 text-lg">
        No starter yet. Add yours and what you feed it. Then we tell you when to feed it for a bake,
        and how much.
      </p>
    {/if}
    {#each starters as bag (bag.id)}
      <Starter
        {bag}
        feedings={fed(bag)}
        {household}
        {flours}
        paces={pacesOfJar(data.belief, data.household, bag.id)}
        zone={data.zone}
        onchange={refresh}
      />
    {/each}
    <p class="quiet">{spoiledStarter} Wash hands, and under rings.</p>
  </div>
  <div class="grid gap-4">
    <section class="bowl grid gap-2 p-4" aria-labelledby="yeasts">
      <h2 id="yeasts">Yeast</h2>
      {#if packets.length === 0}
        <p>No packet yet: rises are learned for each kind of yeast.</p>
      {/if}
      <ul>
        {#each packets as bag (bag.id)}
          <li class="border-t border-line py-1.5">
            <div class="flex items-center justify-between gap-2">
              <span class:opacity-50={bag.finished}>
                <b>{bag.name}</b>
                <span class="quiet"
                  >{pantry.ingredient(bag.ingredient).name}{bag.finished
                    ? ', used up'
                    : ''}{bag.bestBefore ? ' ·' : ''}</span
                >
                {#if bag.bestBefore}
                  <span class={past(bag) ? 'text-act' : 'quiet'}
                    >best before {bag.bestBefore}{past(bag)
                      ? ': test a pinch in warm sugar water; it should foam in ten minutes'
                      : ''}</span
                  >
                {/if}
              </span>
              <button
                class="touch justify-center rounded p-2 text-soft hover:bg-sunk"
                type="button"
                aria-label="Change {bag.name}"
                aria-expanded={editing === bag.id}
                onclick={() => (editing = editing === bag.id ? '' : bag.id)}
                ><Pencil size={18} /></button
              >
            </div>
            {#if editing === bag.id}
              <LeavenForm
                kind="yeast"
                {bag}
                kinds={yeasts}
                ondone={() => {
                  editing = '';
                  void refresh();
                }}
              />
            {/if}
          </li>
        {/each}
      </ul>
      <div class="border-t border-line pt-3">
        <LeavenForm kind="yeast" kinds={yeasts} ondone={() => void refresh()} />
      </div>
    </section>
    <section class="bowl grid gap-2 p-4" aria-labelledby="new-starter">
      <h2 id="new-starter">Another starter</h2>
      <LeavenForm kind="starter" kinds={flours} ondone={() => void refresh()} />
    </section>
  </div>
</div>
