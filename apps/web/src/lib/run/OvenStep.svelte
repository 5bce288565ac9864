<script lang="ts">
  import { coreSpan } from '@tender-crumb/core/bake';
  import { bakesOnly } from '@tender-crumb/core/course';
  import {
    coreReadings,
    doneBy,
    fiveMore,
    ovenSetting,
    ovenTroubles,
    withoutProbe,
  } from '@tender-crumb/core/hands';
  import { type RunStep } from '@tender-crumb/core/lead';
  import { celsiusTyped, numberTyped } from '@tender-crumb/core/quantity';
  import { coreAt, styles } from '@tender-crumb/core/style';
  import { standIns } from '../devices/stand-ins.svelte.ts';
  import { asWarmth, say, writing } from '../ui/writing.ts';
  import type { Run } from './run.svelte.ts';

  let { run, step, now }: { run: Run; step: RunStep; now: Date } = $props();

  /** As the part of the moment has it: the heat is turned down, the lid comes off. */
  const part = $derived(run.view.partNow(step, now.toISOString()));
  const celsius = $derived(part?.celsius ?? step.celsius);
  const lids = $derived(step.parts?.some((p) => p.lid !== undefined) ?? false);
  const setting = $derived(celsius === undefined ? undefined : ovenSetting(celsius, run.view.oven));
  const place = $derived(run.view.ovenPlace);
  const inMachine = $derived(run.view.course && bakesOnly(run.view.course) !== undefined);
  const core = $derived(coreAt(styles[run.view.formula.style].baking, run.household.altitude));
  const readings = $derived(coreReadings(run.view.state.core, step.begunAt ?? now.toISOString()));
  const done = $derived(doneBy(readings, core));
  const probe = $derived(standIns.probe.reading?.celsius);

  const signs = $derived(
    withoutProbe(run.view.doughGrams / run.view.loaves, styles[run.view.formula.style].loss),
  );

  let typed = $state('');
  let fault = $state('');
  function keep(celsius: number | undefined) {
    if (celsius === undefined || !(celsius >= coreSpan[0] && celsius <= coreSpan[1])) {
      fault = `The middle of a bread is ${asWarmth(coreSpan[0])} to ${asWarmth(coreSpan[1])}: is the probe in the bread?`;
      return;
    }
    fault = '';
    typed = '';
    run.say('core', { celsius });
  }
  function enter(event: SubmitEvent) {
    event.preventDefault();
    const number = numberTyped(typed, writing());
    keep(number === undefined ? undefined : celsiusTyped(number, writing()));
  }
  let trouble = $state<keyof typeof ovenTroubles | undefined>();
  const troubleIds = Object.keys(ovenTroubles) as Array<keyof typeof ovenTroubles>;
</script>

<div class="grid gap-4">
  {#if run.view.ovens.length > 1 && !inMachine}
    <div class="flex flex-wrap gap-2" role="group" aria-label="Which oven">
      {#each run.view.ovens as oven (oven.id)}
        <button
          class="knob min-h-14"
          type="button"
          aria-pressed={oven.id === run.view.oven?.id}
          onclick={() => run.say('oven', { oven: oven.id })}>{oven.name}</button
        >
      {/each}
    </div>
  {/if}
  {#if setting && !inMachine}
    <p>
      <span class="quiet block">{run.view.oven?.name ?? 'The oven'}, set to</span>
      <b class="figure">{asWarmth(setting.set)}</b>
      {#if setting.says}<span class="quiet block"
          >for {asWarmth(celsius!)} inside: {setting.says}</span
        >{/if}
    </p>
  {/if}
  {#if inMachine}
    <p class="text-lg">In the machine, with its own programme.</p>
  {:else if place.steamer}
    <p class="text-lg">
      {step.kind === 'heat' ? place.steamer.heat : `On ${place.rack}. ${place.steamer.done}`}
    </p>
    {#if step.kind === 'bake'}
      <div>
        <button class="knob min-h-14" type="button" onclick={() => run.longer(step, fiveMore)}
          >{fiveMore} minutes more</button
        >
      </div>
    {/if}
  {:else}
    <p class="text-lg">
      On {place.rack}.
      {#if lids}
        {part?.lid === false ? 'The lid is off.' : part?.lid ? 'The lid is on.' : ''}
      {:else}
        {place.lid ?? ''}
        {place.steam ?? 'No steam.'}
      {/if}
      {place.turn ? 'Half-way, turn it round.' : ''}
    </p>
  {/if}
  {#if step.kind === 'bake' && place.steamer}
    <!-- Steam has no colour, and its buns are too small for a probe. -->
  {:else if step.kind === 'bake' && run.household.noProbe}
    <section class="bowl grid gap-2 p-4" aria-labelledby="signs">
      <h3 id="signs">How to tell that it is done</h3>
      <ul class="grid gap-2 text-lg">
        {#each signs as sign (sign.id)}<li>{say(sign.says)}</li>{/each}
      </ul>
      <div>
        <button class="knob min-h-14" type="button" onclick={() => run.longer(step, fiveMore)}
          >{fiveMore} minutes more</button
        >
      </div>
    </section>
  {:else if step.kind === 'bake'}
    <section class="bowl grid gap-2 p-4" aria-labelledby="core">
      <h3 id="core">
        Done at {core[0] === core[1]
          ? asWarmth(core[0])
          : `${asWarmth(core[0])} to ${asWarmth(core[1])}`}
      </h3>
      <div class="flex flex-wrap items-end gap-2">
        {#if probe !== undefined}
          <button class="knob knob-act min-h-14 text-lg" type="button" onclick={() => keep(probe)}
            >The probe says {asWarmth(probe)}</button
          >
        {/if}
        <form class="flex items-end gap-2" onsubmit={enter}>
          <label class="quiet grid gap-1"
            >Probe shows
            <input
              class="field min-h-14 w-28 text-right text-lg"
              inputmode="decimal"
              aria-invalid={fault ? 'true' : undefined}
              bind:value={typed}
            /></label
          >
          <button class="knob min-h-14" type="submit">Save</button>
        </form>
      </div>
      {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
      {#if done}
        <p class="text-xl font-semibold" role="status">{say(done.says)}</p>
        {#if done.more}
          <div>
            <button class="knob min-h-14" type="button" onclick={() => run.longer(step, done.more!)}
              >{done.more} minutes more</button
            >
          </div>
        {/if}
      {:else}
        <div>
          <button class="knob min-h-14" type="button" onclick={() => run.longer(step, fiveMore)}
            >{fiveMore} minutes more</button
          >
        </div>
      {/if}
      {#if readings.length > 0}
        <p class="quiet">
          {readings.map((r) => `${Math.round(r.minute)} min ${asWarmth(r.celsius)}`).join(', ')}
        </p>
      {/if}
    </section>
  {/if}
  {#if step.kind === 'bake' && !place.steamer}
    <section class="grid gap-2" aria-label="Something is wrong">
      <div class="flex flex-wrap gap-2">
        {#each troubleIds as id (id)}
          <button
            class="knob min-h-14"
            type="button"
            aria-pressed={trouble === id}
            onclick={() => (trouble = trouble === id ? undefined : id)}
            >{ovenTroubles[id].label}</button
          >
        {/each}
      </div>
      {#if trouble}<p class="text-lg font-semibold" role="status">
          {say(ovenTroubles[trouble].says)}
        </p>{/if}
    </section>
  {/if}
</div>

<style>
  .figure {
    font-size: 3rem;
    line-height: 1;
  }
  h3 {
    font-weight: 650;
  }
</style>
