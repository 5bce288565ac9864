<script lang="ts">
  import { invalidateAll } from '$app/navigation';
  import { catalogue, ingredient, settingsOf, type Household } from '@tender-crumb/core';
  import { api } from '$lib/api.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();

  const flours = catalogue.filter((i) => i.role === 'flour');
  const yeasts = catalogue.filter((i) => i.yeast);
  let said = $state('');
  let fault = $state('');
  let bag = $state({ name: '', ingredient: 'bread-flour', openedOn: '' });

  const optional = (text: string): number | undefined =>
    text.trim() === '' ? undefined : Number(text.replace(',', '.'));

  async function keep(change: Partial<Household>) {
    fault = '';
    try {
      await api('PUT', '/api/v1/household', { ...settingsOf(data.household), ...change });
      await invalidateAll();
      said = 'Remembered.';
    } catch (refusal) {
      said = '';
      fault = (refusal as Error).message;
    }
  }

  const measure = (change: Partial<Household['measures']>) =>
    keep({ measures: { ...data.household.measures, ...change } });

  async function addBag(event: SubmitEvent) {
    event.preventDefault();
    fault = '';
    try {
      const { openedOn, ...rest } = bag;
      await api('POST', '/api/v1/bags', { ...rest, ...(openedOn ? { openedOn } : {}) });
      bag = { name: '', ingredient: bag.ingredient, openedOn: '' };
      await invalidateAll();
    } catch (refusal) {
      fault = (refusal as Error).message;
    }
  }

  type Choice = readonly [value: string, name: string];
  const cups: readonly Choice[] = [
    ['us', 'US, 237 ml'],
    ['metric', 'metric, 250 ml'],
    ['imperial', 'imperial, 284 ml'],
  ];
  const spoons: readonly Choice[] = [
    ['us', 'US, 14.8 ml'],
    ['metric', 'metric, 15 ml'],
    ['australian', '20 ml'],
  ];
  const fills: readonly Choice[] = [
    ['spooned', 'spooned in and levelled'],
    ['dipped', 'dipped into the bag'],
    ['fresh', 'fresh-milled, unsettled'],
  ];
  const eggs: readonly Choice[] = [
    ['us-large', 'US large, 50 g'],
    ['us-medium', 'US medium, 44 g'],
    ['eu-medium', 'EU medium, 50 g'],
    ['eu-large', 'EU large, 58 g'],
  ];
</script>

<svelte:head><title>Pantry · Tender Crumb</title></svelte:head>

{#snippet choice(
  label: string,
  value: string,
  choices: readonly Choice[],
  pick: (v: string) => void,
)}
  <label class="quiet grid gap-1"
    >{label}
    <select
      class="field min-w-0 text-base text-ink"
      {value}
      onchange={(e) => pick(e.currentTarget.value)}
    >
      {#each choices as [id, name] (id)}<option value={id}>{name}</option>{/each}
    </select>
  </label>
{/snippet}

<h1>Pantry</h1>
<p class="quiet min-h-5" role="status">
  {said}{#if fault}<span class="text-act">{fault}</span>{/if}
</p>
<div class="grid items-start gap-4 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
  <section class="bowl p-4" aria-labelledby="bags">
    <h2 id="bags">Flours by the bag</h2>
    <p class="quiet mb-2">
      How much water a gram of each drinks: from the catalogue at first, then from what your bakes
      taught.
    </p>
    {#if data.bags.length === 0}
      <p class="my-3">
        No bag is told apart yet. Add one, bind a line of a formula to it on the bench, and it
        learns apart from others of its kind. Until then what you bake is learned for the kind.
      </p>
    {:else}
      <table class="w-full text-[0.95rem]">
        <thead class="quiet text-left">
          <tr>
            <th class="py-1 font-medium">Bag</th>
            <th class="hidden pl-4 text-right font-medium sm:table-cell">catalogue</th>
            <th class="pl-4 text-right font-medium">now</th>
            <th class="pl-4 text-right font-medium">give or take</th>
            <th class="pl-4 text-right font-medium">bakes</th>
          </tr>
        </thead>
        <tbody>
          {#each data.bags as b (b.id)}
            <tr class="border-t border-line">
              <td class="py-1.5">
                <b>{b.name}</b>
                <span class="quiet"
                  >{ingredient(b.ingredient).name}{b.openedOn ? `, opened ${b.openedOn}` : ''}</span
                >
              </td>
              <td class="hidden pl-4 text-right sm:table-cell"
                >{b.known.catalogue.thirst.toFixed(2)}</td
              >
              <td class="pl-4 text-right font-semibold">{b.known.now.thirst.toFixed(3)}</td>
              <td class="pl-4 text-right">{b.known.now.sd.toFixed(3)}</td>
              <td class="pl-4 text-right">{b.known.bakes}</td>
            </tr>
          {/each}
        </tbody>
      </table>
    {/if}
    <form class="mt-4 flex flex-wrap items-end gap-3" onsubmit={addBag}>
      <label class="quiet grid flex-1 basis-52 gap-1"
        >New bag
        <input
          class="field min-w-0 text-base text-ink"
          required
          maxlength="120"
          bind:value={bag.name}
          placeholder="Strong white, blue sack"
        />
      </label>
      <label class="quiet grid gap-1"
        >Kind
        <select class="field min-w-0 text-base text-ink" bind:value={bag.ingredient}>
          {#each flours as flour (flour.id)}<option value={flour.id}>{flour.name}</option>{/each}
        </select>
      </label>
      <label class="quiet grid gap-1"
        >Opened on
        <input class="field min-w-0 text-base text-ink" type="date" bind:value={bag.openedOn} />
      </label>
      <button class="knob" type="submit">Add the bag</button>
    </form>
  </section>

  <section class="bowl grid gap-3 p-4" aria-labelledby="kitchen">
    <h2 id="kitchen">The kitchen</h2>
    <div class="grid gap-3 sm:grid-cols-2">
      {@render choice('Cup', data.household.measures.cup, cups, (v) =>
        measure({ cup: v as Household['measures']['cup'] }),
      )}
      {@render choice('Tablespoon', data.household.measures.tablespoon, spoons, (v) =>
        measure({ tablespoon: v as Household['measures']['tablespoon'] }),
      )}
      {@render choice('Flour goes into the cup', data.household.measures.fill, fills, (v) =>
        measure({ fill: v as Household['measures']['fill'] }),
      )}
      {@render choice('Egg', data.household.measures.egg, eggs, (v) =>
        measure({ egg: v as Household['measures']['egg'] }),
      )}
      {@render choice(
        'Yeast in the cupboard',
        data.household.yeastKept ?? '',
        [['', 'whatever is written'], ...yeasts.map((y): Choice => [y.id, y.name])],
        (v) => keep({ yeastKept: v || undefined }),
      )}
      {@render choice(
        'Scale shows',
        String(data.household.scaleStep),
        [
          ['0.1', '0.1 g'],
          ['1', '1 g'],
          ['2', '2 g'],
          ['5', '5 g'],
        ],
        (v) => keep({ scaleStep: Number(v) }),
      )}
      <label class="quiet grid gap-1"
        >Room, °C
        <input
          class="field min-w-0 text-base text-ink"
          inputmode="decimal"
          value={data.household.room.celsius ?? ''}
          placeholder="not known"
          onchange={(e) =>
            keep({ room: { ...data.household.room, celsius: optional(e.currentTarget.value) } })}
        />
      </label>
      <label class="quiet grid gap-1"
        >Air in the pantry, % humid
        <input
          class="field min-w-0 text-base text-ink"
          inputmode="decimal"
          value={data.household.room.humidity === undefined
            ? ''
            : Math.round(data.household.room.humidity * 100)}
          placeholder="not known"
          onchange={(e) => {
            const h = optional(e.currentTarget.value);
            void keep({
              room: { ...data.household.room, humidity: h === undefined ? undefined : h / 100 },
            });
          }}
        />
      </label>
    </div>
    <p class="quiet">
      A damp season moves an opened bag by one or two points of moisture, which is two to four
      points of water: real, and still less than a badly filled cup.
    </p>
  </section>
</div>
