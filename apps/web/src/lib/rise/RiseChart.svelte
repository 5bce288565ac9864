<script lang="ts">
  import '../ui/chart.css';
  import { hoursText, isForecast, type Rise, type RisePoint } from '@tender-crumb/core';
  import { scaleLinear } from 'd3-scale';
  import { line } from 'd3-shape';

  let { rise, curve }: { rise: Rise; curve: readonly RisePoint[] } = $props();

  const size = { width: 760, height: 220, left: 40, right: 14, top: 14, bottom: 30 };
  const x = $derived(
    scaleLinear()
      .domain([0, curve.at(-1)?.hours ?? 1])
      .range([size.left, size.width - size.right]),
  );
  /** Marks of the hours: as many as are read at a glance. */
  const marks = $derived.by(() => {
    const length = curve.at(-1)?.hours ?? 1;
    const step = [0.25, 0.5, 1, 2, 3, 6, 12, 24].find((s) => length / s <= 8) ?? 24;
    return Array.from({ length: Math.floor(length / step) + 1 }, (_, i) => i * step);
  });
  const end = $derived('volume' in rise.end ? rise.end.volume : undefined);
  const y = $derived(
    scaleLinear()
      .domain([1, Math.max(end ?? 1, ...curve.map((p) => p.volume)) + 0.1])
      .nice()
      .range([size.height - size.bottom, size.top]),
  );
  const path = $derived(
    line<RisePoint>()
      .x((p) => x(p.hours))
      .y((p) => y(p.volume))(curve) ?? '',
  );
  const band = $derived(isForecast(rise.forecast) ? rise.forecast : undefined);
</script>

<figure>
  <figcaption class="mb-1"><b>How high does it stand, and when?</b></figcaption>
  <svg
    class="chart"
    viewBox="0 0 {size.width} {size.height}"
    role="img"
    aria-label={band
      ? `The first rise: ${rise.until} after about ${hoursText(band.middle)}`
      : 'The first rise, which does not come to its end'}
  >
    {#each y.ticks(4) as tick (tick)}
      <line
        x1={size.left}
        x2={size.width - size.right}
        y1={y(tick)}
        y2={y(tick)}
        class="grid-line"
      />
      <text x={size.left - 6} y={y(tick)} class="tick" text-anchor="end" dy="0.32em">×{tick}</text>
    {/each}
    {#each marks as mark (mark)}
      <text x={x(mark)} y={size.height - 8} class="tick" text-anchor="middle"
        >{mark === 0 ? '0' : hoursText(mark)}</text
      >
    {/each}
    {#if band}
      <rect
        x={x(band.low)}
        width={x(band.high) - x(band.low)}
        y={size.top}
        height={size.height - size.top - size.bottom}
        class="band"
      />
      <line
        x1={x(band.middle)}
        x2={x(band.middle)}
        y1={size.top}
        y2={size.height - size.bottom}
        class="ripe"
      />
    {/if}
    {#if end !== undefined}
      <line x1={size.left} x2={size.width - size.right} y1={y(end)} y2={y(end)} class="end" />
    {/if}
    <path d={path} class="volume" />
  </svg>
  <p class="quiet">
    Curve: volume. Dashed: where it is to stand. Shaded: ready in there 8 times in 10.
  </p>
</figure>

<style>
  .ripe {
    stroke: var(--rim);
    stroke-width: 2;
  }
  .end {
    stroke: var(--rim);
    stroke-dasharray: 6 5;
  }
  .volume {
    fill: none;
    stroke: var(--act);
    stroke-width: 2.5;
  }
</style>
