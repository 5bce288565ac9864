<script lang="ts">
  import { stateAt } from '@tender-crumb/core';
  import Either from '../ui/Either.svelte';
  import Level from '../level/Level.svelte';
  import type { Run } from './run.svelte.ts';
  import { asMass, say } from '../ui/writing.ts';

  let { run }: { run: Run } = $props();

  const at = $derived(run.feeling ?? (run.feltSince ? run.felt : undefined));
</script>

<p class="mb-3 text-lg">
  Five to ten minutes into the kneading, scrape the sides once and touch it. Slide to where it
  feels: the bubble is the forecast, the bar is your finger.
</p>
{#if run.momentMatters}
  <div class="mb-3 flex flex-wrap items-center gap-3 text-lg">
    <span>This flour drinks slowly. You touch it</span>
    <Either
      label="When you touch it"
      size="large"
      value={run.rested ? 'rested' : 'mixed'}
      choices={[
        ['mixed', 'just mixed'],
        ['rested', 'after 25 minutes’ rest'],
      ]}
      onpick={(moment) => (run.rested = moment === 'rested')}
    />
  </div>
{/if}
<Level
  level={run.forecast}
  window={run.window}
  size="counter"
  felt={at}
  label="How the dough feels"
  onfeel={(points) => (run.feeling = points)}
/>

<div class="mt-4 grid gap-4" aria-live="polite">
  {#if run.feeling !== undefined}
    <p class="big">{stateAt(run.feeling).says}</p>
    <div>
      <button class="knob knob-act knob-large" type="button" onclick={() => run.feel(run.feeling!)}>
        It feels like this
      </button>
    </div>
  {:else if run.advice}
    <p class="big">{say(run.advice.says)}</p>
    <div class="flex flex-wrap gap-3">
      {#if run.advice.action === 'add'}
        {@const { ingredient: of, grams } = run.advice}
        <button class="knob knob-act knob-large" type="button" onclick={() => run.add(of!, grams!)}>
          Added {asMass(grams!)} of {run.ingredient(of!).name}
        </button>
      {/if}
      <button
        class="knob knob-large"
        class:knob-act={run.advice.action === 'leave'}
        type="button"
        onclick={() => (run.step = 'rise')}>It stays as it is</button
      >
    </div>
  {:else if run.state.added.length > 0}
    <p class="big">Give it two or three minutes, then feel again.</p>
  {/if}

  {#if run.state.added.length > 0}
    <div>
      <h2>Added at the check</h2>
      <ul class="mt-1 grid gap-1 text-lg">
        {#each run.state.added as added (added.event)}
          <li class="flex flex-wrap items-center gap-3">
            {asMass(added.grams)}
            {run.ingredient(added.ingredient).name}
            <button class="knob min-h-12" type="button" onclick={() => run.retract(added.event)}
              >Was not added</button
            >
          </li>
        {/each}
      </ul>
    </div>
  {/if}
  <p class="quiet">
    Keep hands, hair and sleeves away from a moving paddle or hook; stop it before you touch. Raw
    dough is not for tasting.
  </p>
</div>

<style>
  .big {
    font-size: 1.6rem;
    font-weight: 650;
    line-height: 1.25;
  }
  .big::first-letter {
    text-transform: uppercase;
  }
</style>
