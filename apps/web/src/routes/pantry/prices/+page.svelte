<script lang="ts">
  import {
    isCurrency,
    pantryIn,
    type Money,
    type Settings,
    settingsOf,
  } from '@tender-crumb/core/household';
  import { pricePerKilo } from '@tender-crumb/core/ingredient';
  import { numberTyped } from '@tender-crumb/core/quantity';
  import FindBread from '$lib/book/FindBread.svelte';
  import { asMoney } from '$lib/book/money.ts';
  import { saidOfHouse } from '$lib/sync/said.ts';
  import { settledHouse } from '$lib/sync/settled-house.ts';
  import { writing } from '$lib/ui/writing.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();

  const household = $derived(settledHouse(data.household));
  const pantry = $derived(pantryIn(household));
  const money = $derived(household.money);
  let said = $state('');
  let faults = $state<Record<string, string>>({});

  async function keep(change: Partial<Settings>, field: string) {
    const { refused, says } = await saidOfHouse(settingsOf(household), change);
    faults = { ...faults, [field]: refused ? says : '' };
    said = refused ? '' : says;
  }
  /** A number as it was typed; nothing where nothing is; undefined, with a word at its field, where it is none. */
  function amount(field: string, typed: string): number | null | undefined {
    if (typed.trim() === '') return null;
    const value = numberTyped(typed, writing());
    const fits = value !== undefined && value >= 0 && value <= 1_000_000;
    faults = { ...faults, [field]: fits ? '' : 'An amount, 0 or more.' };
    return fits ? value : undefined;
  }
  const without = <T,>(of: Readonly<Record<string, T>>, key: string) =>
    Object.fromEntries(Object.entries(of).filter(([k]) => k !== key));

  function power(field: 'power' | 'cheapPower', typed: string) {
    const value = amount(field, typed);
    if (value === undefined) return;
    const { [field]: gone, ...rest } = money;
    void gone;
    void keep({ money: (value === null ? rest : { ...rest, [field]: value }) as Money }, field);
  }
  function currency(typed: string) {
    const code = typed.trim().toUpperCase();
    if (!isCurrency(code)) {
      faults = { ...faults, currency: 'Three letters, such as EUR or GBP.' };
      return;
    }
    void keep({ money: { ...money, currency: code } }, 'currency');
  }
  /** A pack: what was paid, and how much was in it. */
  function price(id: string, paidTyped: string, gramsTyped: string) {
    const [paid, grams] = [amount(id, paidTyped), amount(id, gramsTyped)];
    if (paid === undefined || grams === undefined) return;
    if (paid === null && grams === null) {
      void keep({ prices: without(household.prices, id) }, id);
      return;
    }
    if (paid === null || grams === null || grams === 0) return;
    void keep({ prices: { ...household.prices, [id]: { paid, kilograms: grams / 1000 } } }, id);
  }
  function shop(id: string, priceTyped: string, gramsTyped: string) {
    const key = `shop-${id}`;
    const [asked, grams] = [amount(key, priceTyped), amount(key, gramsTyped)];
    if (asked === undefined || grams === undefined) return;
    if (asked === null && grams === null) {
      void keep({ money: { ...money, shop: without(money.shop, id) } }, key);
      return;
    }
    if (asked === null || grams === null || grams === 0) return;
    void keep({ money: { ...money, shop: { ...money.shop, [id]: { price: asked, grams } } } }, key);
  }
  const plain = (value: number | undefined) => (value === undefined ? '' : String(value));
  const bagged = $derived(new Set(household.bags.filter((b) => b.price).map((b) => b.ingredient)));
</script>

<svelte:head><title>Prices · Pantry · Tender Crumb</title></svelte:head>

<div class="mb-3 flex flex-wrap items-baseline gap-4">
  <h1>Prices and power</h1>
</div>
{#if said}<p role="status" class="mb-2">{said}</p>{/if}

{#snippet pair(
  id: string,
  name: string,
  first: readonly [string, string],
  second: readonly [string, string],
  onkeep: (first: string, second: string) => void,
)}
  <form
    class="flex flex-wrap items-end gap-2 border-t border-line py-1.5"
    onchange={(e) => {
      const [a, b] = e.currentTarget.querySelectorAll('input');
      onkeep(a!.value, b!.value);
    }}
    onsubmit={(e) => e.preventDefault()}
  >
    <b class="min-w-[min(11rem,100%)] flex-1 self-center">{name}</b>
    <label class="quiet grid"
      >{first[0]}
      <input
        class="field w-24 text-right"
        inputmode="decimal"
        aria-label="{first[0]}, {name}"
        aria-invalid={faults[id] ? 'true' : undefined}
        value={first[1]}
      /></label
    >
    <label class="quiet grid"
      >{second[0]}
      <input
        class="field w-24 text-right"
        inputmode="decimal"
        aria-label="{second[0]}, {name}"
        value={second[1]}
      /></label
    >
    {#if faults[id]}<span class="w-full text-sm font-semibold text-act" role="alert"
        >{faults[id]}</span
      >{/if}
  </form>
{/snippet}

<div class="grid items-start gap-4 lg:grid-cols-2">
  <section class="bowl grid content-start p-4" aria-labelledby="packs">
    <h2 id="packs" class="mb-2">What a pack costs</h2>
    {#each data.used as id (id)}
      {@const known = household.prices[id]}
      {#if bagged.has(id)}
        <p class="border-t border-line py-1.5">
          <b>{pantry.ingredient(id).name}</b>
          <span class="quiet"
            >by its bags, {household.bags
              .filter((b) => b.ingredient === id && b.price)
              .map((b) => `${asMoney(pricePerKilo(b)!, money)} a kg`)
              .join(', ')}</span
          >
        </p>
      {:else}
        {@render pair(
          id,
          pantry.ingredient(id).name,
          ['Paid', plain(known?.paid)],
          ['Grams in it', known ? plain(Math.round(known.kilograms * 1000)) : ''],
          (paid, grams) => price(id, paid, grams),
        )}
      {/if}
    {/each}
    {#if data.used.length === 0}<p class="quiet">Ingredients appear once you have a recipe.</p>{/if}
  </section>
  <div class="grid gap-4">
    <section class="bowl flex flex-wrap content-start gap-3 p-4" aria-labelledby="power">
      <h2 id="power" class="w-full">Money and power</h2>
      {#each [{ field: 'currency', label: 'Currency', value: money.currency }, { field: 'power', label: 'A kilowatt hour', value: plain(money.power) }, { field: 'cheapPower', label: 'The same, cheap or own', value: plain(money.cheapPower) }] as row (row.field)}
        <label class="quiet grid"
          >{row.label}
          <input
            class="field w-36 text-right"
            inputmode={row.field === 'currency' ? 'text' : 'decimal'}
            aria-invalid={faults[row.field] ? 'true' : undefined}
            value={row.value}
            onchange={(e) =>
              row.field === 'currency'
                ? currency(e.currentTarget.value)
                : power(row.field as 'power' | 'cheapPower', e.currentTarget.value)}
          />
          {#if faults[row.field]}<span class="text-sm font-semibold text-act" role="alert"
              >{faults[row.field]}</span
            >{/if}</label
        >
      {/each}
      <p class="quiet w-full">
        Set the hours of cheap power under <a class="link" href="/pantry/kitchen"
          >hours of the house</a
        >.
      </p>
    </section>
    {#if data.breads.rows.length > 0 || data.find}
      <section class="bowl grid content-start p-4" aria-labelledby="shop">
        <h2 id="shop" class="mb-2">What a shop asks for such a bread</h2>
        <FindBread find={data.find} shown={data.breads.rows.length} total={data.breads.total} />
        {#each data.breads.rows as bread (bread.id)}
          {@const asked = money.shop[bread.id]}
          {@render pair(
            `shop-${bread.id}`,
            bread.name,
            ['Price', plain(asked?.price)],
            ['Grams', plain(asked?.grams)],
            (price, grams) => shop(bread.id, price, grams),
          )}
        {/each}
      </section>
    {/if}
  </div>
</div>
