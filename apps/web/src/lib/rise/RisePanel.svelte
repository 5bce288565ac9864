<script lang="ts">
  import { isForecast, vesselIds, vessels, type LeavenChange } from '@tender-crumb/core/ferment';
  import { gramsText, hoursText } from '@tender-crumb/core/quantity';
  import type { Bench } from '../bench/bench.svelte.ts';
  import { asMass, asWarmth, say, writing } from '../ui/writing.ts';
  import HowSure from './HowSure.svelte';
  import RiseChart from './RiseChart.svelte';
  import { Rising } from './rising.svelte.ts';

  let { bench }: { bench: Bench } = $props();

  const rising = new Rising(() => bench);

  const whyNot: Record<Extract<LeavenChange, { why: string }>['why'], (c: LeavenChange) => string> =
    {
      'too-soon': (c) =>
        `Too soon: ${nearest(c, 'the most that makes sense')}. Make it warmer, or wait.`,
      'too-late': (c) =>
        `Too late: ${nearest(c, 'the least that can be meant')}. Make it colder, or use the fridge.`,
      never: () => 'It never gets there.',
      'no-leaven': () => 'Add yeast or starter first.',
    };
  const nearest = (c: LeavenChange, what: string) =>
    'why' in c && c.hours !== undefined
      ? `${asMass(c.grams ?? 0)}, ${what}, takes ${hoursText(c.hours)}`
      : 'nothing near it does';

  function take(change: Extract<LeavenChange, { changes: unknown }>) {
    bench.takeChanges({
      correction: `yeast:${change.ingredient}:rise`,
      reason: `${gramsText(change.grams)} of ${change.name} has the first rise ready in ${hoursText(rising.hours ?? 0)}`,
      basis: 'rise model, calibrated on customary rises',
      changes: change.changes,
    });
  }
</script>

<div class="grid gap-4">
  <div class="flex flex-wrap items-end gap-x-4 gap-y-2">
    <label class="quiet grid gap-1"
      >Dough after mixing, °{writing().temperature}
      <input
        class="field w-24 text-right text-base text-ink"
        inputmode="decimal"
        bind:value={rising.dough}
        aria-invalid={rising.celsius === undefined}
      />
    </label>
    <label class="quiet grid gap-1"
      >Where it stands, °{writing().temperature}
      <input
        class="field w-24 text-right text-base text-ink"
        inputmode="decimal"
        bind:value={rising.air}
        aria-invalid={rising.airCelsius === undefined}
      />
    </label>
    <label class="quiet grid gap-1"
      >First in
      <select class="field text-base text-ink" bind:value={rising.vessel}>
        {#each vesselIds as id (id)}<option value={id}>{vessels[id].label}</option>{/each}
      </select>
    </label>
    <label class="quiet grid gap-1"
      >Into the fridge after, hours
      <input
        class="field w-24 text-right text-base text-ink"
        inputmode="decimal"
        placeholder="not"
        bind:value={rising.fridge}
        aria-invalid={rising.fridge.trim() !== '' && rising.fridgeAfter === undefined}
      />
    </label>
    <label class="quiet grid gap-1"
      >Shaped in
      <select class="field text-base text-ink" bind:value={rising.shaped}>
        {#each vesselIds as id (id)}<option value={id}>{vessels[id].label}</option>{/each}
      </select>
    </label>
  </div>
  {#if rising.celsius === undefined || rising.airCelsius === undefined}
    <p class="text-act" role="alert">
      {say('−5 to 50 °C: above, yeast dies; below, nothing rises.')}
    </p>
  {:else if rising.view.rises.length === 0}
    <p class="quiet">
      {bench.view.evaluation?.totals.dryBase
        ? 'No forecast for a dough without cereal flour: go by eye.'
        : 'Add yeast or starter first.'}
    </p>
  {:else}
    <ul class="grid gap-3 @sm:grid-cols-2" aria-label="When it will be ready">
      {#each rising.view.rises as rise (rise.id)}
        <li class="bowl p-3">
          <h2 class="quiet">{rise.label}</h2>
          {#if isForecast(rise.forecast)}
            <p class="text-2xl font-bold">about {hoursText(rise.forecast.middle)}</p>
            <p>{rise.until}</p>
            <p class="quiet">
              most likely {hoursText(rise.forecast.low)} to {hoursText(rise.forecast.high)}
            </p>
          {:else}
            <p class="font-bold">It does not get there.</p>
            <p class="quiet">
              {'volume' in rise.end
                ? `At most ×${rise.forecast.reaches.toFixed(2)}, after ${hoursText(rise.forecast.atHours)}.`
                : 'Not ripe in five days.'}
            </p>
          {/if}
        </li>
      {/each}
    </ul>
    {#if rising.view.first}
      <RiseChart rise={rising.view.first} curve={rising.view.curve} />
      <HowSure rise={rising.view.first} paces={rising.view.paces} model={rising.view.model} />
    {/if}
    <div class="flex flex-wrap items-end gap-x-4 gap-y-2">
      <label class="quiet grid gap-1"
        >First rise ready in, hours
        <input
          class="field w-24 text-right text-base text-ink"
          inputmode="decimal"
          placeholder="as it is"
          bind:value={rising.wanted}
        />
      </label>
      <div aria-live="polite" class="grid gap-1">
        {#if rising.view.leaven && 'why' in rising.view.leaven}
          <p>{whyNot[rising.view.leaven.why](rising.view.leaven)}</p>
        {:else if rising.view.leaven}
          <p>
            <b class="text-lg">{asMass(rising.view.leaven.grams)}</b> of {rising.view.leaven.name},
            where
            {asMass(rising.view.leaven.now)} stand now.
            <span class="quiet"
              >most likely {asMass(rising.view.leaven.low)} to {asMass(
                rising.view.leaven.high,
              )}.</span
            >
          </p>
          {#if rising.view.warmth?.celsius !== undefined}
            <p>Or as it is, in a place of <b>{asWarmth(rising.view.warmth.celsius)}</b>.</p>
          {/if}
        {:else if rising.wanted.trim() !== ''}
          <p class="text-act" role="alert">A number of hours, up to 96.</p>
        {/if}
      </div>
      {#if rising.view.leaven && 'changes' in rising.view.leaven && rising.view.leaven.changes.length > 0}
        {@const change = rising.view.leaven}
        <button class="knob knob-act" type="button" onclick={() => take(change)}>Take it</button>
      {/if}
    </div>
    {#if rising.view.hasStarter}
      <section class="bowl grid gap-2 p-3" aria-labelledby="feed-title">
        <h2 id="feed-title" class="font-semibold">Feed the starter for it</h2>
        <div class="flex flex-wrap items-end gap-x-4 gap-y-2">
          <label class="quiet grid gap-1"
            >Ripe in, hours
            <input
              class="field w-24 text-right text-base text-ink"
              inputmode="decimal"
              bind:value={rising.ripeIn}
            />
          </label>
          <label class="quiet grid gap-1"
            >Kept back, g
            <input
              class="field w-24 text-right text-base text-ink"
              inputmode="decimal"
              bind:value={rising.keep}
            />
          </label>
        </div>
        <div aria-live="polite">
          {#if rising.view.feeding}
            {@const { seed, flour, water, hours, nearest } = rising.view.feeding}
            {#if nearest}
              <p class="text-act">
                That is not possible; this is the nearest. Colder is slower, warmer faster.
              </p>
            {/if}
            <p class="text-xl font-bold">
              {asMass(seed)} of starter, {asMass(flour)} of flour, {asMass(water)} of water
            </p>
            <p>
              ripe in about {hoursText(hours.middle)}: domed or just falling.
              <span class="quiet"
                >most likely {hoursText(hours.low)} to {hoursText(hours.high)}.</span
              >
            </p>
          {:else}
            <p class="text-act" role="alert">Up to 96 hours, and 0 g or more kept back.</p>
          {/if}
        </div>
        <p class="quiet">Pink, orange or furry: throw it away. Wash hands, and under rings.</p>
      </section>
    {/if}
    <p class="quiet">
      {rising.view.noted > 0
        ? `From ${rising.view.noted} rises that you noted with this leaven.`
        : 'From the model alone: tell the bake’s page when it is ready, and this gets surer.'}
      This says when to look. Go by the dough, not by the clock.
    </p>
  {/if}
</div>
