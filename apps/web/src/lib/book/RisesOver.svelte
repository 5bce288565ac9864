<script lang="ts">
  import type { FirstRise } from '@tender-crumb/core/book';
  import type { RisePoint } from '@tender-crumb/core/ferment';
  import { hoursText } from '@tender-crumb/core/quantity';
  import { scaleLinear } from 'd3-scale';
  import { line } from 'd3-shape';
  import Chart from '../ui/chart/Chart.svelte';
  import { Frame } from '../ui/chart/frame.svelte.ts';
  import { hourMarks } from '../ui/chart/hour-marks.ts';

  let { rises }: { rises: ReadonlyArray<FirstRise & { readonly name: string }> } = $props();

  const frame = new Frame({ usual: 900, height: 240, left: 44, right: 110, top: 12, bottom: 28 });
  /** Told apart by their strokes, and by their names at the end. */
  const dashes = ['', '10 5', '3 4', '12 4 3 4'];
  const longest = $derived(
    Math.max(...rises.flatMap((r) => [r.curve.at(-1)?.hours ?? 0, r.took?.hours ?? 0])),
  );
  const highest = $derived(Math.max(...rises.flatMap((r) => r.curve.map((p) => p.volume))));
  const x = $derived(scaleLinear().domain([0, longest]).range(frame.across));
  const y = $derived(scaleLinear().domain([1, highest]).nice().range(frame.upward));
  const path = $derived(
    line<RisePoint>()
      .x((p) => x(p.hours))
      .y((p) => y(p.volume)),
  );
  const said = $derived(
    rises
      .map(
        ({ name, thought, took }) =>
          `${name}: planned ${hoursText(thought)}${took ? `, actual ${hoursText(took.hours)}` : ''}`,
      )
      .join('; '),
  );
</script>

<figure>
  <Chart
    {frame}
    label={said}
    across={hourMarks([0, longest], Math.min(7, frame.marks(64))).map((mark) => ({
      at: x(mark),
      says: mark === 0 ? '0' : hoursText(mark),
    }))}
    upward={y.ticks(4).map((tick) => ({ at: y(tick), says: `×${tick}` }))}
  >
    {#each rises as { name, curve, took }, i (i)}
      {@const end = curve.at(-1)!}
      <path d={path([...curve]) ?? ''} class="curve" stroke-dasharray={dashes[i % dashes.length]} />
      <text x={x(end.hours) + 6} y={y(end.volume) + 14 * i} class="tick" dy="0.32em">{name}</text>
      {#if took}
        <circle cx={x(took.hours)} cy={y(took.volume)} r="5" class="there"
          ><title>{name}: there after {hoursText(took.hours)}</title></circle
        >
      {/if}
    {/each}
  </Chart>
  <figcaption class="quiet">Lines: the forecast. Dots: when you said it was ready.</figcaption>
</figure>

<style>
  .curve {
    fill: none;
    stroke: var(--rim);
    stroke-width: 2;
  }
  .there {
    fill: var(--act);
    stroke: var(--enamel);
    stroke-width: 1.5;
  }
</style>
