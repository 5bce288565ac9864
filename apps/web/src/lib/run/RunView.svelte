<script lang="ts">
  import { type Circumstances, type BakeEvent, type Outcome } from '@tender-crumb/core/bake';
  import { planFacts, putOff, type RunStep } from '@tender-crumb/core/lead';
  import type { Formula } from '@tender-crumb/core/formula';
  import type { Belief } from '@tender-crumb/core/belief';
  import type { Household } from '@tender-crumb/core/household';
  import type { Lesson } from '@tender-crumb/core/learn';
  import { bakeShift, type DeviceId } from '@tender-crumb/core/machine';
  import LifeBuoy from '@lucide/svelte/icons/life-buoy';
  import Printer from '@lucide/svelte/icons/printer';
  import { onMount, untrack } from 'svelte';
  import { question } from '../question.ts';
  import DeviceDrawer from '../devices/DeviceDrawer.svelte';
  import { standIns } from '../devices/stand-ins.svelte.ts';
  import Photos from '../photo/Photos.svelte';
  import DinnerMoved from '../plan/DinnerMoved.svelte';
  import { Planning, stepName } from '../plan/planning.svelte.ts';
  import { timeText } from '../plan/when.ts';
  import type { PlanData } from '../server/plan-data.ts';
  import { refresh } from '../ui/refresh.ts';
  import { keepAwake } from './awake.ts';
  import CounterSheet from './CounterSheet.svelte';
  import RunOver from './RunOver.svelte';
  import StepWork from './StepWork.svelte';
  import Meanwhile from './Meanwhile.svelte';
  import { Run } from './run.svelte.ts';
  import RunLine from './RunLine.svelte';
  import StepActions from './StepActions.svelte';
  import StepHead from './StepHead.svelte';
  import StepNote from './StepNote.svelte';

  let {
    data,
  }: {
    data: {
      bake: {
        id: string;
        formulaId: string;
        method: DeviceId;
        finishedAt?: string;
        outcome?: Outcome;
        lesson?: Lesson;
        circumstances: Circumstances;
        events: readonly BakeEvent[];
      };
      formula: Formula;
      household: Household;
      belief: Belief;
      plan: PlanData;
      lastNotes: Readonly<Record<string, string>>;
      trial?: string | undefined;
    };
  } = $props();

  const run = untrack(
    () => new Run({ ...data, ...data.bake, formula: data.formula, lastNotes: data.lastNotes }),
  );
  $effect(() => run.receive({ ...data, ...data.bake }));
  const planning = untrack(() => new Planning(data.plan, refresh));
  $effect(() => {
    run.clock = planning.now.toISOString();
  });
  const planId = $derived(data.plan.plans.find((p) => p.bakeId === run.id)?.id ?? run.id);
  // What was tapped here moves the plan before the server has heard of it.
  /** What of it a plan goes by: a thing that is weighed moves nothing. */
  const told = $derived.by(() => {
    const { batch, instead, course, way, warmth, oven } = run.view.state;
    const facts = [
      planFacts(run.view.steps, run.view.state),
      putOff(run.view.steps, run.view.state),
    ];
    return JSON.stringify([facts, batch, instead, course, way, warmth, oven]);
  });
  $effect(() => {
    const { plan } = data;
    void told;
    const events = untrack(() => run.events);
    const plans = plan.plans.map((p) =>
      p.begun && p.bakeId === run.id ? { ...p, begun: { ...p.begun, events } } : p,
    );
    // After what was tapped is drawn: a plan holds nobody's finger up.
    const soon = setTimeout(() => planning.receive({ ...plan, plans }));
    return () => clearTimeout(soon);
  });

  /** Another tablet's taps are looked up so often, ms. */
  const lookUpMs = 20_000;
  let awake = $state(true);
  let asked = $state(false);
  onMount(() => {
    const end = run.follow(() => {
      // What the server made of it, the page shows: a finish that is delivered has taught.
      if (run.view.state.finishedAt !== data.bake.finishedAt) void refresh();
    });
    const release = keepAwake((can) => (awake = can));
    const follow = planning.follow();
    // What another tablet tapped, or what passed while this one slept.
    const look = async () => {
      if (document.hidden) return;
      const path = `/api/v1/bakes/${run.id}`;
      const bake = await question<{ events: readonly BakeEvent[] }>(path).catch(() => undefined);
      if (bake) run.hear(bake.events);
    };
    const lookUp = setInterval(() => void look(), lookUpMs);
    document.addEventListener('visibilitychange', look);
    return () => {
      clearInterval(lookUp);
      document.removeEventListener('visibilitychange', look);
      end();
      release();
      follow();
    };
  });

  const timed = $derived(
    new Map(planning.steps.filter((s) => s.bake === planId).map((s) => [stepName(s), s])),
  );
  const timeOf = (step: RunStep) => timed.get(step.task);
  const time = (iso: string) => timeText(iso, data.plan.zone, planning.now);
  const readyAt = $derived(planning.steps.findLast((s) => s.bake === planId)?.end);
  const bakeTimed = $derived(planning.timed?.bakes.find((b) => b.id === planId));
  /** What its starter is fed at the step that is looked at. */
  const feeding = $derived(
    run.step.kind === 'feed'
      ? bakeTimed?.feedings.find((f) => f.stage === run.step.stage)?.feeding
      : undefined,
  );
  const next = $derived(
    run.view.steps[run.view.steps.findIndex((s) => s.id === run.view.now.id) + 1],
  );
  /** What runs beside the dough and is due: the oven is to be heated. */
  const beside = $derived(
    run.view.steps.find(
      (s) =>
        s.kind === 'heat' &&
        s.standing === 'ahead' &&
        s.id !== run.view.now.id &&
        (timeOf(s) ? Date.parse(timeOf(s)!.start) <= planning.now.getTime() + 60_000 : false),
    ),
  );

  let heading = $state<HTMLElement>();
  /** A screen reader hears which step it is now, and the keyboard goes on from there. */
  let heard = untrack(() => run.step.id);
  $effect(() => {
    if (run.step.id === heard) return;
    heard = run.step.id;
    heading?.focus();
  });

  // A stand-in machine is started with the bake that runs in it.
  $effect(() => {
    const { course, courseTimes } = run.view;
    const started = run.view.steps.some((s) => s.runs && s.standing === 'under-way');
    if (!standIns.on || !course || !started || standIns.hasMachine) return;
    untrack(() =>
      standIns.run(
        course.programme,
        bakeShift(course.machine, course.size, course.crust),
        courseTimes?.delay ?? 0,
      ),
    );
  });
</script>

<svelte:head><title>{data.formula.name} · Bake day · Tender Crumb</title></svelte:head>

<div class="run">
  <div class="mb-2 flex flex-wrap items-center justify-between gap-2">
    <h1>
      {data.formula.name}{#if run.view.state.batch}<span class="quiet">
          · × {Math.round(100 * run.view.state.batch) / 100}</span
        >{/if}
    </h1>
    <div class="no-print flex flex-wrap items-center gap-2">
      <span class="quiet" role="status">
        {run.stuck
          ? 'Kept in this browser'
          : run.waiting > 0
            ? 'Writing it down …'
            : 'All written down'}
      </span>
      <a class="knob min-h-14" href="/bake/rescue?bake={run.id}"
        ><LifeBuoy size={18} aria-hidden="true" /> Rescue</a
      >
      <button class="knob min-h-14" type="button" onclick={() => window.print()}
        ><Printer size={18} aria-hidden="true" /> Sheet</button
      >
    </div>
  </div>

  {#if run.view.state.finishedAt || run.view.state.abandonedAt}
    <RunOver {run} {data} />
  {:else}
    <Meanwhile {planning} bake={planId} />
    <div class="mb-3">
      <RunLine
        steps={run.view.steps}
        now={run.view.now.id}
        shown={run.step.id}
        {timeOf}
        {time}
        onpick={(step) => (run.chosen = step)}
      />
    </div>
    {#if beside}
      <div
        class="no-print mb-3 flex flex-wrap items-center gap-3 border-2 border-act bg-act-tint p-3"
      >
        <b class="text-xl">{beside.label} now</b>
        <span>Look into it first.</span>
        <button class="knob knob-act min-h-14" type="button" onclick={() => run.begin(beside)}
          >The oven heats</button
        >
        <button class="knob min-h-14" type="button" onclick={() => (run.chosen = beside.id)}
          >How</button
        >
      </div>
    {/if}
    {#key run.step.id}
      <section class="step-card bowl" aria-labelledby="step">
        <div class="lead">
          <p class="quiet">
            {run.step.id === run.view.now.id
              ? 'Now'
              : run.step.standing === 'ahead'
                ? 'Later'
                : 'Before'}
          </p>
          <h2 id="step" tabindex="-1" bind:this={heading}>{run.step.label}</h2>
          <StepHead {run} step={run.step} timed={timeOf(run.step)} now={planning.now} {time} />
          {#if next && run.step.id === run.view.now.id && next.id !== run.step.id}
            <p class="quiet mt-3 border-t border-line pt-2">
              Then: <b>{next.label}</b>{timeOf(next) && next.kind !== 'check'
                ? `, about ${time(timeOf(next)!.start)}`
                : ''}
            </p>
          {/if}
        </div>
        <div class="work">
          <StepWork {run} step={run.step} {bakeTimed} {feeding} now={planning.now} {time} />
          <div class="mt-4 flex flex-wrap items-start gap-4">
            <Photos {run} step={run.step.id} label={run.step.label} />
            <div class="min-w-60 flex-1"><StepNote {run} step={run.step.id} /></div>
          </div>
        </div>
      </section>
    {/key}
    <StepActions {run} step={run.step} timed={timeOf(run.step)} {feeding} now={planning.now} />
    <div class="no-print mt-4 grid gap-3">
      <DinnerMoved
        {planning}
        bake={planId}
        ready={readyAt}
        large
        ontake={({ tells }) => tells.forEach((e) => run.say(e.kind, e.data))}
      />
      <DeviceDrawer />
      <div class="flex flex-wrap items-center gap-3">
        <button
          class="knob min-h-14"
          type="button"
          onclick={() => run.say('guided', { on: run.view.state.guided !== true })}
          >{run.view.state.guided ? 'Lead me in short' : 'Lead me sentence by sentence'}</button
        >
        {#if asked}
          <span>Give this bake up? What was written down stays.</span>
          <button class="knob knob-act min-h-14" type="button" onclick={() => run.giveUp()}
            >Yes, give it up</button
          >
          <button class="knob min-h-14" type="button" onclick={() => (asked = false)}>No</button>
        {:else}
          <button class="knob min-h-14" type="button" onclick={() => (asked = true)}
            >Give this bake up</button
          >
        {/if}
        {#if !awake}
          <span class="quiet flex-1 basis-60"
            >This browser lets the screen sleep here: set the tablet to stay awake while you bake.</span
          >
        {/if}
      </div>
    </div>
    <CounterSheet {run} {timeOf} {time} />
  {/if}
</div>

<style>
  .step-card {
    display: grid;
    gap: 1.25rem;
    padding: 1.1rem 1.25rem;
  }
  @media (min-width: 900px) {
    .step-card {
      grid-template-columns: minmax(0, 19rem) minmax(0, 1fr);
    }
    .lead {
      border-right: 1px solid var(--line);
      padding-right: 1.25rem;
    }
  }
  h2 {
    margin-bottom: 0.5rem;
    font-size: 2.1rem;
    font-weight: 750;
    line-height: 1.1;
    outline-offset: 4px;
  }
  .work {
    min-width: 0;
  }
  @media print {
    .step-card {
      display: none;
    }
  }
</style>
