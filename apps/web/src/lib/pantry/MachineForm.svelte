<script lang="ts">
  import {
    machineSizes,
    machineStageKinds,
    programmeMinutes,
    programmeUseIds,
    programmeUses,
    type Machine,
    type Programme,
    type ProgrammeUse,
  } from '@tender-crumb/core/machine';
  import { numberIn } from './faults.ts';

  let { machine, onkeep }: { machine: Machine; onkeep: (of: Machine) => void } = $props();

  let fault = $state('');

  function change(i: number, edit: Partial<Programme>) {
    onkeep({
      ...machine,
      programmes: machine.programmes.map((p, k) => (k === i ? { ...p, ...edit } : p)),
    });
  }
  function minutes(i: number, stage: number, text: string) {
    const value = numberIn(text);
    if (value === undefined || !(value >= 0 && value <= 1440)) {
      fault = 'Minutes of a stage: 0 to 1440.';
      return;
    }
    fault = '';
    const { stages } = machine.programmes[i]!;
    change(i, { stages: stages.map((s, k) => (k === stage ? { ...s, minutes: value } : s)) });
  }
  function signal(i: number, text: string) {
    const value = numberIn(text);
    const { signal: before, ...rest } = machine.programmes[i]!;
    void before;
    if (value !== undefined && !(value >= 0 && value <= 1440)) {
      fault = 'The signal comes 0 to 1440 minutes after the start.';
      return;
    }
    fault = '';
    const next: Programme = value === undefined ? rest : { ...rest, signal: value };
    onkeep({ ...machine, programmes: machine.programmes.map((p, k) => (k === i ? next : p)) });
  }
</script>

<details class="basis-full">
  <summary class="quiet">
    {machine.loading === 'liquids-first' ? 'Liquids first' : 'Dry first'} · {machine.sizes
      .map(
        (id) =>
          `${machineSizes[id].label}: ${machineSizes[id].flour[0]} to ${machineSizes[id].flour[1]} g flour`,
      )
      .join(', ')} · {machine.programmes.length} programmes
  </summary>
  <div class="mt-2 overflow-x-auto">
    <table class="w-full text-left text-sm" aria-label="Programmes">
      <thead class="quiet">
        <tr>
          <th class="pr-2">Programme</th>
          <th class="pr-2">For</th>
          <th class="pr-2">Stages, minutes</th>
          <th class="pr-2">Signal at</th>
          <th>In all</th>
        </tr>
      </thead>
      <tbody>
        {#each machine.programmes as programme, i (programme.id)}
          <tr class="border-t border-line align-top">
            <td class="py-1 pr-2">
              <input
                class="field w-32"
                aria-label="Name of the programme"
                maxlength="60"
                value={programme.label}
                onchange={(e) =>
                  change(i, { label: e.currentTarget.value.trim() || programme.label })}
              />
            </td>
            <td class="py-1 pr-2">
              <select
                class="field w-40"
                aria-label="What {programme.label} is for"
                value={programme.use}
                onchange={(e) => change(i, { use: e.currentTarget.value as ProgrammeUse })}
              >
                {#each programmeUseIds as id (id)}<option value={id}>{programmeUses[id]}</option
                  >{/each}
              </select>
            </td>
            <td class="py-1 pr-2">
              <span class="flex flex-wrap gap-1">
                {#each programme.stages as stage, k (k)}
                  <label class="quiet grid"
                    >{stage.kind}
                    <input
                      class="field w-14 text-right"
                      inputmode="numeric"
                      title="It {machineStageKinds[stage.kind].label}"
                      value={stage.minutes}
                      onchange={(e) => minutes(i, k, e.currentTarget.value)}
                    />
                  </label>
                {/each}
              </span>
            </td>
            <td class="py-1 pr-2">
              <input
                class="field w-16 text-right"
                inputmode="numeric"
                aria-label="Signal of {programme.label}, minutes from its start"
                placeholder="none"
                value={programme.signal ?? ''}
                onchange={(e) => signal(i, e.currentTarget.value)}
              />
            </td>
            <td class="py-1 font-semibold whitespace-nowrap">{programmeMinutes(programme)} min</td>
          </tr>
        {/each}
      </tbody>
    </table>
    {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
  </div>
</details>
