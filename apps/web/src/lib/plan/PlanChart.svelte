<script lang="ts">
  import '../ui/chart/chart.css';
  import { scaleLinear, scaleTime } from 'd3-scale';
  import { area, line } from 'd3-shape';
  import { DateTime } from 'luxon';
  import { inOrder, type TimedPlan, type TimedStep } from '@tender-crumb/core/schedule';
  import { timeText } from './when.ts';
  import { asWarmth } from '../ui/writing.ts';

  let {
    plan,
    now,
    done,
    held,
    onmove,
    ondrop,
  }: {
    plan: TimedPlan;
    now: Date;
    done: (step: TimedStep) => boolean;
    held: (step: TimedStep) => boolean;
    /** A step is being dragged to begin at a moment. */
    onmove: (step: TimedStep, at: string) => void;
    ondrop: (step: TimedStep, at: string) => void;
  } = $props();

  let width = $state(900);
  const lane = { height: 84, name: 18, block: 24, rise: 34, gap: 6 } as const;
  const top = 28;
  const left = 2;
  /** Room for what is written at the right end. */
  const edge = 30;

  const ms = (iso: string) => Date.parse(iso);
  const from = $derived(Math.min(...plan.steps.map((s) => ms(s.earliest))));
  const to = $derived(Math.max(...plan.steps.map((s) => ms(s.latest))));
  const x = $derived(
    scaleTime()
      .domain([from - 10 * 60_000, to + 10 * 60_000])
      .range([left, Math.max(300, width) - edge]),
  );
  /** Hours that are written along it: as many as are read at a glance, by the clock of the house. */
  const marks = $derived.by(() => {
    const hours = (to - from) / 3_600_000;
    const step = [1, 2, 3, 6, 12, 24].find((s) => hours / s <= Math.max(4, width / 90)) ?? 24;
    const found: DateTime[] = [];
    let at = DateTime.fromMillis(from, { zone: plan.zone }).startOf('hour');
    while (at.toMillis() <= to) {
      if (at.toMillis() >= from && at.hour % step === 0) found.push(at);
      at = at.plus({ hours: 1 });
    }
    return found;
  });
  const lanes = $derived(
    inOrder(plan.bakes, plan.steps).map((bake, i) => ({
      bake,
      y: top + i * (lane.height + lane.gap) + lane.name,
      steps: plan.steps.filter((s) => s.bake === bake.id),
    })),
  );
  /** One bar wherever hands are wanted, whatever the bread: two at once are seen at once. */
  const handsY = $derived(top + lanes.length * (lane.height + lane.gap) + lane.name);
  const hands = $derived(
    plan.steps.flatMap((step) => step.hands.map((h, i) => ({ step, nth: i, ...h }))),
  );
  const inOven = $derived(plan.steps.filter((s) => s.uses.some((u) => u.resource === 'oven')));
  const ovenHeight = 52;
  const ovens = $derived(
    [...new Set(inOven.map((s) => s.oven ?? 'Oven'))].map((name, i) => ({
      name,
      y: handsY + 40 + i * ovenHeight,
      steps: inOven.filter((s) => (s.oven ?? 'Oven') === name),
    })),
  );
  const height = $derived(handsY + 40 + ovens.length * ovenHeight + 22);
  const hottest = $derived(Math.max(100, ...inOven.map((s) => s.celsius ?? 0)));
  const warmth = $derived(scaleLinear().domain([0, hottest]).range([0, 30]));

  const kinds = (step: TimedStep): 'hands' | 'oven' | 'cold' | 'rise' | 'rest' =>
    step.uses.some((u) => u.resource === 'oven' || u.resource === 'machine')
      ? 'oven'
      : step.uses.some((u) => u.resource === 'fridge')
        ? 'cold'
        : step.attended === 'all'
          ? 'hands'
          : step.doubt > 0
            ? 'rise'
            : 'rest';

  const short: Partial<Record<TimedStep['kind'], string>> = {
    mix: 'Mix',
    shape: 'Shape',
    heat: 'Heat',
    cool: 'Cool',
    feed: 'Feed',
    preferment: 'Stir',
    ripen: 'Ripens',
    chill: 'Chill',
    freeze: 'Freezer',
    thaw: 'Thaw',
  };
  const label = (step: TimedStep, room: number): string => {
    const texts = [step.label, short[step.kind] ?? ''];
    return texts.find((t) => t && t.length * 7 + 8 < room) ?? '';
  };

  /** The volume of a rise, drawn under its block. */
  function curves(step: TimedStep, y: number) {
    const curve = step.curve ?? [];
    const most = Math.max(2.2, ...curve.map((p) => p.volume));
    const high = scaleLinear()
      .domain([1, most])
      .range([y + lane.block + lane.rise, y + lane.block + 4]);
    const at = (minute: number) => x(ms(step.start) + minute * 60_000);
    const shape = line<(typeof curve)[number]>()
      .x((p) => at(p.minute))
      .y((p) => high(p.volume));
    const filled = area<(typeof curve)[number]>()
      .x((p) => at(p.minute))
      .y0(y + lane.block + lane.rise)
      .y1((p) => high(p.volume));
    return { line: shape(curve) ?? '', area: filled(curve) ?? '' };
  }

  let drag = $state<{ step: TimedStep; by: number; from: number } | undefined>();
  const moved = (step: TimedStep) => (drag?.step.id === step.id ? drag.by : 0);
  const snap = 5 * 60_000;

  const momentAt = (step: TimedStep, by: number): string => {
    const moment = x.invert(x(ms(step.start)) + by).getTime();
    return new Date(Math.round(moment / snap) * snap).toISOString();
  };

  function grab(event: PointerEvent, step: TimedStep) {
    if (done(step)) return;
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
    drag = { step, by: 0, from: event.clientX };
  }
  function pull(event: PointerEvent) {
    if (!drag) return;
    drag = { ...drag, by: event.clientX - drag.from };
    onmove(drag.step, momentAt(drag.step, drag.by));
  }
  function letGo() {
    if (!drag) return;
    const { step, by } = drag;
    drag = undefined;
    if (Math.abs(by) > 3) ondrop(step, momentAt(step, by));
  }
</script>

<figure bind:clientWidth={width} class="min-w-0">
  <figcaption class="mb-1">
    <b>What is done when?</b>
    <span class="quiet no-print">Drag a step, or set its time in the list: the rest follows.</span>
  </figcaption>
  <svg
    class="chart w-full touch-pan-y"
    viewBox="0 0 {Math.max(300, width)} {height}"
    role="img"
    aria-label="The steps of the plan on one line of time; the list below says the same in words"
  >
    <defs>
      <pattern
        id="night"
        width="6"
        height="6"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <line x1="0" y1="0" x2="0" y2="6" class="hatch" />
      </pattern>
      <pattern id="cold" width="5" height="5" patternUnits="userSpaceOnUse">
        <circle cx="2.5" cy="2.5" r="1.1" class="frost" />
      </pattern>
    </defs>
    {#each plan.closed.filter((c) => ms(c.to) > from && ms(c.from) < to && c.what === 'hands') as shut, i (i)}
      <rect
        x={x(Math.max(ms(shut.from), x.domain()[0]!.getTime()))}
        width={Math.max(
          0,
          x(Math.min(ms(shut.to), x.domain()[1]!.getTime())) -
            x(Math.max(ms(shut.from), x.domain()[0]!.getTime())),
        )}
        y={top - 6}
        height={height - top - 16}
        fill="url(#night)"
      />
    {/each}
    {#each marks as mark (mark.toMillis())}
      <line
        x1={x(mark.toMillis())}
        x2={x(mark.toMillis())}
        y1={top - 6}
        y2={height - 22}
        class="grid-line"
      />
      <text x={x(mark.toMillis())} y={14} class="tick" text-anchor="middle">
        {mark.hour === 0 ? mark.toFormat('ccc d') : mark.toFormat('HH:mm')}
      </text>
    {/each}
    {#each lanes as { bake, y, steps } (bake.id)}
      <text x={left + 2} y={y - 5} class="name">{bake.name}</text>
      {#each steps as step (step.id)}
        {@const a = x(ms(step.start)) + moved(step)}
        {@const b = x(ms(step.end)) + moved(step)}
        {@const kind = kinds(step)}
        {@const low = step.kind === 'heat'}
        {#if step.curve}
          {@const drawn = curves(step, y)}
          <path d={drawn.area} class="swell" />
          <path d={drawn.line} class="volume" />
        {/if}
        {#if step.doubt > 0}
          <line
            x1={x(ms(step.soonest))}
            x2={x(ms(step.latest))}
            y1={y + lane.block + lane.rise + 3}
            y2={y + lane.block + lane.rise + 3}
            class="doubt"
          />
        {/if}
        <!-- svelte-ignore a11y_no_static_element_interactions -->
        <g
          class="step"
          class:done={done(step)}
          onpointerdown={(e) => grab(e, step)}
          onpointermove={pull}
          onpointerup={letGo}
          onpointercancel={letGo}
        >
          <title
            >{step.label}, {timeText(step.start, plan.zone, now)} to {timeText(
              step.end,
              plan.zone,
              now,
            )}</title
          >
          <rect
            x={a}
            width={Math.max(3, b - a)}
            y={low ? y + lane.block + 2 : y}
            height={low ? 10 : lane.block}
            rx="3"
            class={kind}
          />
          {#if kind === 'cold'}
            <rect
              x={a}
              width={Math.max(3, b - a)}
              {y}
              height={lane.block}
              rx="3"
              fill="url(#cold)"
            />
          {/if}
          {#if held(step)}<circle cx={a + 5} cy={y + 5} r="3.5" class="pin" />{/if}
          {#if !low && label(step, b - a)}
            <text x={a + 5} y={y + 16} class="word {kind}-word">{label(step, b - a)}</text>
          {/if}
        </g>
      {/each}
    {/each}
    <text x={left + 2} y={handsY - 4} class="name">Hands</text>
    {#each hands as { step, nth, from: start, to: end } (`${step.id} ${nth}`)}
      <rect
        x={x(ms(start))}
        width={Math.max(3, x(ms(end)) - x(ms(start)))}
        y={handsY + 2}
        height="12"
        class="hands at-work"
        ><title
          >{step.label}, {timeText(start, plan.zone, now)} to {timeText(end, plan.zone, now)}</title
        ></rect
      >
    {/each}
    {#each ovens as { name, y, steps } (name)}
      <text x={left + 2} y={y - 4} class="name">{name}</text>
      {#each steps as step (step.id)}
        {@const tall = warmth(step.celsius ?? 0)}
        <rect
          x={x(ms(step.start))}
          width={Math.max(3, x(ms(step.end)) - x(ms(step.start)))}
          y={y + 34 - tall}
          height={tall}
          class={step.kind === 'heat' ? 'heating' : 'oven'}
        />
        {#if step.kind === 'bake' && step.celsius !== undefined}
          <text x={x(ms(step.start)) + 3} y={y + 46} class="tick">{asWarmth(step.celsius)}</text>
        {/if}
      {/each}
    {/each}
    {#if now.getTime() >= x.domain()[0]!.getTime() && now.getTime() <= x.domain()[1]!.getTime()}
      <line x1={x(now)} x2={x(now)} y1={top - 8} y2={height - 22} class="now" />
      <text x={x(now)} y={height - 8} class="tick now-word" text-anchor="middle">now</text>
    {/if}
  </svg>
  <ul class="quiet flex flex-wrap gap-x-4 gap-y-1" aria-hidden="true">
    <li><span class="key hands"></span> somebody’s hands</li>
    <li><span class="key rise"></span> rises: volume below, and how unsure its end is</li>
    <li><span class="key cold"></span> in the fridge</li>
    <li><span class="key oven"></span> oven</li>
    <li><span class="key night"></span> asleep or away</li>
  </ul>
</figure>

<style>
  .step {
    cursor: grab;
  }
  .step.done {
    cursor: default;
    opacity: 0.45;
  }
  rect.hands,
  .key.hands {
    fill: var(--rim);
    background: var(--rim);
  }
  rect.rise,
  rect.rest,
  .key.rise {
    fill: var(--sunk);
    background: var(--sunk);
    stroke: var(--rim);
  }
  rect.cold,
  .key.cold {
    fill: var(--bubble);
    background: var(--bubble);
    stroke: var(--rim);
  }
  rect.oven,
  .key.oven {
    fill: var(--act);
    background: var(--act);
  }
  rect.heating {
    fill: var(--act);
    opacity: 0.4;
  }
  .at-work {
    stroke: var(--enamel);
  }
  .frost {
    fill: var(--enamel);
    opacity: 0.6;
  }
  .hatch {
    stroke: var(--hatch);
    stroke-width: 2;
  }
  .key.night {
    background: repeating-linear-gradient(45deg, var(--hatch) 0 2px, transparent 2px 5px);
  }
  .word {
    font-size: 12px;
    font-weight: 600;
    fill: var(--ink);
    pointer-events: none;
  }
  .hands-word {
    fill: var(--on-rim);
  }
  .oven-word {
    fill: var(--on-act);
  }
  .name {
    font-size: 13px;
    font-weight: 700;
    fill: var(--ink);
  }
  .swell {
    fill: var(--bubble);
    opacity: 0.3;
  }
  .volume {
    fill: none;
    stroke: var(--rim);
    stroke-width: 2;
  }
  .doubt {
    stroke: var(--rim);
    stroke-width: 5;
    stroke-linecap: round;
    opacity: 0.45;
  }
  .pin {
    fill: var(--act);
    stroke: var(--enamel);
  }
  .now {
    stroke: var(--act);
    stroke-width: 2;
  }
  .now-word {
    fill: var(--act);
    font-weight: 700;
  }
</style>
