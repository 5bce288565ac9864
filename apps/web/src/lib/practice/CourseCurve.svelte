<script lang="ts">
  import {
    practiceDoughs,
    watchedCourse,
    type Round,
    type Watched,
  } from '@tender-crumb/core/practice';
  import { styles } from '@tender-crumb/core/style';
  import { scaleLinear } from 'd3-scale';
  import { line } from 'd3-shape';
  import Chart from '../ui/chart/Chart.svelte';
  import { Frame } from '../ui/chart/frame.svelte.ts';

  let { round }: { round: Round } = $props();

  const frame = new Frame({ usual: 460, height: 170, left: 44, right: 20, top: 10, bottom: 26 });
  const course = $derived(watchedCourse(round));
  const wanted = $derived<readonly [number, number]>(
    round.lesson === 'knead' ? styles[practiceDoughs[round.dough].style].window : [0.88, 1.12],
  );
  const x = $derived(
    scaleLinear()
      .domain([0, course.at(-1)!.minute])
      .range(frame.across),
  );
  const y = $derived(
    scaleLinear()
      .domain([
        Math.min(wanted[0], ...course.map((c) => c.at)),
        Math.max(wanted[1], ...course.map((c) => c.at)),
      ])
      .nice()
      .range(frame.upward),
  );
  const path = $derived(
    line<Watched>()
      .x((c) => x(c.minute))
      .y((c) => y(c.at))(course) ?? '',
  );
</script>

<Chart
  {frame}
  across={x.ticks(Math.min(5, frame.marks(70))).map((t) => ({ at: x(t), says: `${t} min` }))}
  upward={y.ticks(4).map((t) => ({ at: y(t), says: String(t).replace('-', '−') }))}
  label={round.lesson === 'knead'
    ? 'How the dough changes while kneaded; shaded: your window'
    : 'How far it has proofed, over the minutes; shaded: ripe'}
>
  <rect
    x={frame.left}
    width={frame.right - frame.left}
    y={y(wanted[1])}
    height={y(wanted[0]) - y(wanted[1])}
    class="band"
  />
  <path d={path} class="curve" />
  <circle cx={x(round.minute)} cy={y(round.now)} r="6" class="now"
    ><title>when you called</title></circle
  >
</Chart>

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
