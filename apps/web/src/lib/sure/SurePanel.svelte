<script lang="ts">
  import type { DoubtShare } from '@tender-crumb/core/dough';
  import { ingredient } from '@tender-crumb/core/ingredient';
  import { area, curveBasis } from 'd3-shape';
  import { onMount } from 'svelte';
  import type { Bench } from '../bench/bench.svelte.ts';
  import { drawn as drawnScale, place } from '../level/scale.ts';
  import { Sure } from './sure.svelte.ts';
  import { asPoints, say } from '../ui/writing.ts';

  let { bench }: { bench: Bench } = $props();

  const sure = new Sure();
  /** After the last key, so that a word being typed is not drawn letter by letter. */
  const pauseMs = 350;

  $effect(() => {
    const { formula, household, belief } = bench;
    const timer = setTimeout(() => void sure.draw(formula, household, belief), pauseMs);
    return () => clearTimeout(timer);
  });
  onMount(() => () => sure.stop());

  const height = 64;
  const shape = $derived.by(() => {
    if (!sure.drawn) return '';
    const { from, to, counts } = sure.drawn.simulation.histogram;
    const most = Math.max(...counts);
    const at = (i: number) => place(from + ((i + 0.5) * (to - from)) / counts.length);
    return (
      area<number>()
        .x((_, i) => at(i))
        .y0(height)
        .y1((count) => height - (count / most) * (height - 4))
        .curve(curveBasis)([...counts]) ?? ''
    );
  });

  const words: Record<DoubtShare['kind'], (of: string) => string> = {
    absorption: (of) => `the absorption of the ${of}`,
    habit: () => 'how you fill a cup',
    habitOf: (of) => `how you fill a cup of ${of}`,
    air: () => 'how damp your flour gets',
    departure: () => 'how this bread differs from others',
    touch: () => 'how your touch differs from the words',
    measuring: (of) => `measuring the ${of}`,
    moisture: () => 'how moist the flour is',
    softening: () => 'how far sugar and fat soften',
  };
  const nameOf = (id: string | undefined) =>
    id === undefined
      ? ''
      : bench.view.pantry.has(id)
        ? bench.view.pantry.ingredient(id).name
        : ingredient(id).name;
  const worthShowing = 0.015;
</script>

<div class="grid gap-4">
  {#if sure.running}
    <div class="flex items-center gap-3">
      <progress class="grow" max="1" value={sure.progress} aria-label="Drawing the dough"
      ></progress>
      <button class="knob" type="button" onclick={() => sure.cancel()}>Stop</button>
    </div>
  {/if}
  {#if sure.drawn}
    {@const { simulation, surer } = sure.drawn}
    {@const window = bench.view.evaluation?.window ?? [0, 0]}
    <p>
      Measured your way, 8 in 10 doughs come out between
      <b>{asPoints(simulation.low)}</b> and <b>{asPoints(simulation.high)}</b>.
    </p>
    <svg
      class="curve"
      viewBox="0 0 100 {height}"
      preserveAspectRatio="none"
      role="img"
      aria-label="Where the doughs come out, from {asPoints(drawnScale[0])} to {asPoints(
        drawnScale[1],
      )}, wanted {asPoints(window[0])} to {asPoints(window[1])}"
    >
      <rect
        class="wanted"
        x={place(window[0])}
        width={place(window[1]) - place(window[0])}
        y="0"
        {height}
      />
      <path class="doughs" d={shape} />
      {#each window as end, i (i)}
        <line class="mark" x1={place(end)} x2={place(end)} y1="0" y2={height} />
      {/each}
    </svg>
    <div class="grid gap-4 @sm:grid-cols-2">
      <div>
        <h2>What would make it surer</h2>
        {#if surer.length === 0}
          <p class="quiet">Nothing worth the effort: this is as sure as it gets.</p>
        {:else}
          <ol class="grid gap-1.5">
            {#each surer.slice(0, 5) as s, i (s.key)}
              <li class="bar">
                <span class="track" style:width="{100 * s.narrower}%"></span>
                <span class:font-semibold={i === 0}>{say(s.says)}</span>
                <span class="amount">{Math.round(100 * s.narrower)} % narrower</span>
              </li>
            {/each}
          </ol>
        {/if}
      </div>
      <div>
        <h2>What it is unsure of</h2>
        <ol class="grid gap-1.5">
          {#each simulation.shares.filter((s) => s.share > worthShowing).slice(0, 6) as s (s.key)}
            <li class="bar">
              <span class="track" style:width="{100 * s.share}%"></span>
              <span>{words[s.kind](nameOf(s.ingredient))}</span>
              <span class="amount">{Math.round(100 * s.share)} %</span>
            </li>
          {/each}
        </ol>
      </div>
    </div>
  {:else if !sure.running}
    <p class="quiet">
      {bench.view.evaluation ? 'Drawing …' : 'Add some flour first.'}
    </p>
  {/if}
</div>

<style>
  progress {
    height: 0.8rem;
    accent-color: var(--rim);
  }
  .curve {
    width: 100%;
    height: 4rem;
    border-bottom: 2px solid var(--rim);
  }
  .wanted {
    fill: var(--sunk);
  }
  .doughs {
    fill: color-mix(in oklab, var(--bubble), transparent 30%);
    stroke: var(--water);
    stroke-width: 1.5;
    vector-effect: non-scaling-stroke;
  }
  .mark {
    stroke: var(--rim);
    stroke-width: 2.5;
    vector-effect: non-scaling-stroke;
  }
  h2 {
    margin-bottom: 0.35rem;
    font-weight: 650;
  }
  .bar {
    position: relative;
    display: flex;
    justify-content: space-between;
    gap: 0.75rem;
    padding: 0.2rem 0.5rem;
    font-size: 0.925rem;
  }
  .track {
    position: absolute;
    inset-block: 0;
    left: 0;
    z-index: 0;
    border-radius: 2px 2px 8px 2px;
    background: color-mix(in oklab, var(--bubble), transparent 70%);
  }
  .bar > :not(.track) {
    position: relative;
  }
  .amount {
    white-space: nowrap;
    color: var(--soft);
  }
</style>
