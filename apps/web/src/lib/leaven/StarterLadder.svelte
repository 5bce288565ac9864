<script lang="ts">
  import { tangs, type TangId } from '@tender-crumb/core/ferment';
  import { hoursText } from '@tender-crumb/core/quantity';
  import type { StarterStep } from '@tender-crumb/core/starter';
  import { scaleLinear, scaleLog } from 'd3-scale';
  import { line } from 'd3-shape';
  import Chart from '../ui/chart/Chart.svelte';
  import { Frame } from '../ui/chart/frame.svelte.ts';
  import { asMass, asPercent } from '../ui/writing.ts';

  let {
    ladder,
    own,
    shown,
    grams,
    onlook,
  }: {
    ladder: readonly StarterStep[];
    own: StarterStep;
    shown: StarterStep;
    grams: (percent: number) => number;
    onlook: (percent: number) => void;
  } = $props();

  const frame = new Frame({ usual: 760, height: 280, left: 52, right: 16, top: 16, bottom: 40 });
  const x = $derived(
    scaleLinear()
      .domain([0, Math.max(...ladder.map((s) => s.hours), own.hours) * 1.05])
      .range(frame.across),
  );
  const y = $derived(
    scaleLog()
      .domain([
        Math.min(ladder.at(0)?.percent ?? 2, own.percent),
        Math.max(ladder.at(-1)?.percent ?? 33, own.percent),
      ])
      .range(frame.upward),
  );
  const path = $derived(
    line<StarterStep>()
      .x((s) => x(s.hours))
      .y((s) => y(s.percent))([...ladder]) ?? '',
  );
  /** Stretches of the ladder that taste alike. */
  const tastes = $derived.by(() => {
    const found: Array<{ tang: TangId; steps: StarterStep[] }> = [];
    for (const step of ladder) {
      const last = found.at(-1);
      if (last?.tang === step.tang) last.steps.push(step);
      else found.push({ tang: step.tang, steps: [step] });
    }
    return found;
  });
  const middle = <T,>(of: readonly T[]): T => of[Math.floor(of.length / 2)]!;
  const percents = [2, 3, 5, 8, 12, 20, 33];
  const across = $derived(
    x
      .ticks(Math.min(8, frame.marks(44)))
      .filter((t) => t > 0)
      .map((t) => ({ at: x(t), says: `${t} h` })),
  );
  const upward = $derived(
    percents
      .filter((p) => p >= y.domain()[0]! && p <= y.domain()[1]!)
      .map((p) => ({ at: y(p), says: `${p} %` })),
  );

  let svg = $state<SVGSVGElement>();
  let dragging = $state(false);

  function look(event: PointerEvent) {
    if (!dragging || !svg) return;
    const box = svg.getBoundingClientRect();
    const at = ((event.clientY - box.top) / box.height) * frame.height;
    const [least, most] = y.domain() as [number, number];
    onlook(Math.min(most, Math.max(least, y.invert(at))));
  }

  function key(event: KeyboardEvent) {
    const by = { ArrowUp: 1.08, ArrowRight: 1.08, ArrowDown: 1 / 1.08, ArrowLeft: 1 / 1.08 }[
      event.key
    ];
    if (by === undefined) return;
    event.preventDefault();
    const [least, most] = y.domain() as [number, number];
    onlook(Math.min(most, Math.max(least, shown.percent * by)));
  }
</script>

<figure>
  <figcaption class="mb-1">
    <b>How much starter?</b>
    <span class="quiet">Drag the dot, or use the arrow keys.</span>
  </figcaption>
  <Chart
    bind:svg
    {frame}
    {across}
    {upward}
    role="group"
    label="Starter against the hours of the first rise"
  >
    <text x={frame.left + 4} y={frame.top - 4} class="tick">the starter’s flour, of all flour</text>
    <text x={frame.right} y={frame.height - 4} class="tick" text-anchor="end">first rise</text>
    <path d={path} class="ladder" />
    {#each ladder as step (step.percent)}
      <circle cx={x(step.hours)} cy={y(step.percent)} r={2 + 5 * step.sour} class="rung" />
    {/each}
    {#each tastes as { tang, steps } (tang + steps[0]!.percent)}
      {@const at = middle(steps)}
      <text x={x(at.hours) + 12} y={y(at.percent) - 6} class="taste">{tangs[tang].label}</text>
    {/each}
    <circle cx={x(own.hours)} cy={y(own.percent)} r="6" class="own" />
    <circle
      cx={x(shown.hours)}
      cy={y(shown.percent)}
      r="13"
      class="dot"
      role="slider"
      tabindex="0"
      aria-label="Starter"
      aria-valuemin={y.domain()[0]}
      aria-valuemax={y.domain()[1]}
      aria-valuenow={shown.percent}
      aria-valuetext="{asMass(grams(shown.percent))}, {hoursText(shown.hours)}, {tangs[shown.tang]
        .label}"
      onpointerdown={(e) => {
        dragging = true;
        e.currentTarget.setPointerCapture(e.pointerId);
      }}
      onpointermove={look}
      onpointerup={() => (dragging = false)}
      onpointercancel={() => (dragging = false)}
      onkeydown={key}
    />
  </Chart>
  <p aria-live="polite" class="text-lg">
    <b>{asMass(grams(shown.percent))}</b> of ripe starter, its flour {asPercent(shown.percent)} of all:
    ready in about <b>{hoursText(shown.hours)}</b>, <b>{tangs[shown.tang].label}</b>.
  </p>
</figure>

<style>
  .ladder {
    fill: none;
    stroke: var(--rim);
    stroke-width: 2;
  }
  .rung {
    fill: var(--rim);
  }
  .own {
    fill: var(--enamel);
    stroke: var(--rim);
    stroke-width: 2;
  }
  .dot {
    fill: var(--act);
    stroke: var(--enamel);
    stroke-width: 3;
    cursor: grab;
    /* Under a finger it moves, and the page does not. */
    touch-action: none;
  }
  .taste {
    fill: var(--ink);
    font-size: 13px;
    font-weight: 600;
  }
</style>
