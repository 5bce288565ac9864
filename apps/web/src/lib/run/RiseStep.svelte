<script lang="ts">
  import {
    celsiusTyped,
    hoursText,
    isForecast,
    numberTyped,
    riseClock,
    riseStanding,
    type Rise,
    type RiseStanding,
  } from '@tender-crumb/core';
  import Undo2 from '@lucide/svelte/icons/undo-2';
  import type { Run } from './run.svelte.ts';
  import { asWarmth, writing } from '../ui/writing.ts';

  let { run }: { run: Run } = $props();

  const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });
  const time = (iso: string) => clock.format(new Date(iso));
  const noted = (rise: Rise) => run.state.rises[rise.id] ?? { notes: [] };

  const standings: Record<RiseStanding, string> = {
    'to-begin': '',
    rising: 'Rising',
    ready: 'It was ready',
    over: 'It has gone over',
  };
  const senses = { 'not-yet': 'not yet', there: 'ready', past: 'gone over' } as const;

  const places = [
    ['dough', 'The dough after mixing'],
    ['air', 'Where it stands'],
  ] as const;
  let typed = $state({ dough: '', air: '' });
  let fault = $state('');

  function keep(of: 'dough' | 'air') {
    if (typed[of].trim() === '') return;
    const number = numberTyped(typed[of], writing());
    const celsius = number === undefined ? undefined : celsiusTyped(number, writing());
    if (celsius === undefined || celsius < -25 || celsius > 70) {
      fault = 'A temperature of a kitchen, a fridge or a warm oven.';
      return;
    }
    fault = '';
    run.say('warmth', { of, celsius });
    typed[of] = '';
  }
</script>

<p class="mb-3 text-lg">
  Say when a rise begins, and what you see when you look: the forecast follows, and learns your
  leaven. The dough says when it is ready, not the clock.
</p>
<div class="mb-4 flex flex-wrap items-end gap-4">
  {#each places as [of, label] (of)}
    <label class="grid gap-1"
      ><span
        >{label}, °{writing().temperature}{run.state.warmth[of] === undefined
          ? ''
          : `: ${asWarmth(run.state.warmth[of])}`}</span
      >
      <input
        class="field min-h-14 w-36 text-right text-xl"
        inputmode="decimal"
        placeholder={run.state.warmth[of] === undefined ? 'not measured' : 'another'}
        bind:value={typed[of]}
        onchange={() => keep(of)}
      />
    </label>
  {/each}
  {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
</div>
{#if run.rises.length === 0}
  <p class="text-lg">
    A dough without cereal flour rises by what gluten holds, which cannot be forecast yet: go by the
    eye, and bake it when it is puffy.
  </p>
{/if}
<div class="grid gap-4 sm:grid-cols-2">
  {#each run.rises as rise (rise.id)}
    {@const of = noted(rise)}
    {@const standing = riseStanding(of)}
    {@const forecast = isForecast(rise.forecast) ? rise.forecast : undefined}
    {@const by = forecast && riseClock(of, forecast)}
    <section class="bowl grid content-start gap-3 p-4" aria-label={rise.label}>
      <h3 class="text-lg font-semibold">
        {rise.label}{standings[standing] ? ` · ${standings[standing]}` : ''}
      </h3>
      {#if !forecast}
        <p class="text-xl font-bold">It does not come there.</p>
        <p>Warm it, or give it longer than a day.</p>
      {:else if by && standing === 'rising'}
        <p class="text-3xl font-bold">Look at {time(by.look)}</p>
        <p class="text-lg">
          Ready about {time(by.ready)}, by {time(by.late)} nine times in ten: {rise.until}.
        </p>
      {:else if standing === 'to-begin'}
        <p class="text-3xl font-bold">about {hoursText(forecast.middle)}</p>
        <p class="text-lg">
          8 times in 10 between {hoursText(forecast.low)} and {hoursText(forecast.high)}: {rise.until}.
        </p>
      {:else}
        <p class="text-lg">
          Begun at {time(of.begunAt ?? '')}; forecast for {by ? time(by.ready) : ''}.
        </p>
      {/if}
      {#if standing === 'to-begin'}
        <button
          class="knob knob-act min-h-14"
          type="button"
          onclick={() => run.noteRise(rise.id, 'begun')}>It rises from now</button
        >
      {:else}
        {#if standing === 'rising'}
          <div class="grid grid-cols-2 gap-2">
            <button
              class="knob knob-act min-h-14"
              type="button"
              onclick={() => run.noteRise(rise.id, 'there')}>It is ready</button
            >
            <button
              class="knob min-h-14"
              type="button"
              onclick={() => run.noteRise(rise.id, 'not-yet')}>Not yet</button
            >
            <button
              class="knob min-h-14"
              type="button"
              onclick={() => run.noteRise(rise.id, 'past')}>Gone over</button
            >
          </div>
        {/if}
        <ul class="quiet">
          {#each of.notes as note (note.at)}<li>{time(note.at)} {senses[note.sense]}</li>{/each}
        </ul>
        <button class="knob min-h-14" type="button" onclick={() => run.unnoteRise(rise.id)}>
          <Undo2 size={18} aria-hidden="true" /> Take the last back
        </button>
      {/if}
    </section>
  {/each}
</div>
<p class="mt-4">
  <button class="knob min-h-14" type="button" onclick={() => (run.step = 'outcome')}
    >Out of the oven: how it came out</button
  >
</p>
