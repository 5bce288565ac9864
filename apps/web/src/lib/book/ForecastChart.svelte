<script lang="ts">
  import '../ui/chart.css';
  import { scaleLinear, scalePoint } from 'd3-scale';
  import { area, curveMonotoneX, line } from 'd3-shape';
  import { asPoints } from '../ui/writing.ts';

  interface Point {
    readonly id: string;
    readonly day: string;
    readonly forecast: number;
    readonly low: number;
    readonly high: number;
    readonly felt: number;
  }

  let { points }: { points: readonly Point[] } = $props();

  const size = { width: 1180, height: 210, left: 44, right: 12, top: 14, bottom: 26 };
  const x = $derived(
    scalePoint()
      .domain(points.map((p) => p.id))
      .range([size.left + 8, size.width - size.right - 8]),
  );
  const y = $derived(
    scaleLinear()
      .domain([
        Math.min(...points.map((p) => Math.min(p.low, p.felt))),
        Math.max(...points.map((p) => Math.max(p.high, p.felt))),
      ])
      .nice()
      .range([size.height - size.bottom, size.top]),
  );
  const at = (p: Point) => x(p.id) ?? 0;
  const band = $derived(
    area<Point>()
      .x(at)
      .y0((p) => y(p.low))
      .y1((p) => y(p.high))
      .curve(curveMonotoneX)(points) ?? '',
  );
  const middle = $derived(
    line<Point>()
      .x(at)
      .y((p) => y(p.forecast))
      .curve(curveMonotoneX)(points) ?? '',
  );
  const inside = $derived(points.filter((p) => p.felt >= p.low && p.felt <= p.high).length);
</script>

<figure>
  <figcaption class="mb-1">
    <b>Do the forecasts hold?</b>
    {inside} of {points.length} bakes felt as forecast, within the band that should hold 8 in 10.
  </figcaption>
  <svg
    class="chart"
    viewBox="0 0 {size.width} {size.height}"
    role="img"
    aria-label="Forecast and feel of {points.length} bakes; {inside} felt within the forecast band"
  >
    {#each y.ticks(5) as tick (tick)}
      <line
        x1={size.left}
        x2={size.width - size.right}
        y1={y(tick)}
        y2={y(tick)}
        class="grid-line"
      />
      <text x={size.left - 8} y={y(tick)} class="tick" text-anchor="end" dy="0.32em"
        >{asPoints(tick)}</text
      >
    {/each}
    <path d={band} class="band" />
    <path d={middle} class="middle" />
    {#each points as p (p.id)}
      <circle
        cx={at(p)}
        cy={y(p.felt)}
        r="4"
        class={p.felt >= p.low && p.felt <= p.high ? 'held' : 'missed'}
      >
        <title>{p.day}: felt {asPoints(p.felt)}, forecast {asPoints(p.forecast)}</title>
      </circle>
    {/each}
    <text x={size.left} y={size.height - 6} class="tick">{points[0]?.day}</text>
    <text x={size.width - size.right} y={size.height - 6} class="tick" text-anchor="end"
      >{points.at(-1)?.day}</text
    >
  </svg>
  <p class="quiet">
    Band and line: forecast. Filled dots: felt within it. Open rings: felt outside.
  </p>
</figure>

<style>
  .middle {
    fill: none;
    stroke: var(--rim);
    stroke-width: 2;
  }
  .held {
    fill: var(--rim);
    stroke: var(--enamel);
  }
  .missed {
    fill: var(--enamel);
    stroke: var(--act);
    stroke-width: 2.5;
  }
</style>
