<script lang="ts">
  import { bagProblems, grindIds, grinds, type Bag, type Ingredient } from '@tender-crumb/core';
  import { untrack } from 'svelte';
  import { api } from '../api.ts';
  import { faultsOf, numberIn, type Faults } from './faults.ts';
  import KeepRow from './KeepRow.svelte';
  import NameField from './NameField.svelte';
  import NumberField from './NumberField.svelte';
  import Pick from './Pick.svelte';

  let {
    bag,
    kinds,
    ondone,
  }: {
    /** The bag to say more of; a new one where absent. */
    bag?: Bag;
    kinds: readonly Ingredient[];
    ondone: () => void;
  } = $props();

  const text = (n: number | undefined) => (n === undefined ? '' : String(n));
  const start = untrack(() => bag);
  let name = $state(start?.name ?? '');
  let ingredient = $state(start?.ingredient ?? 'bread-flour');
  let grind = $state<string>(start?.grind ?? 'bought');
  let openedOn = $state(start?.openedOn ?? '');
  let protein = $state(text(start?.protein));
  let moisture = $state(text(start?.moisture));
  let extraction = $state(
    text(start?.extraction === undefined ? undefined : start.extraction * 100),
  );
  let paid = $state(text(start?.price?.paid));
  let kilograms = $state(text(start?.price?.kilograms));
  let finished = $state(start?.finished ?? false);
  let faults = $state.raw<Faults>({});
  let busy = $state(false);

  const percent = (n: number | undefined) => (n === undefined ? undefined : n / 100);

  async function keep(event: SubmitEvent) {
    event.preventDefault();
    const price = { paid: numberIn(paid) ?? 0, kilograms: numberIn(kilograms) };
    const said = {
      name: name.trim(),
      ingredient,
      ...(grind === 'bought' ? {} : { grind: grind as Bag['grind'] }),
      openedOn: openedOn || undefined,
      protein: numberIn(protein),
      moisture: numberIn(moisture),
      extraction: grind === 'sifted' ? percent(numberIn(extraction)) : undefined,
      price:
        price.kilograms === undefined && paid.trim() === ''
          ? undefined
          : { paid: price.paid, kilograms: price.kilograms ?? NaN },
      finished: finished || undefined,
    };
    const wrong = bagProblems(said);
    faults = Object.fromEntries(wrong.map((p) => [p.field, p.says]));
    if (said.name === '') faults = { ...faults, name: 'It needs a name' };
    if (Object.keys(faults).length > 0) return;
    busy = true;
    try {
      await api(bag ? 'PUT' : 'POST', bag ? `/api/v1/bags/${bag.id}` : '/api/v1/bags', said);
      ondone();
    } catch (refusal) {
      faults = faultsOf(refusal);
    } finally {
      busy = false;
    }
  }
</script>

<form class="grid gap-3" onsubmit={keep} novalidate>
  <div class="grid gap-3 sm:grid-cols-[minmax(0,2fr)_minmax(0,2fr)_minmax(0,1.4fr)]">
    <NameField
      label={bag ? 'Bag' : 'New bag'}
      bind:value={name}
      placeholder="Strong white, blue sack"
      maxlength={120}
      fault={faults['name'] ?? ''}
    />
    <Pick
      label="Kind"
      value={ingredient}
      choices={kinds.map((k) => [k.id, k.name])}
      onpick={(v) => (ingredient = v)}
    />
    <Pick
      label="How it is ground"
      value={grind}
      choices={grindIds.map((g) => [g, grinds[g].label])}
      onpick={(v) => (grind = v)}
    />
  </div>
  <div class="grid grid-cols-[repeat(auto-fit,minmax(8.5rem,1fr))] gap-3">
    <NumberField label="Protein, %" bind:value={protein} fault={faults['protein'] ?? ''} />
    <NumberField label="Moisture, %" bind:value={moisture} fault={faults['moisture'] ?? ''} />
    {#if grind === 'sifted'}
      <NumberField
        label="Sieve keeps, %"
        bind:value={extraction}
        placeholder="85"
        fault={faults['extraction'] ?? ''}
      />
    {/if}
    <label class="quiet grid content-start gap-1"
      >Opened on
      <input class="field min-w-0 text-base text-ink" type="date" bind:value={openedOn} />
    </label>
    <NumberField label="Paid" bind:value={paid} fault={faults['price'] ?? ''} />
    <NumberField label="for, kg" bind:value={kilograms} />
  </div>
  <KeepRow
    {busy}
    what="the bag"
    known={bag !== undefined}
    fault={faults[''] ?? ''}
    onleave={ondone}
  >
    {#if bag}
      <label class="inline-flex items-center gap-2">
        <input type="checkbox" class="size-5 accent-rim" bind:checked={finished} /> used up
      </label>
    {/if}
  </KeepRow>
</form>
