<script lang="ts">
  import { checkKinds, stateAt } from '@tender-crumb/core';
  import DoughDrawing from '../drawing/DoughDrawing.svelte';
  import Level from '../level/Level.svelte';
  import Either from '../ui/Either.svelte';
  import { asMass, say } from '../ui/writing.ts';
  import type { Run } from './run.svelte.ts';

  let { run }: { run: Run } = $props();

  const at = $derived(run.feeling ?? (run.feltSince ? run.felt : undefined));
  const kind = $derived(checkKinds[run.checkKind]);
  const style = $derived(run.formula.style);
  /** Where the drawn doughs stand: one for each state that a finger tells apart. */
  const drawn = [-12, -7, -2, 2, 6, 11, 16] as const;
  const near = (points: number) => Math.abs(points - (at ?? NaN)) < 2.5;
</script>

<ul class="doughs" aria-label="How a dough can look">
  {#each drawn as points (points)}
    {@const state = stateAt(points, style)}
    <li>
      <button
        type="button"
        aria-pressed={near(points)}
        title={state.says}
        onclick={() => (run.feeling = points)}
      >
        <DoughDrawing {points} kind={kind.drawn} label={state.says} />
        <span>{state.short}</span>
      </button>
    </li>
  {/each}
</ul>
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
<p class="quiet mb-2">
  Tap what it looks like, or slide to where it feels: the bubble is the forecast, the bar is your
  finger.
</p>
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
    <p class="big">{stateAt(run.feeling, style).says}</p>
    <div>
      <button class="knob knob-act knob-large" type="button" onclick={() => run.feel(run.feeling!)}>
        It feels like this
      </button>
    </div>
  {:else if run.advice}
    <p class="big">{say(run.advice.says)}</p>
    {#if run.advice.action === 'add'}
      {@const { ingredient: of, grams } = run.advice}
      <div>
        <button class="knob knob-act knob-large" type="button" onclick={() => run.add(of!, grams!)}>
          Added {asMass(grams!)} of {run.ingredient(of!).name}
        </button>
      </div>
    {/if}
  {:else if run.state.added.length > 0}
    <p class="big">Give it two or three minutes, then feel again.</p>
  {/if}

  {#if run.state.added.length > 0}
    <div>
      <h3>Added at the check</h3>
      <ul class="mt-1 grid gap-1 text-lg">
        {#each run.state.added as added (added.event)}
          <li class="flex flex-wrap items-center gap-3">
            {asMass(added.grams)}
            {run.ingredient(added.ingredient).name}
            <button class="knob min-h-14" type="button" onclick={() => run.retract(added.event)}
              >Was not added</button
            >
          </li>
        {/each}
      </ul>
    </div>
  {/if}
</div>

<style>
  .doughs {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(4.6rem, 1fr));
    gap: 0.35rem;
    margin-bottom: 0.75rem;
  }
  .doughs button {
    display: grid;
    gap: 0.2rem;
    width: 100%;
    min-height: 5.2rem;
    padding: 0.9rem 0.35rem 0.3rem;
    border: 2px solid var(--line);
    border-radius: 3px 3px 12px 12px;
    background: var(--enamel);
    font-weight: 600;
    text-align: center;
  }
  .doughs button[aria-pressed='true'] {
    border-color: var(--rim);
    background: var(--sunk);
  }
  .big {
    font-size: 1.5rem;
    font-weight: 650;
    line-height: 1.25;
  }
  .big::first-letter {
    text-transform: uppercase;
  }
  h3 {
    font-weight: 650;
  }
</style>
