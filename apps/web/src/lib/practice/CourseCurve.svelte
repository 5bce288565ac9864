<script lang="ts">
  import '../ui/chart.css';
  import {
    practiceDoughs,
    styles,
    watchedCourse,
    type Round,
    type Watched,
  } from '@tender-crumb/core';
  import { scaleLinear } from 'd3-scale';
  import { line } from 'd3-shape';

  let { round }: { round: Round } = $props();

  const size = { width: 460, height: 170, left: 44, right: 12, top: 10, bottom: 26 };
  const course = $derived(watchedCourse(round));
  const wanted = $derived<readonly [number, number]>(
    round.lesson === 'knead' ? styles[practiceDoughs[round.dough].style].window : [0.88, 1.12],
  );
  const x = $derived(
    scaleLinear()
      .domain([0, course.at(-1)!.minute])
      .range([size.left, size.width - size.right]),
  );
  const y = $derived(
    scaleLinear()
      .domain([
        Math.min(wanted[0], ...course.map((c) => c.at)),
        Math.max(wanted[1], ...course.map((c) => c.at)),
      ])
      .nice()
      .range([size.height - size.bottom, size.top]),
  );
  const path = $derived(
    line<Watched>()
      .x((c) => x(c.minute))
      .y((c) => y(c.at))(course) ?? '',
  );
</script>

<svg
  class="chart"
  viewBox="0 0 {size.width} {size.height}"
  role="img"
  aria-label={round.lesson === 'knead'
    ? 'How its level moves while it is kneaded and drinks; shaded: what this bread wants'
    : 'How far it has proofed, over the minutes; shaded: ripe'}
>
  <rect
    x={size.left}
    width={size.width - size.left - size.right}
    y={y(wanted[1])}
    height={y(wanted[0]) - y(wanted[1])}
    class="band"
  />
  {#each y.ticks(4) as tick (tick)}
    <text x={size.left - 6} y={y(tick)} class="tick" text-anchor="end" dy="0.32em"
      >{String(tick).replace('-', '−')}</text
    >
  {/each}
  {#each x.ticks(5) as tick (tick)}
    <text x={x(tick)} y={size.height - 8} class="tick" text-anchor="middle">{tick} min</text>
  {/each}
  <path d={path} class="curve" />
  <circle cx={x(round.minute)} cy={y(round.now)} r="6" class="now"
    ><title>when you called</title></circle
  >
</svg>

<style>
  .curve {
    fill: none;
    stroke: var(--rim);
    stroke-width: 2.5;
  }
  .now {
    fill: var(--act);
    stroke: var(--enamel);
    stroke-width: 2;
  }
</style>
