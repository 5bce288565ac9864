<script lang="ts">
  import { isForecast, type Rise, type RisePoint } from '@tender-crumb/core/ferment';
  import { hoursText } from '@tender-crumb/core/quantity';
  import { scaleLinear } from 'd3-scale';
  import { line } from 'd3-shape';
  import Chart from '../ui/chart/Chart.svelte';
  import { Frame } from '../ui/chart/frame.svelte.ts';
  import { hourMarks } from '../ui/chart/hour-marks.ts';

  let { rise, curve }: { rise: Rise; curve: readonly RisePoint[] } = $props();

  const frame = new Frame({ usual: 760, height: 220, left: 44, right: 14, top: 14, bottom: 30 });
  const length = $derived(curve.at(-1)?.hours ?? 1);
  const x = $derived(scaleLinear().domain([0, length]).range(frame.across));
  const across = $derived(
    hourMarks([0, length], Math.min(9, frame.marks(64))).map((mark) => ({
      at: x(mark),
      says: mark === 0 ? '0' : hoursText(mark),
    })),
  );
  const end = $derived('volume' in rise.end ? rise.end.volume : undefined);
  const y = $derived(
    scaleLinear()
      .domain([1, Math.max(end ?? 1, ...curve.map((p) => p.volume)) + 0.1])
      .nice()
      .range(frame.upward),
  );
  const path = $derived(
    line<RisePoint>()
      .x((p) => x(p.hours))
      .y((p) => y(p.volume))(curve) ?? '',
  );
  const band = $derived(isForecast(rise.forecast) ? rise.forecast : undefined);
</script>

<figure>
  <figcaption class="mb-1"><b>How far has it risen?</b></figcaption>
  <Chart
    {frame}
    {across}
    upward={y.ticks(4).map((tick) => ({ at: y(tick), says: `×${tick}` }))}
    label={band
      ? `The first rise: ${rise.until} after about ${hoursText(band.middle)}`
      : 'The first rise never ends'}
  >
    {#if band}
      <rect
        x={x(band.low)}
        width={x(band.high) - x(band.low)}
        y={frame.top}
        height={frame.bottom - frame.top}
        class="band"
      />
      <line x1={x(band.middle)} x2={x(band.middle)} y1={frame.top} y2={frame.bottom} class="ripe" />
    {/if}
    {#if end !== undefined}
      <line x1={frame.left} x2={frame.right} y1={y(end)} y2={y(end)} class="end" />
    {/if}
    <path d={path} class="volume" />
  </Chart>
  <p class="quiet">Curve: volume. Dashed: ready. Shaded: most likely ready.</p>
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
