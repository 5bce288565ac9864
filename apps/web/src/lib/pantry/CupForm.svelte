<script lang="ts">
  import type { Household } from '@tender-crumb/core/household';
  import {
    gramsByVolume,
    ownCup,
    weighingProblem,
    weighingsWanted,
    type Ingredient,
  } from '@tender-crumb/core/ingredient';
  import { cupMillilitres, type Measures } from '@tender-crumb/core/quantity';
  import { Written } from '../sync/written.svelte.ts';
  import { numberIn } from './faults.ts';
  import NumberField from './NumberField.svelte';
  import Pick from './Pick.svelte';

  let {
    household,
    kinds,
    nameOf,
    onkeep,
  }: {
    household: Household;
    kinds: readonly Ingredient[];
    nameOf: (id: string) => string;
    onkeep: (measures: Measures) => void;
  } = $props();

  const written = new Written<{ of: string; typed: string[] }>('cup', {
    of: 'bread-flour',
    typed: Array.from({ length: weighingsWanted }, () => ''),
  });
  let faults = $state<string[]>([]);

  const millilitres = $derived(cupMillilitres[household.measures.cup]);
  const known = $derived(Object.entries(household.measures.cups ?? {}));
  const usual = $derived(
    gramsByVolume(1, 'cup', kinds.find((k) => k.id === written.fields.of) ?? kinds[0]!, {
      ...household.measures,
      cups: {},
    }),
  );

  function keep(event: SubmitEvent) {
    event.preventDefault();
    const { of, typed } = written.fields;
    const weighings = typed.map((t) => numberIn(t) ?? NaN);
    faults = weighings.map((w) => weighingProblem(w, millilitres) ?? '');
    if (faults.some(Boolean)) return;
    onkeep({
      ...household.measures,
      cups: { ...household.measures.cups, [of]: { weighings, millilitres } },
    });
    written.fields.typed = typed.map(() => '');
  }

  function forget(id: string) {
    const { [id]: gone, ...cups } = household.measures.cups ?? {};
    void gone;
    onkeep({ ...household.measures, cups });
  }
</script>

<p class="quiet">
  Fill your cup as always, level it and weigh it, three times. We then use your own weight.
</p>
{#if known.length > 0}
  <ul class="mt-2 grid gap-1">
    {#each known as [id, cup] (id)}
      {@const own = ownCup(cup)}
      <li class="flex flex-wrap items-center justify-between gap-2 border-t border-line py-1">
        <span
          ><b>{nameOf(id)}</b>
          {own ? (own.value * cup.millilitres).toFixed(0) : ''} g a cup, ± {own
            ? (own.sd * cup.millilitres).toFixed(0)
            : ''} <span class="quiet">({cup.weighings.join(', ')})</span></span
        >
        <button class="knob" type="button" onclick={() => forget(id)}>Forget it</button>
      </li>
    {/each}
  </ul>
{/if}
<form class="mt-3 grid gap-3" onsubmit={keep} novalidate>
  <Pick
    label="My cup of"
    value={written.fields.of}
    choices={kinds.map((k) => [k.id, k.name])}
    onpick={(v) => (written.fields.of = v)}
  />
  <div class="grid grid-cols-[repeat(auto-fit,minmax(min(6.5rem,100%),1fr))] gap-3">
    {#each written.fields.typed.keys() as i (i)}
      <NumberField
        label="Weighing {i + 1}, g"
        bind:value={written.fields.typed[i]!}
        placeholder={usual?.toFixed(0) ?? ''}
        fault={faults[i] ?? ''}
      />
    {/each}
  </div>
  <div><button class="knob" type="submit">This is my cup</button></div>
</form>
