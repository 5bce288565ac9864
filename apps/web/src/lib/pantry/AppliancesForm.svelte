<script lang="ts">
  import {
    applianceKindIds,
    applianceKinds,
    machineRowIds,
    machines,
    steamIds,
    steams,
    type MachineRowId,
    type SteamId,
    type Appliance,
    type ApplianceKindId,
  } from '@tender-crumb/core';
  import X from '@lucide/svelte/icons/x';
  import { nanoid } from 'nanoid';
  import { numberIn } from './faults.ts';
  import MachineForm from './MachineForm.svelte';

  let {
    appliances,
    onkeep,
  }: { appliances: readonly Appliance[]; onkeep: (of: readonly Appliance[]) => void } = $props();

  let fault = $state('');
  let kind = $state<ApplianceKindId>('oven');
  let name = $state('');

  function change(i: number, edit: Partial<Appliance>) {
    const next = appliances.map((a, k) => (k === i ? { ...a, ...edit } : a));
    const { holds, offset, lowest, name: called } = next[i]!;
    fault =
      called.trim() === ''
        ? 'A name is wanted.'
        : !Number.isInteger(holds) || holds < 1 || holds > 20
          ? 'It takes 1 to 20 at once.'
          : offset !== undefined && !(offset >= -60 && offset <= 60)
            ? 'An oven is off by −60 to 60 degrees.'
            : lowest !== undefined && !(lowest >= 20 && lowest <= 150)
              ? 'The lowest that an oven can be set to is 20 to 150 °C.'
              : '';
    if (!fault) onkeep(next);
  }

  function add(event: SubmitEvent) {
    event.preventDefault();
    const called = name.trim() || applianceKinds[kind].label;
    onkeep([
      ...appliances,
      { id: nanoid(), kind, name: called.slice(0, 60), holds: applianceKinds[kind].holds },
    ]);
    name = '';
  }

  /** A machine that is new here can do what one of ours can, until it is told otherwise. */
  const known = (id: string): Partial<Appliance> =>
    id in machines ? { machine: machines[id as MachineRowId] } : ({ machine: undefined } as object);
  const rowOf = ({ machine }: Appliance): string =>
    machineRowIds.find((id) => machines[id].label === machine?.label) ?? (machine ? 'own' : '');

  /** An empty field takes what was there away. */
  const offsetOf = (text: string): Partial<Appliance> => {
    const value = numberIn(text);
    return { offset: value } as Partial<Appliance>;
  };
</script>

<section class="grid gap-2" aria-labelledby="appliances">
  <h2 id="appliances">Ovens, mixers, machines, cold boxes</h2>
  <p class="quiet">
    What can be used at once. Until one of a kind is told, a plan takes it that there is one, and
    room for three doughs in the fridge.
  </p>
  {#each appliances as one, i (one.id)}
    <div class="flex flex-wrap items-end gap-2 border-t border-line pt-2">
      <label class="quiet grid flex-1 basis-40 gap-1"
        >{applianceKinds[one.kind].label}
        <input
          class="field text-base text-ink"
          value={one.name}
          maxlength="60"
          onchange={(e) => change(i, { name: e.currentTarget.value })}
        />
      </label>
      <label class="quiet grid gap-1"
        >{applianceKinds[one.kind].room}
        <input
          class="field w-20 text-right text-base text-ink"
          inputmode="numeric"
          value={one.holds}
          onchange={(e) => change(i, { holds: numberIn(e.currentTarget.value) ?? 0 })}
        />
      </label>
      {#if one.kind === 'oven'}
        <label class="quiet grid gap-1"
          >Hotter than it says, °C
          <input
            class="field w-24 text-right text-base text-ink"
            inputmode="decimal"
            placeholder="not measured"
            value={one.offset ?? ''}
            onchange={(e) => change(i, offsetOf(e.currentTarget.value))}
          />
        </label>
        <label class="quiet grid gap-1"
          >Lowest setting, °C
          <input
            class="field w-24 text-right text-base text-ink"
            inputmode="decimal"
            placeholder="not known"
            value={one.lowest ?? ''}
            onchange={(e) =>
              change(i, { lowest: numberIn(e.currentTarget.value) } as Partial<Appliance>)}
          />
        </label>
        <label class="quiet grid gap-1"
          >Steam
          <select
            class="field text-base text-ink"
            value={one.steam ?? 'none'}
            onchange={(e) => change(i, { steam: e.currentTarget.value as SteamId })}
          >
            {#each steamIds as id (id)}<option value={id}>{steams[id]}</option>{/each}
          </select>
        </label>
        <label class="flex min-h-11 items-center gap-2"
          ><input
            type="checkbox"
            class="size-5"
            checked={one.fan ?? false}
            onchange={(e) => change(i, { fan: e.currentTarget.checked })}
          /> its fan runs</label
        >
      {:else if one.kind === 'machine'}
        <label class="quiet grid gap-1"
          >It is like
          <select
            class="field text-base text-ink"
            value={rowOf(one)}
            onchange={(e) => change(i, known(e.currentTarget.value))}
          >
            <option value="">not told</option>
            {#each machineRowIds as id (id)}<option value={id}>{machines[id].label}</option>{/each}
            {#if rowOf(one) === 'own'}<option value="own">{one.machine?.label}</option>{/if}
          </select>
        </label>
      {/if}
      <button
        class="knob touch px-2"
        type="button"
        aria-label="Take {one.name} out"
        onclick={() => onkeep(appliances.filter((_, k) => k !== i))}><X size={16} /></button
      >
      {#if one.machine}
        <MachineForm machine={one.machine} onkeep={(machine) => change(i, { machine })} />
      {/if}
    </div>
  {/each}
  {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
  <form class="flex flex-wrap items-end gap-2 border-t border-line pt-2" onsubmit={add}>
    <label class="quiet grid gap-1"
      >Kind
      <select class="field text-base text-ink" bind:value={kind}>
        {#each applianceKindIds as id (id)}<option value={id}>{applianceKinds[id].label}</option
          >{/each}
      </select>
    </label>
    <label class="quiet grid flex-1 basis-40 gap-1"
      >Name
      <input class="field text-base text-ink" maxlength="60" bind:value={name} />
    </label>
    <button class="knob touch" type="submit">Add it</button>
  </form>
</section>
