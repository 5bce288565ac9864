<script lang="ts">
  import '../ui/chart.css';
  import { hoursText, tangs, type StarterStep, type TangId } from '@tender-crumb/core';
  import { scaleLinear, scaleLog } from 'd3-scale';
  import { line } from 'd3-shape';
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

  const size = { width: 760, height: 280, left: 52, right: 16, top: 16, bottom: 40 };
  const x = $derived(
    scaleLinear()
      .domain([0, Math.max(...ladder.map((s) => s.hours), own.hours) * 1.05])
      .range([size.left, size.width - size.right]),
  );
  const y = $derived(
    scaleLog()
      .domain([
        Math.min(ladder.at(0)?.percent ?? 2, own.percent),
        Math.max(ladder.at(-1)?.percent ?? 33, own.percent),
      ])
      .range([size.height - size.bottom, size.top]),
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
  const marks = $derived(x.ticks(8).filter((t) => t > 0));

  let svg = $state<SVGSVGElement>();
  let dragging = $state(false);

  function look(event: PointerEvent) {
    if (!dragging || !svg) return;
    const box = svg.getBoundingClientRect();
    const at = ((event.clientY - box.top) / box.height) * size.height;
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
    <b>How much starter, how long, how sour?</b>
    <span class="quiet">Drag the dot, or move it by the arrow keys.</span>
  </figcaption>
  <svg
    bind:this={svg}
    class="chart touch-none"
    viewBox="0 0 {size.width} {size.height}"
    role="group"
    aria-label="Starter against the hours of the first rise"
  >
    {#each percents.filter((p) => p >= y.domain()[0]! && p <= y.domain()[1]!) as percent (percent)}
      <line
        x1={size.left}
        x2={size.width - size.right}
        y1={y(percent)}
        y2={y(percent)}
        class="grid-line"
      />
      <text x={size.left - 6} y={y(percent)} class="tick" text-anchor="end" dy="0.32em"
        >{percent} %</text
      >
    {/each}
    {#each marks as mark (mark)}
      <text x={x(mark)} y={size.height - 20} class="tick" text-anchor="middle">{mark} h</text>
    {/each}
    <text x={size.left + 4} y={size.top - 4} class="tick">the starter’s flour, of all flour</text>
    <text x={size.width - size.right} y={size.height - 4} class="tick" text-anchor="end"
      >first rise</text
    >
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
  </svg>
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
  }
  .taste {
    fill: var(--ink);
    font-size: 13px;
    font-weight: 600;
  }
</style>
