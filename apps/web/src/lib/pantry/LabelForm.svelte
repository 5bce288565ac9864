<script lang="ts">
  import {
    allergens,
    catalogue,
    labelProblems,
    type Allergen,
    type Label,
    ownIdOf,
  } from '@tender-crumb/core/ingredient';
  import { untrack } from 'svelte';
  import { customAlphabet } from 'nanoid';
  import { saidOf } from '../sync/said.ts';
  import { carbs } from './choice.ts';
  import { Written } from '../sync/written.svelte.ts';
  import { faultsOf, numberIn, type Faults } from './faults.ts';
  import KeepRow from './KeepRow.svelte';
  import NameField from './NameField.svelte';
  import NumberField from './NumberField.svelte';
  import Pick from './Pick.svelte';

  let {
    own,
    ondone,
    onleave = () => {},
  }: {
    own?: { readonly id: string; readonly label: Label };
    ondone: () => void;
    onleave?: () => void;
  } = $props();

  const start = untrack(() => own?.label);
  const text = (n: number | undefined) => (n === undefined ? '' : String(n));
  const allergensOf = (id: string): readonly Allergen[] =>
    catalogue.find((i) => i.id === id)?.allergens ?? [];
  const figures = ['fat', 'carbohydrate', 'sugars', 'fibre', 'protein', 'salt'] as const;
  const optional = ['polyols', 'moisture', 'pricePerKilo'] as const;
  type Field = (typeof figures)[number] | (typeof optional)[number];
  const begun: Record<Field, string> & {
    name: string;
    like: string;
    school: string;
    holds: string[];
  } = {
    name: start?.name ?? '',
    like: start?.like ?? 'bread-flour',
    school: start?.school ?? 'eu',
    holds: [...(start?.allergens ?? allergensOf('bread-flour'))],
    fat: text(start?.fat),
    carbohydrate: text(start?.carbohydrate),
    sugars: text(start?.sugars),
    fibre: text(start?.fibre),
    protein: text(start?.protein),
    salt: text(start?.salt),
    polyols: text(start?.polyols),
    moisture: text(start?.moisture),
    pricePerKilo: text(start?.pricePerKilo),
  };
  const written = new Written(
    untrack(() => `label/${own?.id ?? 'new'}`),
    begun,
  );
  /** Two tablets may name a thing alike: an id of its own has a tail of chance. */
  const tail = customAlphabet('abcdefghijklmnopqrstuvwxyz0123456789', 6);
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
    written.fields.like = id;
    written.fields.holds = [...allergensOf(id)];
  }

  function setHeld(allergen: Allergen, held: boolean) {
    const others = written.fields.holds.filter((a) => a !== allergen);
    written.fields.holds = held ? [...others, allergen] : others;
  }

  function leave() {
    written.done();
    onleave();
  }

  async function keep(event: SubmitEvent) {
    event.preventDefault();
    const { name, like, school, holds, ...typed } = written.fields;
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
      allergens: allergens.filter((a) => holds.includes(a)),
    };
    faults = Object.fromEntries(labelProblems(label).map((p) => [p.field, p.says]));
    if (Object.keys(faults).length > 0) return;
    busy = true;
    const kept = await saidOf('own', own?.id ?? ownIdOf(label.name, tail()), own?.label, label);
    faults = faultsOf(kept);
    busy = false;
    if (kept.refused) return;
    written.done();
    ondone();
  }
</script>

<form class="grid gap-3" onsubmit={keep} novalidate>
  <div class="grid gap-3 sm:grid-cols-3">
    <NameField
      label={own ? 'Ingredient' : 'New ingredient'}
      bind:value={written.fields.name}
      placeholder="Bean flour"
      maxlength={80}
      fault={faults['name'] ?? ''}
    />
    <Pick
      label="Absorbs and measures like"
      value={written.fields.like}
      choices={catalogue.map((i) => [i.id, i.name])}
      onpick={setLike}
    />
    <Pick
      label="Its label is"
      value={written.fields.school}
      choices={carbs}
      onpick={(v) => (written.fields.school = v)}
    />
  </div>
  <p class="quiet">
    Grams in 100 g, as the label has them{written.fields.school === 'us'
      ? ': carbohydrate with the fibre in it'
      : ': carbohydrate without the fibre'}.
  </p>
  <div class="grid grid-cols-2 gap-3 sm:grid-cols-3 lg:grid-cols-5">
    {#each [...figures, ...optional] as field (field)}
      <NumberField
        label={labels[field]}
        bind:value={written.fields[field]}
        placeholder={(optional as readonly string[]).includes(field) ? 'not known' : '0'}
        fault={faults[field] ?? ''}
      />
    {/each}
  </div>
  <fieldset>
    <legend class="quiet">It holds</legend>
    <div class="mt-1 flex flex-wrap gap-x-4 gap-y-1">
      {#each allergens as a (a)}
        <label class="touch inline-flex items-center gap-1.5">
          <input
            type="checkbox"
            class="size-5 accent-rim"
            checked={written.fields.holds.includes(a)}
            onchange={(e) => setHeld(a, e.currentTarget.checked)}
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
    onleave={leave}
  />
</form>
