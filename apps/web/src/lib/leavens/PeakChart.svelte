<script lang="ts">
  import type { Paces } from '@tender-crumb/core/ferment';
  import { hoursToPeak, peakByWarmth, type Feeding, type PeakAt } from '@tender-crumb/core/starter';
  import { hoursText } from '@tender-crumb/core/quantity';
  import { scaleLinear, scaleLog } from 'd3-scale';
  import { area, line } from 'd3-shape';
  import Chart from '../ui/chart/Chart.svelte';
  import { Frame } from '../ui/chart/frame.svelte.ts';
  import { asWarmth } from '../ui/writing.ts';

  let {
    fed,
    whole,
    paces,
  }: {
    /** Jars that were fed alike, with how warm they stood and when they stood highest. */
    fed: readonly Feeding[];
    whole: number;
    paces: Paces;
  } = $props();

  const warmths = [14, 17, 20, 23, 26, 29, 32, 35];
  const frame = new Frame({ usual: 560, height: 260, left: 52, right: 16, top: 16, bottom: 40 });
  const feeding = $derived({ ...fed[0]!, whole });
  const any = $derived(peakByWarmth(feeding, undefined, warmths));
  const own = $derived(peakByWarmth(feeding, paces.starter, warmths));
  const seen = $derived(
    fed.flatMap((f) => {
      const hours = hoursToPeak(f);
      return hours === undefined || f.celsius === undefined ? [] : [{ celsius: f.celsius, hours }];
    }),
  );
  const x = $derived(scaleLinear().domain([13, 36]).range(frame.across));
  const all = $derived([...any, ...own]);
  const y = $derived(
    scaleLog()
      .domain([
        Math.min(2, ...all.map((p) => p.low), ...seen.map((s) => s.hours)),
        Math.max(24, ...seen.map((s) => s.hours)),
      ])
      .clamp(true)
      .range(frame.upward),
  );
  const band = $derived(
    area<PeakAt>()
      .x((p) => x(p.celsius))
      .y0((p) => y(p.low))
      .y1((p) => y(p.high)),
  );
  const middle = $derived(
    line<PeakAt>()
      .x((p) => x(p.celsius))
      .y((p) => y(p.middle)),
  );
  const across = $derived([15, 20, 25, 30, 35].map((t) => ({ at: x(t), says: asWarmth(t) })));
  const upward = $derived(
    [2, 4, 8, 16, 24]
      .filter((h) => h >= y.domain()[0]! && h <= y.domain()[1]!)
      .map((h) => ({ at: y(h), says: `${h} h` })),
  );
</script>

<figure>
  <figcaption class="mb-1"><b>How long until it stands highest?</b></figcaption>
  <Chart
    {frame}
    {across}
    {upward}
    label="Hours from feeding to the peak, by how warm the jar stands; the table below says the same"
  >
    <path d={band(any) ?? ''} class="any" />
    <path d={band(own) ?? ''} class="own" />
    <path d={middle(own) ?? ''} class="middle" />
    {#each seen as { celsius, hours } (celsius)}
      <circle cx={x(celsius)} cy={y(hours)} r="6" class="seen" />
    {/each}
  </Chart>
  <ul class="quiet flex flex-wrap gap-x-4 gap-y-1">
    <li><span class="key any-key"></span> any starter</li>
    <li><span class="key own-key"></span> yours, most likely</li>
    <li><span class="key seen-key"></span> what you saw</li>
  </ul>
  <table class="mt-2 tabular-nums">
    <thead class="quiet text-left">
      <tr
        ><th class="pr-6 font-normal">Jar at</th><th class="font-normal">stands highest after</th
        ></tr
      >
    </thead>
    <tbody>
      {#each own.filter((p) => [20, 23, 26, 29].includes(p.celsius)) as p (p.celsius)}
        <tr>
          <td class="pr-6">{asWarmth(p.celsius)}</td>
          <td><b>{hoursText(p.low)}</b> to <b>{hoursText(p.high)}</b></td>
        </tr>
      {/each}
    </tbody>
  </table>
  <p class="quiet">Above {asWarmth(33)} two jars tell little: look often.</p>
</figure>

<style>
  .any {
    fill: var(--sunk);
    stroke: var(--line);
  }
  .own {
    fill: var(--bubble);
    opacity: 0.55;
  }
  .middle {
    fill: none;
    stroke: var(--rim);
    stroke-width: 2;
  }
  .seen {
    fill: var(--act);
    stroke: var(--enamel);
    stroke-width: 2;
  }
  .any-key {
    background: var(--sunk);
  }
  .own-key {
    background: var(--bubble);
  }
  .seen-key {
    width: 0.7rem;
    border-radius: 50%;
    background: var(--act);
  }
</style>
