<script lang="ts">
  import '../ui/chart.css';
  import { measureOf, valueText, type Along, type MeasureId } from '@tender-crumb/core';
  import { scaleLinear, scaleTime } from 'd3-scale';
  import {
    area,
    curveMonotoneX,
    symbol,
    symbolCircle,
    symbolDiamond,
    symbolSquare,
    symbolTriangle,
  } from 'd3-shape';
  import { goto } from '$app/navigation';
  import { say } from '../ui/writing.ts';

  interface Point {
    readonly id: string;
    readonly day: string;
    readonly x: number;
    readonly y: number;
    readonly low?: number;
    readonly high?: number;
    readonly group: Readonly<Record<'bag' | 'leaven' | 'device', string>>;
  }

  type Forecast = Point & { readonly low: number; readonly high: number };
  const isForecast = (p: Point): p is Forecast => p.low !== undefined && p.high !== undefined;

  let {
    points,
    of,
    along,
    by,
  }: {
    points: readonly Point[];
    of: MeasureId;
    along: Along;
    by: '' | 'bag' | 'leaven' | 'device';
  } = $props();

  const size = { width: 1180, height: 380, left: 60, right: 16, top: 14, bottom: 42 };
  const sorted = $derived([...points].sort((a, b) => a.x - b.x));
  const spread = (values: readonly number[]): [number, number] => {
    const [least, most] = [Math.min(...values), Math.max(...values)];
    const more = (most - least || 1) * 0.06;
    return [least - more, most + more];
  };
  const ends = $derived(spread(points.map((p) => p.x)));
  const x = $derived(
    along === 'day'
      ? scaleTime()
          .domain(ends)
          .range([size.left, size.width - size.right])
      : scaleLinear()
          .domain(ends)
          .range([size.left, size.width - size.right]),
  );
  const y = $derived(
    scaleLinear()
      .domain(spread(points.flatMap((p) => [p.y, p.low ?? p.y, p.high ?? p.y])))
      .nice()
      .range([size.height - size.bottom, size.top]),
  );
  const month = new Intl.DateTimeFormat('en-GB', {
    month: 'short',
    year: '2-digit',
    timeZone: 'UTC',
  });
  const forecast = $derived(sorted.filter(isForecast));
  /** Along the calendar the forecasts are a band; along anything else each bake has its own. */
  const band = $derived(
    along === 'day'
      ? area<Forecast>()
          .x((p) => x(p.x))
          .y0((p) => y(p.low))
          .y1((p) => y(p.high))
          .curve(curveMonotoneX)(forecast)
      : undefined,
  );
  const held = $derived(forecast.filter((p) => p.y >= p.low && p.y <= p.high).length);
  const groups = $derived(by === '' ? [] : [...new Set(points.map((p) => p.group[by]))].sort());
  const shapes = [symbolCircle, symbolSquare, symbolTriangle, symbolDiamond];
  const shapeOf = (p: Point) =>
    symbol(by === '' ? symbolCircle : shapes[groups.indexOf(p.group[by]) % shapes.length]!, 90)() ??
    '';
  const filled = (p: Point) =>
    by === '' || Math.floor(groups.indexOf(p.group[by]) / shapes.length) % 2 === 0;
</script>

<figure>
  <svg
    class="chart"
    viewBox="0 0 {size.width} {size.height}"
    role="img"
    aria-label="{points.length} bakes: {measureOf(of).says} along {along === 'day'
      ? 'the calendar'
      : measureOf(along).says}"
  >
    {#each y.ticks(6) as tick (tick)}
      <line
        x1={size.left}
        x2={size.width - size.right}
        y1={y(tick)}
        y2={y(tick)}
        class="grid-line"
      />
      <text x={size.left - 8} y={y(tick)} class="tick" text-anchor="end" dy="0.32em"
        >{String(tick).replace('-', '−')}</text
      >
    {/each}
    {#each x.ticks(8) as tick (+tick)}
      <text x={x(tick)} y={size.height - 22} class="tick" text-anchor="middle"
        >{along === 'day' ? month.format(tick as Date) : String(tick).replace('-', '−')}</text
      >
    {/each}
    <text x={(size.left + size.width) / 2} y={size.height - 4} class="tick" text-anchor="middle"
      >{along === 'day' ? '' : `${measureOf(along).says}, ${measureOf(along).unit}`}</text
    >
    {#if band}<path d={band} class="band" />
    {:else}
      {#each forecast as p (p.id)}
        <line x1={x(p.x)} x2={x(p.x)} y1={y(p.low)} y2={y(p.high)} class="span" />
      {/each}
    {/if}
    {#each sorted as p (p.id)}
      <!-- svelte-ignore a11y_click_events_have_key_events -->
      <path
        d={shapeOf(p)}
        transform="translate({x(p.x)},{y(p.y)})"
        class={filled(p) ? 'full' : 'open'}
        role="link"
        tabindex="-1"
        onclick={() => goto(`/book/${p.id}`)}
        ><title
          >{p.day}: {say(valueText(of, p.y))}{along === 'day'
            ? ''
            : ` at ${say(valueText(along, p.x))}`}{by === '' ? '' : `, ${p.group[by]}`}</title
        ></path
      >
    {/each}
  </svg>
  <figcaption class="quiet">
    {measureOf(of).says}, {measureOf(of).unit}.
    {#if forecast.length > 0}{held} of {forecast.length} within {along === 'day'
        ? 'the band of their forecasts'
        : 'their forecasts, the bars'}, which should hold 8 in 10.{/if}
    {#if groups.length > 1}
      {#each groups as name, i (name)}
        <span class="mr-3 inline-flex items-center gap-1"
          ><svg width="14" height="14" viewBox="-7 -7 14 14" aria-hidden="true"
            ><path
              d={symbol(shapes[i % shapes.length]!, 60)() ?? ''}
              class={Math.floor(i / shapes.length) % 2 === 0 ? 'full' : 'open'}
            /></svg
          >{name}</span
        >
      {/each}
    {/if}
  </figcaption>
</figure>

<style>
  .span {
    stroke: var(--bubble);
    stroke-width: 7;
    stroke-linecap: round;
    opacity: 0.35;
  }
  .full {
    fill: var(--rim);
    stroke: var(--enamel);
    cursor: pointer;
  }
  .open {
    fill: var(--enamel);
    stroke: var(--rim);
    stroke-width: 2;
    cursor: pointer;
  }
</style>
