<script lang="ts">
  import { pokes, type Poke } from '@tender-crumb/core/bake';
  import { pokeSays, riseOf, type RunStep } from '@tender-crumb/core/lead';
  import { isForecast, volumeText } from '@tender-crumb/core/ferment';
  import PokeDrawing from '../drawing/PokeDrawing.svelte';
  import VesselMark from '../drawing/VesselMark.svelte';
  import type { Run } from './run.svelte.ts';
  import WarmthNote from './WarmthNote.svelte';

  let { run, step, time }: { run: Run; step: RunStep; time: (iso: string) => string } = $props();

  const rise = $derived(riseOf[step.kind as keyof typeof riseOf]);
  const forecast = $derived(run.view.rises.find((r) => r.id === rise));
  const volume = $derived(forecast && 'volume' in forecast.end ? forecast.end.volume : undefined);
  const marks = $derived(run.view.state.marks.filter((m) => m.rise === rise));
  const noted = $derived(run.view.state.rises[rise]);
  const poked = $derived(run.view.state.pokes.findLast((p) => p.rise === rise));

  const answers: Record<Poke, string> = {
    'at-once': 'back at once',
    slowly: 'comes back slowly',
    stays: 'the dent stays',
  };
  const senses = { 'not-yet': 'not yet', there: 'ready', past: 'over-proofed' } as const;

  const times = [1.25, 1.5, 1.75, 2, 2.5] as const;
  const curve = $derived(forecast && isForecast(forecast.forecast));
</script>

<div class="grid gap-4">
  <div class="grid items-start gap-4 sm:grid-cols-[auto_minmax(0,1fr)]">
    <VesselMark
      {volume}
      now={marks.at(-1)?.volume}
      label={volume ? `Ready at ${volumeText(volume)}` : 'Ready by touch'}
    />
    <div class="grid gap-2">
      <h3>How far has it risen?</h3>
      <div class="flex flex-wrap gap-2" role="group" aria-label="How high it stands">
        {#each times as of (of)}
          <button
            class="knob min-h-14"
            type="button"
            aria-pressed={marks.at(-1)?.volume === of}
            onclick={() => run.say('marked', { rise, volume: of })}>{volumeText(of)}</button
          >
        {/each}
      </div>
      {#if marks.length > 0}
        <p class="quiet">
          {marks.map((m) => `${time(m.at)} ${volumeText(m.volume)}`).join(', ')}
        </p>
      {/if}
      <div class="flex flex-wrap gap-2">
        <button
          class="knob min-h-14 border-transparent"
          type="button"
          onclick={() => run.noteRise(rise, 'not-yet')}>Not yet</button
        >
        <button
          class="knob min-h-14 border-transparent"
          type="button"
          onclick={() => run.noteRise(rise, 'past')}>Over-proofed</button
        >
        <a class="knob min-h-14 border-transparent" href="/bake/rescue?bake={run.id}">Not rising</a>
      </div>
      {#if noted && noted.notes.length > 0}
        <p class="quiet">{noted.notes.map((n) => `${time(n.at)} ${senses[n.sense]}`).join(', ')}</p>
      {/if}
      {#if !curve}
        <p class="quiet">Go by eye: no forecast for this dough.</p>
      {/if}
    </div>
  </div>

  <section aria-labelledby="poke">
    <h3 id="poke">Poke it with a floury finger</h3>
    <ul class="mt-2 grid grid-cols-3 gap-2">
      {#each pokes as poke (poke)}
        <li>
          <button
            class="poke"
            type="button"
            aria-pressed={poked?.answer === poke}
            onclick={() => run.say('poked', { rise, answer: poke })}
          >
            <PokeDrawing {poke} />
            <span>{answers[poke]}</span>
          </button>
        </li>
      {/each}
    </ul>
    {#if poked}<p class="mt-2 text-lg font-semibold" role="status">
        {pokeSays(rise, poked.answer)}
      </p>{/if}
  </section>

  <WarmthNote {run} places={['dough', 'air']} />
</div>

<style>
  h3 {
    font-weight: 650;
  }
  .poke {
    width: 100%;
    min-height: 5.5rem;
    padding: 0.4rem;
    border: 2px solid var(--line);
    border-radius: 3px 3px 12px 12px;
    background: var(--enamel);
    font-weight: 600;
  }
  .poke[aria-pressed='true'] {
    border-color: var(--rim);
    background: var(--sunk);
  }
</style>
