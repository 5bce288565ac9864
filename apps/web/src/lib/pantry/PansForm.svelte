<script lang="ts">
  import {
    panDough,
    panGrams,
    panKindIds,
    panKinds,
    panMillilitres,
    type Pan,
  } from '@tender-crumb/core/machine';
  import { nanoid } from 'nanoid';
  import { asMass } from '../ui/writing.ts';
  import AddNamed from './AddNamed.svelte';
  import KeptNumber from './KeptNumber.svelte';
  import NamedRow from './NamedRow.svelte';

  let {
    pans,
    onkeep,
  }: {
    pans: readonly Pan[];
    onkeep: (of: readonly Pan[]) => void;
  } = $props();

  let fault = $state('');

  const within = (value: number | undefined, [least, most]: readonly [number, number]) =>
    value === undefined || (value >= least && value <= most);

  function change(i: number, edit: Partial<Pan>) {
    const next = pans.map((p, k) => (k === i ? { ...p, ...edit } : p));
    const { name: named, millilitres, grams } = next[i]!;
    fault =
      named.trim() === ''
        ? 'A name is wanted.'
        : !within(millilitres, panMillilitres)
          ? `A pan holds ${panMillilitres[0]} to ${panMillilitres[1]} ml.`
          : !within(grams, panGrams)
            ? `Empty it weighs ${panGrams[0]} g to ${panGrams[1] / 1000} kg.`
            : '';
    if (!fault) onkeep(next);
  }
</script>

<section class="grid gap-2" aria-labelledby="pans">
  <h2 id="pans">Tins, pots, baskets and bowls</h2>
  <p class="quiet">How much it holds to the brim, and what it weighs empty.</p>
  {#each pans as one, i (one.id)}
    <NamedRow
      kind={panKinds[one.kind].label}
      name={one.name}
      onname={(name) => change(i, { name })}
      onout={() => onkeep(pans.filter((_, k) => k !== i))}
    >
      <KeptNumber
        label="Holds, ml"
        placeholder="not known"
        value={one.millilitres}
        onkeep={(millilitres) => change(i, { millilitres } as Partial<Pan>)}
      />
      <KeptNumber
        label="Weighs, g"
        placeholder="not weighed"
        value={one.grams}
        onkeep={(grams) => change(i, { grams } as Partial<Pan>)}
      />
      <span class="quiet min-w-28 pb-2"
        >{panKinds[one.kind].use !== 'mix' && panDough(one)
          ? `for about ${asMass(panDough(one)!)} of dough`
          : ''}</span
      >
    </NamedRow>
  {/each}
  {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
  <AddNamed
    kinds={panKindIds}
    label={(kind) => panKinds[kind].label}
    onadd={(kind, name) => onkeep([...pans, { id: nanoid(), kind, name }])}
  />
</section>
