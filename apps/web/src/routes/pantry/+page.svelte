<script lang="ts">
  import { refresh } from '$lib/ui/refresh.ts';
  import { nothingLearned } from '@tender-crumb/core/belief';
  import { pantryIn } from '@tender-crumb/core/household';
  import { kindOfBag } from '@tender-crumb/core/ingredient';
  import { knownAbsorption } from '@tender-crumb/core/learn';
  import Pencil from '@lucide/svelte/icons/pencil';
  import BagForm from '$lib/pantry/BagForm.svelte';
  import BagTable from '$lib/pantry/BagTable.svelte';
  import LabelForm from '$lib/pantry/LabelForm.svelte';
  import { settledHouse } from '$lib/sync/settled-house.ts';
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
  const nameOf = (id: string) => pantry.ingredient(id).name;
  let said = $state('');
  let editing = $state<string | undefined>();

  async function kept() {
    editing = undefined;
    said = 'Saved.';
    await refresh();
  }
</script>

<svelte:head><title>Pantry · Tender Crumb</title></svelte:head>

<h1>Flours by the bag</h1>
<p class="quiet min-h-5" role="status">{said}</p>
<div class="grid gap-4">
  <section class="bowl p-4" aria-label="Flours by the bag">
    <p class="quiet mb-2">
      <Explain word="absorption">Absorption</Explain>: from the label at first, then from your
      bakes.
    </p>
    {#if bags.length === 0}
      <p class="my-3">
        No bags yet. Add your bag and choose it in a recipe. The forecast then learns how much water
        it takes.
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
    <p class="quiet mb-2">Add a flour or seed from the label on its packet.</p>
    {#if data.labels.length > 0}
      <ul class="mb-4">
        {#each data.labels as own (own.id)}
          <li class="border-t border-line py-1.5">
            <div class="flex items-center justify-between gap-3">
              <span>
                <b>{own.label.name}</b>
                <span class="quiet"
                  >like {nameOf(own.label.like)}, {own.label.protein} % protein, {own.label.fibre} % fibre{own
                    .label.pricePerKilo === undefined
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
                <LabelForm {own} ondone={() => void kept()} onleave={() => (editing = undefined)} />
              </div>
            {/if}
          </li>
        {/each}
      </ul>
    {/if}
    <details>
      <summary class="font-semibold">New ingredient</summary>
      <div class="mt-3">
        <LabelForm ondone={() => void kept()} />
      </div>
    </details>
  </section>
</div>
