<script lang="ts">
  import { checkKinds } from '@tender-crumb/core/hands';
  import { usualBaker } from '@tender-crumb/core/household';
  import { stateAt } from '@tender-crumb/core/dough';
  import DoughLooks from '../drawing/DoughLooks.svelte';
  import Level from '../level/Level.svelte';
  import Either from '../ui/Either.svelte';
  import { asMass, say } from '../ui/writing.ts';
  import type { Run } from './run.svelte.ts';

  let { run }: { run: Run } = $props();

  const at = $derived(run.feeling ?? (run.view.feltSince ? run.view.felt : undefined));
  const kind = $derived(checkKinds[run.view.checkKind]);
  const style = $derived(run.view.formula.style);
</script>

<div class="mb-3">
  <DoughLooks {style} kind={kind.drawn} {at} onpick={(points) => (run.feeling = points)} />
</div>
{#if run.household.bakers.length > 1}
  <div class="mb-3 flex flex-wrap items-center gap-3 text-lg">
    <span>Who feels it?</span>
    <Either
      label="Who feels it"
      size="large"
      value={run.view.state.baker ?? usualBaker}
      choices={run.household.bakers.map((b) => [b.id, b.name] as const)}
      onpick={(baker) => run.bakedBy(baker)}
    />
  </div>
{/if}
{#if run.view.momentMatters}
  <div class="mb-3 flex flex-wrap items-center gap-3 text-lg">
    <span>
      This flour takes up water slowly.
      {#if run.restedSaid === undefined && run.touch.wetFor !== undefined}
        {run.touch.wetFor < 1
          ? 'The dough was mixed just now'
          : `The dough was mixed ${Math.round(run.touch.wetFor)} minutes ago`}{run.touch.rested
          ? '. The flour has taken up its water. If not, say when:'
          : '. The flour is still taking up water. If not, say when:'}
      {:else}You touch the dough{/if}
    </span>
    <Either
      label="When you touch it"
      size="large"
      value={run.restedSaid === undefined ? undefined : run.restedSaid ? 'rested' : 'mixed'}
      choices={[
        ['mixed', 'just mixed'],
        ['rested', `after ${run.view.restMinutes} minutes’ rest`],
      ]}
      onpick={(moment) => (run.restedSaid = moment === 'rested')}
    />
  </div>
{/if}
<p class="quiet mb-2">Tap how it looks, or slide to how it feels.</p>
<Level
  level={run.touch.forecast}
  window={run.view.window}
  size="counter"
  felt={at}
  label="How the dough feels"
  onfeel={(points) => (run.feeling = points)}
/>

<div class="mt-4 grid gap-4" aria-live="polite">
  {#if run.feeling !== undefined}
    <p class="big">{stateAt(run.feeling, style).says}</p>
    <div>
      {#if run.view.momentMatters && run.touch.rested === undefined}
        <p class="mb-2 font-semibold">Say above when you touched it.</p>
      {/if}
      <button
        class="knob knob-act knob-large"
        type="button"
        disabled={run.view.momentMatters && run.touch.rested === undefined}
        onclick={() => run.feel(run.feeling!)}
      >
        It feels like this
      </button>
    </div>
  {:else if run.view.advice && run.view.isRising(run.clock)}
    <p class="big">The dough is rising: leave it. The book remembers how it felt.</p>
  {:else if run.view.advice}
    <p class="big">{say(run.view.advice.says)}</p>
    {#if run.view.advice.action === 'add'}
      {@const { ingredient: of, grams } = run.view.advice}
      <div>
        <button class="knob knob-act knob-large" type="button" onclick={() => run.add(of!, grams!)}>
          Added {asMass(grams!)} of {run.view.pantry.ingredient(of!).name}
        </button>
      </div>
    {/if}
  {:else if run.view.state.added.length > 0}
    <p class="big">Wait two or three minutes, then feel again.</p>
  {/if}

  {#if run.view.state.added.length > 0}
    <div>
      <h3>Added at the check</h3>
      <ul class="mt-1 grid gap-1 text-lg">
        {#each run.view.state.added as added (added.event)}
          <li class="flex flex-wrap items-center gap-3">
            {asMass(added.grams)}
            {run.view.pantry.ingredient(added.ingredient).name}
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
