<script lang="ts">
  import { measureOf, valueText, type Along, type MeasureId } from '@tender-crumb/core/book';
  import { scaleLinear, scaleTime } from 'd3-scale';
  import { symbol, symbolCircle, symbolDiamond, symbolSquare, symbolTriangle } from 'd3-shape';
  import { goto } from '$app/navigation';
  import Chart from '../ui/chart/Chart.svelte';
  import { Frame } from '../ui/chart/frame.svelte.ts';
  import { say } from '../ui/writing.ts';
  import { measureMarks } from './measure-marks.ts';

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

  /** A measure, with its unit where its marks do not say it. */
  const named = (id: MeasureId) => {
    const { says, unit, text } = measureOf(id);
    return text ? says : `${says}, ${unit}`;
  };
  /** A letter of what is written at an axis is about so wide. */
  const letter = 6.4;
  const frame: Frame = new Frame({
    usual: 1180,
    height: 380,
    get left() {
      return 20 + letter * Math.max(...upward.map((m) => m.says.length));
    },
    right: 16,
    top: 14,
    get bottom() {
      return along === 'day' ? 30 : 48;
    },
  });
  const sorted = $derived([...points].sort((a, b) => a.x - b.x));
  const spread = (values: readonly number[]): [number, number] => {
    const [least, most] = [Math.min(...values), Math.max(...values)];
    const more = (most - least || 1) * 0.06;
    return [least - more, most + more];
  };
  const ends = $derived(spread(points.map((p) => p.x)));
  const y = $derived(
    scaleLinear()
      .domain(spread(points.flatMap((p) => [p.y, p.low ?? p.y, p.high ?? p.y])))
      .nice()
      .range(frame.upward),
  );
  const upward = $derived(measureMarks(of, y, 6, say));
  const days = $derived(scaleTime().domain(ends).range(frame.across));
  const values = $derived(scaleLinear().domain(ends).range(frame.across));
  const x = $derived((at: number) => (along === 'day' ? days(at) : values(at)));
  const across = $derived(
    along === 'day'
      ? days
          .ticks(Math.min(8, frame.marks(70)))
          .map((t) => ({ at: days(t), says: month.format(t) }))
      : measureMarks(along, values, Math.min(8, frame.marks(90)), say),
  );
  const month = new Intl.DateTimeFormat('en-GB', {
    month: 'short',
    year: '2-digit',
    timeZone: 'UTC',
  });
  const forecast = $derived(sorted.filter(isForecast));
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
  <Chart
    {frame}
    {across}
    {upward}
    label="{points.length} bakes: {measureOf(of).says} along {along === 'day'
      ? 'the calendar'
      : measureOf(along).says}"
    under={along === 'day' ? '' : named(along)}
  >
    {#each forecast as p (p.id)}
      <line x1={x(p.x)} x2={x(p.x)} y1={y(p.low)} y2={y(p.high)} class="span" />
    {/each}
    {#each sorted as p (p.id)}
      <!-- By keys and by ear they are the links of the table below. -->
      <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
      <path
        d={shapeOf(p)}
        transform="translate({x(p.x)},{y(p.y)})"
        class={filled(p) ? 'full' : 'open'}
        onclick={() => goto(`/book/${p.id}`)}
        ><title
          >{p.day}: {say(valueText(of, p.y))}{along === 'day'
            ? ''
            : ` at ${say(valueText(along, p.x))}`}{by === '' ? '' : `, ${p.group[by]}`}</title
        ></path
      >
    {/each}
  </Chart>
  <figcaption class="quiet">
    {named(of)}.
    {#if forecast.length > 0}{held} of {forecast.length} inside their forecasts, the bars; 8 in 10 should
      be.{/if}
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
<details class="mt-2">
  <summary>As a table</summary>
  <div class="max-h-96 overflow-auto">
    <table class="w-full">
      <thead class="quiet text-left">
        <tr>
          <th class="p-1 font-normal">Bake</th>
          {#if along !== 'day'}<th class="p-1 text-right font-normal">{measureOf(along).says}</th
            >{/if}
          <th class="p-1 text-right font-normal">{measureOf(of).says}</th>
          {#if forecast.length > 0}<th class="p-1 text-right font-normal">forecast</th>{/if}
          {#if by !== ''}<th class="p-1 font-normal">{by}</th>{/if}
        </tr>
      </thead>
      <tbody>
        {#each sorted as p (p.id)}
          <tr class="border-t border-line">
            <td class="p-1"><a class="link touch" href="/book/{p.id}">{p.day}</a></td>
            {#if along !== 'day'}<td class="p-1 text-right">{say(valueText(along, p.x))}</td>{/if}
            <td class="p-1 text-right">{say(valueText(of, p.y))}</td>
            {#if forecast.length > 0}
              <td class="p-1 text-right"
                >{isForecast(p)
                  ? say(`${valueText(of, p.low)} to ${valueText(of, p.high)}`)
                  : ''}</td
              >
            {/if}
            {#if by !== ''}<td class="p-1">{p.group[by]}</td>{/if}
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
</details>

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
