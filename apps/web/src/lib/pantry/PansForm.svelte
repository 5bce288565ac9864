<script lang="ts">
  import {
    panDough,
    panGrams,
    panKindIds,
    panKinds,
    panMillilitres,
    type Pan,
    type PanKindId,
  } from '@tender-crumb/core';
  import X from '@lucide/svelte/icons/x';
  import { nanoid } from 'nanoid';
  import { asMass } from '../ui/writing.ts';
  import { numberIn } from './faults.ts';

  let {
    pans,
    onkeep,
  }: {
    pans: readonly Pan[];
    onkeep: (of: readonly Pan[]) => void;
  } = $props();

  let fault = $state('');
  let kind = $state<PanKindId>('tin');
  let name = $state('');

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
  function add(event: SubmitEvent) {
    event.preventDefault();
    const named = name.trim() || panKinds[kind].label;
    onkeep([...pans, { id: nanoid(), kind, name: named.slice(0, 60) }]);
    name = '';
  }
</script>

<section class="grid gap-2" aria-labelledby="pans">
  <h2 id="pans">Tins, pots, baskets and bowls</h2>
  <p class="quiet">
    What a pan holds to its brim says how much dough it is for; what it weighs empty is taken off on
    the scale.
  </p>
  {#each pans as one, i (one.id)}
    <div class="flex flex-wrap items-end gap-2 border-t border-line pt-2">
      <label class="quiet grid flex-1 basis-40 gap-1"
        >{panKinds[one.kind].label}
        <input
          class="field text-base text-ink"
          value={one.name}
          maxlength="60"
          onchange={(e) => change(i, { name: e.currentTarget.value })}
        />
      </label>
      <label class="quiet grid gap-1"
        >Holds, ml
        <input
          class="field w-24 text-right text-base text-ink"
          inputmode="numeric"
          placeholder="not known"
          value={one.millilitres ?? ''}
          onchange={(e) =>
            change(i, { millilitres: numberIn(e.currentTarget.value) } as Partial<Pan>)}
        />
      </label>
      <label class="quiet grid gap-1"
        >Weighs, g
        <input
          class="field w-24 text-right text-base text-ink"
          inputmode="decimal"
          placeholder="not weighed"
          value={one.grams ?? ''}
          onchange={(e) => change(i, { grams: numberIn(e.currentTarget.value) } as Partial<Pan>)}
        />
      </label>
      <span class="quiet min-w-28 pb-2"
        >{panKinds[one.kind].use !== 'mix' && panDough(one)
          ? `for about ${asMass(panDough(one)!)} of dough`
          : ''}</span
      >
      <button
        class="knob touch px-2"
        type="button"
        aria-label="Take {one.name} out"
        onclick={() => onkeep(pans.filter((_, k) => k !== i))}><X size={16} /></button
      >
    </div>
  {/each}
  {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
  <form class="flex flex-wrap items-end gap-2 border-t border-line pt-2" onsubmit={add}>
    <label class="quiet grid gap-1"
      >Kind
      <select class="field text-base text-ink" bind:value={kind}>
        {#each panKindIds as id (id)}<option value={id}>{panKinds[id].label}</option>{/each}
      </select>
    </label>
    <label class="quiet grid flex-1 basis-40 gap-1"
      >Name
      <input class="field text-base text-ink" maxlength="60" bind:value={name} />
    </label>
    <button class="knob touch" type="submit">Add it</button>
  </form>
</section>
