<script lang="ts">
  import type { Round } from '@tender-crumb/core/practice';
  import { ground, kneadedOutline, pokedOutline } from './moving.ts';

  let { round, onframe }: { round: Round; onframe?: (ms: number) => void } = $props();

  let body: SVGPathElement | undefined = $state();
  const draw = (seconds: number) =>
    round.lesson === 'knead'
      ? kneadedOutline(round.now, seconds)
      : pokedOutline(round.truth, seconds);

  $effect(() => {
    const still = matchMedia('(prefers-reduced-motion: reduce)').matches;
    const begun = performance.now();
    let last = begun;
    let frame = 0;
    const step = (now: number) => {
      body?.setAttribute('d', draw((now - begun) / 1000));
      onframe?.(now - last);
      last = now;
      if (!still) frame = requestAnimationFrame(step);
    };
    // Where nothing may move it stands as it is in the middle of its turn.
    if (still) body?.setAttribute('d', draw(2.2));
    else frame = requestAnimationFrame(step);
    return () => cancelAnimationFrame(frame);
  });
</script>

<svg viewBox="0 0 260 170" aria-hidden="true" class="moving">
  {#if round.lesson === 'knead'}
    <path d="M20 40 L44 148 Q46 158 60 158 H200 Q214 158 216 148 L240 40" class="bowl-side" />
    <ellipse cx="130" cy="40" rx="110" ry="14" class="bowl-rim" />
  {:else}
    <path d="M24 {ground - 46} L34 {ground + 8} H226 L236 {ground - 46}" class="bowl-side" />
  {/if}
  <path bind:this={body} d={draw(0)} class="body" />
  <path d="M12 {ground + 11} H248" class="bench" />
</svg>

<style>
  .moving {
    width: 100%;
    max-height: 19rem;
  }
  .body {
    fill: color-mix(in oklab, var(--grain), var(--enamel) 45%);
    stroke: var(--grain);
    stroke-width: 2.5;
  }
  .bowl-side {
    fill: var(--sunk);
    stroke: var(--rim);
    stroke-width: 3;
  }
  .bowl-rim {
    fill: var(--enamel);
    stroke: var(--rim);
    stroke-width: 3;
  }
  .bench {
    stroke: var(--line);
    stroke-width: 3;
  }
</style>
