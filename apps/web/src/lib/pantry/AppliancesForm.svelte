<script lang="ts">
  import {
    applianceKindIds,
    applianceKinds,
    machineRowIds,
    machines,
    mixerTakes,
    steamIds,
    steams,
    type MachineRowId,
    type SteamId,
    type Appliance,
  } from '@tender-crumb/core/machine';
  import { nanoid } from 'nanoid';
  import AddNamed from './AddNamed.svelte';
  import KeptNumber from './KeptNumber.svelte';
  import MachineForm from './MachineForm.svelte';
  import NamedRow from './NamedRow.svelte';
  import Pick from './Pick.svelte';

  let {
    appliances,
    onkeep,
  }: { appliances: readonly Appliance[]; onkeep: (of: readonly Appliance[]) => void } = $props();

  let fault = $state('');

  function change(i: number, edit: Partial<Appliance>) {
    const next = appliances.map((a, k) => (k === i ? { ...a, ...edit } : a));
    const { holds, offset, lowest, takes, name: called } = next[i]!;
    fault =
      called.trim() === ''
        ? 'A name is wanted.'
        : !Number.isInteger(holds) || holds < 1 || holds > 20
          ? '1 to 20 at once.'
          : offset !== undefined && !(offset >= -60 && offset <= 60)
            ? '−60 to 60 degrees off.'
            : lowest !== undefined && !(lowest >= 20 && lowest <= 150)
              ? 'The lowest setting is 20 to 150 °C.'
              : takes !== undefined && !(takes >= mixerTakes[0] && takes <= mixerTakes[1])
                ? `A mixer kneads ${mixerTakes[0]} to ${mixerTakes[1]} g of flour at once.`
                : '';
    if (!fault) onkeep(next);
  }

  /** A machine that is new here can do what one of ours can, until it is told otherwise. */
  const known = (id: string): Partial<Appliance> =>
    id in machines ? { machine: machines[id as MachineRowId] } : ({ machine: undefined } as object);
  const rowOf = ({ machine }: Appliance): string =>
    machineRowIds.find((id) => machines[id].label === machine?.label) ?? (machine ? 'own' : '');

  /** What a machine may be like: ours, and what it was told to be. */
  const likes = (of: Appliance) => [
    ['', 'not told'] as const,
    ...machineRowIds.map((id) => [id, machines[id].label] as const),
    ...(rowOf(of) === 'own' ? [['own', of.machine!.label] as const] : []),
  ];
</script>

<section class="grid gap-2" aria-labelledby="appliances">
  <h2 id="appliances">Ovens, mixers, machines, cold boxes</h2>
  <p class="quiet">
    What you have. Until you say, a plan counts on one of each, and fridge room for three doughs.
  </p>
  {#each appliances as one, i (one.id)}
    <NamedRow
      kind={applianceKinds[one.kind].label}
      name={one.name}
      onname={(name) => change(i, { name })}
      onout={() => onkeep(appliances.filter((_, k) => k !== i))}
    >
      <KeptNumber
        label={applianceKinds[one.kind].room}
        width="w-20"
        value={one.holds}
        onkeep={(holds) => change(i, { holds: holds ?? 0 })}
      />
      {#if one.kind === 'oven'}
        <KeptNumber
          label="Hotter than it says, °C"
          placeholder="not measured"
          value={one.offset}
          onkeep={(offset) => change(i, { offset } as Partial<Appliance>)}
        />
        <KeptNumber
          label="Lowest setting, °C"
          placeholder="not known"
          value={one.lowest}
          onkeep={(lowest) => change(i, { lowest } as Partial<Appliance>)}
        />
        <Pick
          label="Steam"
          value={one.steam ?? 'tray'}
          choices={steamIds.map((id) => [id, steams[id]] as const)}
          onpick={(steam) => change(i, { steam: steam as SteamId })}
        />
        <label class="flex min-h-11 items-center gap-2"
          ><input
            type="checkbox"
            class="size-5"
            checked={one.fan ?? false}
            onchange={(e) => change(i, { fan: e.currentTarget.checked })}
          /> its fan runs</label
        >
      {:else if one.kind === 'mixer'}
        <KeptNumber
          label="Flour it kneads at once, g"
          placeholder="not known"
          value={one.takes}
          onkeep={(takes) => change(i, { takes } as Partial<Appliance>)}
        />
      {:else if one.kind === 'machine'}
        <Pick
          label="It is like"
          value={rowOf(one)}
          choices={likes(one)}
          onpick={(like) => change(i, known(like))}
        />
      {/if}
      {#if one.machine}
        <div class="order-last basis-full">
          <MachineForm machine={one.machine} onkeep={(machine) => change(i, { machine })} />
        </div>
      {/if}
    </NamedRow>
  {/each}
  {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
  <AddNamed
    kinds={applianceKindIds}
    label={(kind) => applianceKinds[kind].label}
    onadd={(kind, name) =>
      onkeep([...appliances, { id: nanoid(), kind, name, holds: applianceKinds[kind].holds }])}
  />
</section>
