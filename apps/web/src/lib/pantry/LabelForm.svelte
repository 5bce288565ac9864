<script lang="ts">
  import {
    allergens,
    catalogue,
    labelProblems,
    type Allergen,
    type Label,
  } from '@tender-crumb/core';
  import { untrack } from 'svelte';
  import { SvelteSet } from 'svelte/reactivity';
  import { api } from '../api.ts';
  import { carbs } from './choice.ts';
  import { faultsOf, numberIn, type Faults } from './faults.ts';
  import KeepRow from './KeepRow.svelte';
  import NameField from './NameField.svelte';
  import NumberField from './NumberField.svelte';
  import Pick from './Pick.svelte';

  let {
    own,
    ondone,
  }: { own?: { readonly id: string; readonly label: Label }; ondone: () => void } = $props();

  const start = untrack(() => own?.label);
  const text = (n: number | undefined) => (n === undefined ? '' : String(n));
  let name = $state(start?.name ?? '');
  let like = $state(start?.like ?? 'bread-flour');
  let school = $state<string>(start?.school ?? 'eu');
  const figures = ['fat', 'carbohydrate', 'sugars', 'fibre', 'protein', 'salt'] as const;
  const optional = ['polyols', 'moisture', 'pricePerKilo'] as const;
  type Field = (typeof figures)[number] | (typeof optional)[number];
  let typed = $state<Record<Field, string>>({
    fat: text(start?.fat),
    carbohydrate: text(start?.carbohydrate),
    sugars: text(start?.sugars),
    fibre: text(start?.fibre),
    protein: text(start?.protein),
    salt: text(start?.salt),
    polyols: text(start?.polyols),
    moisture: text(start?.moisture),
    pricePerKilo: text(start?.pricePerKilo),
  });
  const holds = new SvelteSet<Allergen>(
    start?.allergens ?? catalogue.find((i) => i.id === 'bread-flour')!.allergens,
  );
  let faults = $state.raw<Faults>({});
  let busy = $state(false);

  const labels: Record<Field, string> = {
    fat: 'Fat',
    carbohydrate: 'Carbohydrate',
    sugars: 'of which sugars',
    fibre: 'Fibre',
    protein: 'Protein',
    salt: 'Salt',
    polyols: 'Polyols, if any',
    moisture: 'Moisture, %',
    pricePerKilo: 'Price a kg',
  };

  function setLike(id: string) {
    like = id;
    holds.clear();
    for (const a of catalogue.find((i) => i.id === id)?.allergens ?? []) holds.add(a);
  }

  async function keep(event: SubmitEvent) {
    event.preventDefault();
    const label: Label = {
      name: name.trim(),
      like,
      school: school as Label['school'],
      ...(Object.fromEntries(figures.map((f) => [f, numberIn(typed[f]) ?? NaN])) as Record<
        (typeof figures)[number],
        number
      >),
      ...Object.fromEntries(
        optional.flatMap((f) => {
          const value = numberIn(typed[f]);
          return value === undefined ? [] : [[f, value]];
        }),
      ),
      allergens: allergens.filter((a) => holds.has(a)),
    };
    faults = Object.fromEntries(labelProblems(label).map((p) => [p.field, p.says]));
    if (Object.keys(faults).length > 0) return;
    busy = true;
    try {
      await api(
        own ? 'PUT' : 'POST',
        own ? `/api/v1/ingredients/${own.id}` : '/api/v1/ingredients',
        label,
      );
      ondone();
    } catch (refusal) {
      faults = faultsOf(refusal);
    } finally {
      busy = false;
    }
  }
</script>

<form class="grid gap-3" onsubmit={keep} novalidate>
  <div class="grid gap-3 sm:grid-cols-3">
    <NameField
      label={own ? 'Ingredient' : 'New ingredient'}
      bind:value={name}
      placeholder="Bean flour"
      maxlength={80}
      fault={faults['name'] ?? ''}
    />
    <Pick
      label="It drinks and measures like"
      value={like}
      choices={catalogue.map((i) => [i.id, i.name])}
      onpick={setLike}
    />
    <Pick label="Its label is" value={school} choices={carbs} onpick={(v) => (school = v)} />
  </div>
  <p class="quiet">
    Grams in 100 g, as the label has them{school === 'us'
      ? ': carbohydrate with the fibre in it'
      : ': carbohydrate without the fibre'}.
  </p>
  <div class="grid grid-cols-2 gap-3 sm:grid-cols-3 lg:grid-cols-5">
    {#each [...figures, ...optional] as field (field)}
      <NumberField
        label={labels[field]}
        bind:value={typed[field]}
        placeholder={(optional as readonly string[]).includes(field) ? 'not known' : '0'}
        fault={faults[field] ?? ''}
      />
    {/each}
  </div>
  <fieldset>
    <legend class="quiet">It holds</legend>
    <div class="mt-1 flex flex-wrap gap-x-4 gap-y-1">
      {#each allergens as a (a)}
        <label class="inline-flex items-center gap-1.5">
          <input
            type="checkbox"
            class="size-5 accent-rim"
            checked={holds.has(a)}
            onchange={(e) => (e.currentTarget.checked ? holds.add(a) : holds.delete(a))}
          />
          {a}
        </label>
      {/each}
    </div>
  </fieldset>
  <KeepRow
    {busy}
    what="the ingredient"
    known={own !== undefined}
    fault={faults[''] ?? ''}
    onleave={ondone}
  />
</form>
