<script lang="ts">
  import {
    bagProblems,
    grindIds,
    grinds,
    type Bag,
    type Ingredient,
  } from '@tender-crumb/core/ingredient';
  import { untrack } from 'svelte';
  import { nanoid } from 'nanoid';
  import { saidOf } from '../sync/said.ts';
  import Either from '../ui/Either.svelte';
  import { Written } from '../sync/written.svelte.ts';
  import { faultsOf, numberIn, type Faults } from './faults.ts';
  import KeepRow from './KeepRow.svelte';
  import NameField from './NameField.svelte';
  import NumberField from './NumberField.svelte';
  import Pick from './Pick.svelte';
  import { currentIso } from '../clock.ts';

  let {
    bag,
    kinds,
    baked = 0,
    ondone,
    onleave = () => {},
  }: {
    /** The bag to say more of; a new one where absent. */
    bag?: Bag;
    kinds: readonly Ingredient[];
    /** Bakes that it stood in so far. */
    baked?: number;
    ondone: () => void;
    onleave?: () => void;
  } = $props();

  const text = (n: number | undefined) => (n === undefined ? '' : String(n));
  const leftText = (grams: number | undefined) =>
    grams === undefined ? '' : String(Number((grams / 1000).toFixed(2)));
  const start = untrack(() => bag);
  const written = new Written(`bag/${start?.id ?? 'new'}`, {
    name: start?.name ?? '',
    ingredient: start?.ingredient ?? 'bread-flour',
    grind: (start?.grind ?? 'bought') as string,
    openedOn: start?.openedOn ?? '',
    protein: text(start?.protein),
    moisture: text(start?.moisture),
    extraction: text(start?.extraction === undefined ? undefined : start.extraction * 100),
    paid: text(start?.price?.paid),
    kilograms: text(start?.price?.kilograms),
    left: leftText(start?.hasLeft),
    finished: start?.finished ?? false,
    since: 'today' as string,
  });
  /** What of a bag can have come about since it was baked with, or always have been so. */
  const couldBeEither = $derived(
    start !== undefined &&
      baked > 0 &&
      (numberIn(written.fields.moisture) !== start.moisture ||
        (written.fields.openedOn || undefined) !== start.openedOn),
  );
  let faults = $state.raw<Faults>({});
  let busy = $state(false);

  /** Fields of other kinds of bag than flour. */
  const unasked = $derived(
    Object.fromEntries(
      (['kind', 'bestBefore', 'hydration', 'seed', 'keptAt', 'fedOn'] as const)
        .filter((field) => bag?.[field] !== undefined)
        .map((field) => [field, bag![field]]),
    ),
  );

  /** What is in it, said now; as it was said before where nothing else is written. */
  function leftSaid(): Bag['left'] {
    const { left, kilograms } = written.fields;
    if (start && left === leftText(start.hasLeft)) return start.left;
    // A new bag of so many kilos has them; what cannot be is said at the kilos.
    const full = Math.max(0, numberIn(kilograms) ?? 0) || undefined;
    const held = numberIn(left) ?? (start ? undefined : full);
    return held === undefined ? undefined : { grams: held * 1000, at: currentIso() };
  }

  const percent = (n: number | undefined) => (n === undefined ? undefined : n / 100);

  async function keep(event: SubmitEvent) {
    event.preventDefault();
    const { name, ingredient, grind, openedOn, paid, finished, ...typed } = written.fields;
    const price = { paid: numberIn(paid) ?? 0, kilograms: numberIn(typed.kilograms) };
    const said = {
      // What of a bag this form does not ask for stays as it is.
      ...unasked,
      name: name.trim(),
      ingredient,
      ...(grind === 'bought' ? {} : { grind: grind as Bag['grind'] }),
      openedOn: openedOn || undefined,
      protein: numberIn(typed.protein),
      moisture: numberIn(typed.moisture),
      extraction: grind === 'sifted' ? percent(numberIn(typed.extraction)) : undefined,
      price:
        price.kilograms === undefined && paid.trim() === ''
          ? undefined
          : { paid: price.paid, kilograms: price.kilograms ?? NaN },
      finished: finished || undefined,
      left: leftSaid(),
    };
    const wrong = bagProblems(said);
    faults = Object.fromEntries(wrong.map((p) => [p.field, p.says]));
    if (said.name === '') faults = { ...faults, name: 'It needs a name' };
    if (Object.keys(faults).length > 0) return;
    busy = true;
    const always = couldBeEither && written.fields.since === 'always';
    const { id, hasLeft, ...before } = start ?? { id: nanoid(), hasLeft: undefined };
    void hasLeft;
    const kept = await saidOf('bag', id, before, said, always);
    faults = faultsOf(kept);
    busy = false;
    if (kept.refused) return;
    written.done();
    ondone();
  }

  function leave() {
    written.done();
    onleave();
  }
</script>

<form class="grid gap-3" onsubmit={keep} novalidate>
  <div class="grid gap-3 sm:grid-cols-[minmax(0,2fr)_minmax(0,2fr)_minmax(0,1.4fr)]">
    <NameField
      label={bag ? 'Bag' : 'New bag'}
      bind:value={written.fields.name}
      placeholder="Strong white, blue sack"
      maxlength={120}
      fault={faults['name'] ?? ''}
    />
    <Pick
      label="Kind"
      value={written.fields.ingredient}
      choices={kinds.map((k) => [k.id, k.name])}
      onpick={(v) => (written.fields.ingredient = v)}
    />
    <Pick
      label="How it is ground"
      value={written.fields.grind}
      choices={grindIds.map((g) => [g, grinds[g].label])}
      onpick={(v) => (written.fields.grind = v)}
    />
  </div>
  <div class="grid grid-cols-[repeat(auto-fit,minmax(min(8.5rem,100%),1fr))] gap-3">
    <NumberField
      label="Protein, %"
      bind:value={written.fields.protein}
      fault={faults['protein'] ?? ''}
    />
    <NumberField
      label="Moisture, %"
      bind:value={written.fields.moisture}
      fault={faults['moisture'] ?? ''}
    />
    {#if written.fields.grind === 'sifted'}
      <NumberField
        label="Sieve keeps, %"
        bind:value={written.fields.extraction}
        placeholder="85"
        fault={faults['extraction'] ?? ''}
      />
    {/if}
    <label class="quiet grid content-start gap-1"
      >Opened on
      <input
        class="field min-w-0 text-base text-ink"
        type="date"
        bind:value={written.fields.openedOn}
      />
    </label>
    <NumberField label="Paid" bind:value={written.fields.paid} fault={faults['price'] ?? ''} />
    <NumberField label="for, kg" bind:value={written.fields.kilograms} />
    <NumberField
      label="Left in it, kg"
      bind:value={written.fields.left}
      placeholder={start ? 'not known' : 'all of it'}
      fault={faults['left'] ?? ''}
    />
  </div>
  {#if couldBeEither}
    <div class="flex flex-wrap items-center gap-3">
      <span class="font-semibold">Was it always so, or from today?</span>
      <Either
        label="Was it always so, or from today?"
        value={written.fields.since}
        choices={[
          ['today', 'From today'],
          ['always', 'It was always so'],
        ]}
        onpick={(v) => (written.fields.since = v)}
      />
      <span class="quiet">
        {written.fields.since === 'today'
          ? `Its ${baked} ${baked === 1 ? 'bake keeps' : 'bakes keep'} what was known then.`
          : 'Its bakes are learned again.'}
      </span>
    </div>
  {/if}
  <KeepRow {busy} what="the bag" known={bag !== undefined} fault={faults[''] ?? ''} onleave={leave}>
    {#if bag}
      <label class="touch inline-flex items-center gap-2">
        <input type="checkbox" class="size-5 accent-rim" bind:checked={written.fields.finished} /> used
        up
      </label>
    {/if}
  </KeepRow>
</form>
