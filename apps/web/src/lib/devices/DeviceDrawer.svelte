<script lang="ts">
  import { isReading } from '@tender-crumb/core/machine';
  import { numberTyped } from '@tender-crumb/core/quantity';
  import { onMount } from 'svelte';
  import { asWarmth, writing } from '../ui/writing.ts';
  import { realWays, type RealWay } from './device.ts';
  import { standIns } from './stand-ins.svelte.ts';

  let ways = $state.raw<readonly RealWay[]>([]);
  onMount(() => void (ways = realWays()));

  let grams = $state('100');
  let probe = $state('25');
  let air = $state('21');
  let damp = $state('55');
  let fault = $state('');

  /** A number that can be true of its device. */
  function typed(text: string, of: 'grams' | 'probe' | 'room'): number | undefined {
    const value = numberTyped(text, writing());
    if (value === undefined || !isReading(of, value)) {
      const says = {
        grams: 'A scale shows −10 to 30 kg, in grams.',
        probe: 'A probe shows −40 to 300 °C.',
        room: 'A room is −20 to 60 °C.',
      };
      fault = says[of];
      return undefined;
    }
    fault = '';
    return value;
  }
  function put(sign: 1 | -1) {
    const value = typed(grams, 'grams');
    if (value !== undefined) standIns.put(sign * value);
  }
  function sense() {
    const celsius = typed(air, 'room');
    const humidity = numberTyped(damp, writing());
    if (celsius === undefined) return;
    if (humidity === undefined || !isReading('humidity', humidity / 100)) {
      fault = 'Humidity is 0 to 100 %.';
      return;
    }
    standIns.airIs(celsius, humidity / 100);
  }
  const speeds = [1, 10, 60, 600] as const;
  let unfolded = $derived(standIns.on);
</script>

<details class="bowl no-print p-3" bind:open={unfolded}>
  <summary class="font-semibold">Practice scale and thermometer</summary>
  <div class="mt-2 grid gap-3">
    <p class="quiet">A pretend scale, probe, room sensor and bread machine, to try things out.</p>
    <div>
      <button class="knob touch" type="button" onclick={() => standIns.turn(!standIns.on)}
        >{standIns.on ? 'Switch them off' : 'Switch them on'}</button
      >
    </div>
    {#if standIns.on}
      <fieldset class="grid gap-2 border-t border-line pt-2">
        <legend class="font-semibold"
          >Scale: <output>{standIns.scale.reading?.grams} g</output>
          <span class="quiet">{standIns.scale.reading?.settled ? 'at rest' : 'moving'}</span
          ></legend
        >
        <div class="flex flex-wrap items-end gap-2">
          <label class="quiet grid"
            >Grams <input class="field w-24" inputmode="decimal" bind:value={grams} /></label
          >
          <button class="knob touch" type="button" onclick={() => put(1)}>Put on</button>
          <button class="knob touch" type="button" onclick={() => put(-1)}>Take off</button>
          <button
            class="knob touch"
            type="button"
            onclick={() => standIns.pour(standIns.lies.pouring ? 0 : 20)}
            >{standIns.lies.pouring ? 'Stop pouring' : 'Pour 20 g a second'}</button
          >
          <button class="knob touch" type="button" onclick={() => standIns.lift()}
            >{standIns.lies.lifted === undefined
              ? 'Lift the bowl off'
              : 'Put the bowl back'}</button
          >
          <button class="knob touch" type="button" onclick={() => standIns.scale.tare()}
            >Its own tare</button
          >
          <button class="knob touch" type="button" onclick={() => standIns.clear()}>Clear it</button
          >
          <label class="quiet flex items-center gap-1"
            ><input
              type="checkbox"
              checked={standIns.lies.step < 1}
              onchange={(e) => standIns.set({ step: e.currentTarget.checked ? 0.1 : 1 })}
            /> tenths</label
          >
          <label class="quiet flex items-center gap-1"
            ><input
              type="checkbox"
              checked={standIns.lies.drift !== 0}
              onchange={(e) => standIns.set({ drift: e.currentTarget.checked ? 20 : 0 })}
            /> its zero wanders</label
          >
        </div>
      </fieldset>
      <fieldset class="grid gap-2 border-t border-line pt-2">
        <legend class="font-semibold"
          >Probe: {asWarmth(standIns.probe.reading?.celsius ?? 0)}</legend
        >
        <div class="flex flex-wrap items-end gap-2">
          <label class="quiet grid"
            >Put into, °C <input class="field w-24" inputmode="decimal" bind:value={probe} /></label
          >
          <button
            class="knob touch"
            type="button"
            onclick={() => {
              const celsius = typed(probe, 'probe');
              if (celsius !== undefined) standIns.putInto(celsius);
            }}>Put it in</button
          >
        </div>
      </fieldset>
      <fieldset class="grid gap-2 border-t border-line pt-2">
        <legend class="font-semibold"
          >Room: {asWarmth(standIns.room.reading?.celsius ?? 0)}, {Math.round(
            100 * (standIns.room.reading?.humidity ?? 0),
          )} %</legend
        >
        <div class="flex flex-wrap items-end gap-2">
          <label class="quiet grid"
            >Air, °C <input class="field w-20" inputmode="decimal" bind:value={air} /></label
          >
          <label class="quiet grid"
            >Humidity, % <input class="field w-20" inputmode="decimal" bind:value={damp} /></label
          >
          <button class="knob touch" type="button" onclick={sense}>The air is so</button>
        </div>
      </fieldset>
      <fieldset class="grid gap-2 border-t border-line pt-2">
        <legend class="font-semibold">Bread machine</legend>
        {#if standIns.machine.reading}
          {@const says = standIns.machine.reading}
          <p>Minute {Math.floor(says.minute)}: it {says.stage}.</p>
        {:else}
          <p class="quiet">Starts with a bake.</p>
        {/if}
        <div class="flex flex-wrap items-center gap-2">
          <button
            class="knob touch"
            type="button"
            disabled={!standIns.hasMachine}
            onclick={() => standIns.power(!standIns.hasPower)}
            >{standIns.hasPower ? 'Cut its power' : 'Power is back'}</button
          >
        </div>
      </fieldset>
      <div
        class="flex flex-wrap items-center gap-2 border-t border-line pt-2"
        role="group"
        aria-label="Their time"
      >
        {#each speeds as speed (speed)}
          <button
            class="knob touch"
            type="button"
            aria-pressed={standIns.speed === speed}
            onclick={() => (standIns.speed = speed)}
            >{speed === 1 ? 'as slow as life' : `${speed} times as fast`}</button
          >
        {/each}
      </div>
      {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
    {/if}
    <details>
      <summary class="quiet">A real device</summary>
      <ul class="quiet mt-1 grid list-disc gap-1 pl-5">
        {#each ways as way (way.label)}
          <li>
            {way.label}: {way.there
              ? 'this browser could, given'
              : 'this browser cannot here; it takes'}
            {way.needs}.
          </li>
        {/each}
      </ul>
    </details>
  </div>
</details>
