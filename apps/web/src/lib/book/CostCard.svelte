<script lang="ts">
  import type { BreadCost } from '@tender-crumb/core/book';
  import type { Money } from '@tender-crumb/core/household';
  import { numberTyped } from '@tender-crumb/core/quantity';
  import { writing } from '../ui/writing.ts';
  import { asMass } from '../ui/writing.ts';
  import { asMoney } from './money.ts';

  let {
    cost,
    money,
    onread,
  }: { cost: BreadCost; money: Money; onread: (kilowattHours: number) => Promise<void> } = $props();

  let typed = $state('');
  let fault = $state('');
  async function read(event: SubmitEvent) {
    event.preventDefault();
    const value = numberTyped(typed, writing());
    if (value === undefined || value < 0 || value > 100) {
      fault = 'Kilowatt hours, 0 to 100.';
      return;
    }
    fault = '';
    await onread(value);
    typed = '';
  }
  const unpriced = $derived(cost.ingredients.unpriced);
</script>

<section class="bowl grid content-start gap-2 p-4" aria-labelledby="cost">
  <h2 id="cost">What it cost</h2>
  {#if cost.priced}
    <p class="text-2xl font-bold">{asMoney(cost.total, money)}</p>
    <p>
      {asMoney(cost.perPortion, money)} a {cost.portions.word}{cost.portions.assumed
        ? ` of ${cost.portions.count}`
        : ''}, {asMoney(cost.perHundred, money)} for 100 g.
      {#if cost.shop !== undefined}
        The shop asks {asMoney(cost.shop, money)} for as much:
        <b
          >{cost.shop > cost.total
            ? `${asMoney(cost.shop - cost.total, money)} less here`
            : `${asMoney(cost.total - cost.shop, money)} more here`}</b
        >.
      {/if}
    </p>
    <dl class="grid grid-cols-[1fr_auto] gap-x-4 gap-y-1">
      <dt>Ingredients</dt>
      <dd class="text-right">{asMoney(cost.ingredients.known, money)}</dd>
      <dt>
        Power <span class="quiet"
          >{cost.power.kilowattHours.toFixed(2)} kWh, {cost.power.read ? 'read' : 'reckoned'}</span
        >
      </dt>
      <dd class="text-right">
        {cost.power.cost === undefined ? '' : asMoney(cost.power.cost, money)}
      </dd>
    </dl>
  {:else}
    <p>No prices yet, so no cost.</p>
  {/if}
  {#if unpriced.length > 0}
    <p class="quiet">
      Without {unpriced.slice(0, 4).join(', ')}{unpriced.length > 4
        ? ` and ${unpriced.length - 4} more`
        : ''}, whose price is not known. <a class="link" href="/pantry/prices">Prices</a>
    </p>
  {:else if cost.power.cost === undefined}
    <p class="quiet">
      Power price not set. <a class="link" href="/pantry/prices">Prices</a>
    </p>
  {/if}
  <p class="quiet">Of about {asMass(cost.grams)} of bread.</p>
  <form class="no-print flex flex-wrap items-end gap-2" onsubmit={read}>
    <label class="quiet grid gap-0.5"
      >Read off a meter, kWh
      <input
        class="field w-28 text-right"
        inputmode="decimal"
        aria-invalid={fault ? 'true' : undefined}
        bind:value={typed}
      /></label
    >
    <button class="knob" disabled={typed.trim() === ''}>Keep it</button>
    {#if fault}<span class="text-sm font-semibold text-act" role="alert">{fault}</span>{/if}
  </form>
</section>
