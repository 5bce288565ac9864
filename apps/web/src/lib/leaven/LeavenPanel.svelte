<script lang="ts">
  import { tangs } from '@tender-crumb/core/ferment';
  import { yeastFromFreezer, yeastUses } from '@tender-crumb/core/ingredient';
  import { doughWayIds, doughWays } from '@tender-crumb/core/process';
  import { gramsText, hoursText } from '@tender-crumb/core/quantity';
  import type { Bench } from '../bench/bench.svelte.ts';
  import { asMass, asWarmth, say } from '../ui/writing.ts';
  import { Leavens } from './leaven.svelte.ts';
  import StarterLadder from './StarterLadder.svelte';

  let { bench }: { bench: Bench } = $props();

  const leavens = new Leavens(() => bench);
  const kind = $derived(leavens.view.yeast?.of.yeast);

  function takeStarter() {
    if (!leavens.view.changes || !leavens.view.shown) return;
    bench.takeChanges({
      correction: 'starter:share',
      reason: `${gramsText(leavens.view.gramsOf(leavens.view.shown.percent))} of ripe starter has the first rise ready in ${hoursText(leavens.view.shown.hours)}`,
      basis: 'rise model, calibrated on customary rises',
      changes: leavens.view.changes,
    });
    leavens.looked = undefined;
  }
</script>

<div class="grid gap-5">
  {#if leavens.view.ladder.length > 1 && leavens.view.own && leavens.view.shown}
    <section class="grid gap-2" aria-label="Starter">
      <StarterLadder
        ladder={leavens.view.ladder}
        own={leavens.view.own}
        shown={leavens.view.shown}
        grams={(p) => leavens.view.gramsOf(p)}
        onlook={(p) => (leavens.looked = p)}
      />
      <p class="flex flex-wrap items-center gap-2">
        <span class="quiet">Rather</span>
        {#each leavens.view.tastes as id (id)}
          <button
            class="knob"
            type="button"
            aria-pressed={leavens.view.shown.tang === id}
            onclick={() => leavens.wantTaste(id)}>{tangs[id].label}</button
          >
        {/each}
      </p>
      {#if leavens.looked !== undefined}
        <p class="flex flex-wrap items-center gap-2">
          {#if leavens.view.changes}
            <button class="knob knob-act" type="button" onclick={takeStarter}>Take it</button>
            <span class="quiet">Its flour and water come from the dough.</span>
          {:else}
            <span class="text-act">The dough does not have that much flour and water.</span>
          {/if}
          <button class="knob" type="button" onclick={() => (leavens.looked = undefined)}
            >As it was</button
          >
        </p>
      {/if}
      <p class="quiet">Sourness is a rough guide. Whole grain and a hungry starter are sourer.</p>
    </section>
    {#if !leavens.view.yeast}
      <section class="bowl grid gap-2 p-3" aria-labelledby="doping">
        <h2 id="doping">For the same evening: add a little yeast</h2>
        <div class="flex flex-wrap items-end gap-3">
          <label class="quiet grid gap-1"
            >First rise ready in, hours
            <input
              class="field w-24 text-right text-base text-ink"
              inputmode="decimal"
              bind:value={leavens.evening}
              aria-invalid={leavens.hours === undefined}
            />
          </label>
          <div aria-live="polite">
            {#if leavens.view.doping && 'grams' in leavens.view.doping}
              {@const doping = leavens.view.doping}
              <p>
                <b class="text-lg">{asMass(doping.grams)}</b> of yeast.
                <span class="quiet">most likely {asMass(doping.low)} to {asMass(doping.high)}.</span
                >
              </p>
            {:else if leavens.view.doping}
              <p>
                {leavens.view.doping.why === 'too-late'
                  ? 'The starter alone is ready by then.'
                  : 'No amount of yeast is that quick. Warm the dough, or give it longer.'}
              </p>
            {:else if leavens.hours === undefined}
              <p class="text-act" role="alert">Hours, up to 24.</p>
            {/if}
          </div>
          {#if leavens.view.doping && 'grams' in leavens.view.doping}
            {@const doping = leavens.view.doping}
            <button
              class="knob knob-act"
              type="button"
              onclick={() => bench.takeChanges(doping.correction)}>Take it</button
            >
          {/if}
        </div>
        <p class="quiet">
          Some bakers do, to fit a machine or an evening. The time is certain and it may double; it
          tastes milder and keeps less long.
        </p>
      </section>
    {/if}
  {/if}
  {#if leavens.view.starter}
    {@const { stage, hydration: now } = leavens.view.starter}
    <section class="flex flex-wrap items-end gap-3" aria-label="Hydration of the starter">
      <label class="quiet grid gap-1"
        >Water of the starter, % of its flour
        <input
          class="field w-24 text-right text-base text-ink"
          inputmode="decimal"
          placeholder={String(now)}
          bind:value={leavens.wet}
        />
      </label>
      {#if leavens.view.stiffer}
        {@const changes = leavens.view.stiffer}
        <button
          class="knob"
          type="button"
          onclick={() => {
            bench.takeChanges({
              correction: `starter:water:${stage}`,
              reason: `The starter at ${leavens.wet.trim()} %; the dough’s water makes up for it`,
              basis: 'arithmetic',
              changes,
            });
            leavens.wet = '';
          }}>Make it so</button
        >
        <span class="quiet"
          >Stiffer is slower, by about a fifth, and milder; the dough stays as it is.</span
        >
      {:else if leavens.wet.trim() !== ''}
        <span class="text-act" role="alert">40 to 250 %, and no more water than the dough has.</span
        >
      {/if}
    </section>
  {/if}
  {#if leavens.view.schools.length > 0}
    <section class="grid gap-2" aria-labelledby="schools">
      <h2 id="schools">Warm or cold?</h2>
      <ul class="grid gap-3 @sm:grid-cols-2">
        {#each leavens.view.schools as school (school.id)}
          <li class="bowl p-3">
            <h3 class="font-semibold">{school.label}</h3>
            <p class="text-2xl font-bold">
              {school.hours === undefined
                ? 'longer than five days'
                : `about ${hoursText(school.hours)}`}
            </p>
            <p class="quiet">
              both rises together; dough at {asWarmth(school.dough)}{school.water
                ? `, ${school.water.name} at ${asWarmth(school.water.celsius)}${school.water.beyond ? ' at most' : ''}`
                : ''}
            </p>
            <p>{say(school.says)}.</p>
          </li>
        {/each}
      </ul>
    </section>
  {/if}
  {#if leavens.view.ahead.length + leavens.view.back.length > 0}
    <section class="grid gap-2" aria-labelledby="ahead">
      <h2 id="ahead">Mix part of it ahead</h2>
      <ul>
        {#each leavens.view.ahead as one (one.id)}
          <li class="flex flex-wrap items-center justify-between gap-2 border-t border-line py-1.5">
            <span class="min-w-0 flex-1 basis-64"
              ><b>{one.label}</b> <span class="quiet">{one.says}</span></span
            >
            <button
              class="knob"
              type="button"
              aria-label="{one.label}: do that"
              onclick={() => bench.takeChanges(one.correction)}>Do that</button
            >
          </li>
        {/each}
        {#each leavens.view.back as one (one.stage)}
          <li class="flex flex-wrap items-center justify-between gap-2 border-t border-line py-1.5">
            <span>{one.name} stands in it.</span>
            <button class="knob" type="button" onclick={() => bench.takeChanges(one.correction)}
              >Mix it with the dough</button
            >
          </li>
        {/each}
      </ul>
      <p class="quiet">Flour, water and yeast stay as they are in all; it can be given back.</p>
    </section>
  {/if}
  <section class="grid gap-1" aria-labelledby="dough-ways">
    <h2 id="dough-ways">What else is done with it</h2>
    {#each doughWayIds as id (id)}
      {@const way = doughWays[id]}
      <label class="touch flex items-center gap-2">
        <input
          type="checkbox"
          checked={way.in(bench.formula)}
          onchange={(e) => bench.edit(way.put(bench.formula, e.currentTarget.checked))}
        />
        <span><b>{way.label}</b> <span class="quiet">{way.says}</span></span>
      </label>
    {/each}
  </section>
  {#if kind}
    <section class="grid gap-1" aria-labelledby="how-yeast">
      <h2 id="how-yeast">How this yeast goes in</h2>
      <ul class="list-disc pl-5">
        {#each yeastUses[kind] as use (use.says)}
          <li>
            {use.says}{use.liquid
              ? `, liquid at ${asWarmth(use.liquid[0])} to ${asWarmth(use.liquid[1])}`
              : ''}
          </li>
        {/each}
      </ul>
      <p class="quiet">
        The packet’s own words go before these. {yeastFromFreezer} Above about {asWarmth(50)} yeast is
        harmed; with eggs in it, water is hot from the tap at most, never boiling.
      </p>
    </section>
  {/if}
</div>
