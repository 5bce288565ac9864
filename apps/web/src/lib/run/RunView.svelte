<script lang="ts">
  import { type Circumstances, type BakeEvent, type Outcome } from '@tender-crumb/core/bake';
  import {
    planFacts,
    putOff,
    runStepKinds,
    timeOfStep,
    type RunStep,
  } from '@tender-crumb/core/lead';
  import type { Formula } from '@tender-crumb/core/formula';
  import type { Belief } from '@tender-crumb/core/belief';
  import type { Household } from '@tender-crumb/core/household';
  import type { Lesson } from '@tender-crumb/core/learn';
  import { bakeShift, type DeviceId } from '@tender-crumb/core/machine';
  import LifeBuoy from '@lucide/svelte/icons/life-buoy';
  import Printer from '@lucide/svelte/icons/printer';
  import Volume2 from '@lucide/svelte/icons/volume-2';
  import { onMount, untrack } from 'svelte';
  import { question } from '../question.ts';
  import { standIns } from '../devices/stand-ins.svelte.ts';
  import Photos from '../photo/Photos.svelte';
  import { Planning, stepName } from '../plan/planning.svelte.ts';
  import { timeText } from '../plan/when.ts';
  import type { PlanData } from '../server/plan-data.ts';
  import { later } from '../ui/later.ts';
  import { refresh } from '../ui/refresh.ts';
  import { say } from '../ui/writing.ts';
  import { keepAwake } from './awake.ts';
  import CounterSheet from './CounterSheet.svelte';
  import RunOver from './RunOver.svelte';
  import StepWork from './StepWork.svelte';
  import Meanwhile from './Meanwhile.svelte';
  import { Run } from './run.svelte.ts';
  import RunLine from './RunLine.svelte';
  import StepActions from './StepActions.svelte';
  import StepHead from './StepHead.svelte';
  import { speech } from './speech.svelte.ts';
  import { pressByKey } from './step-keys.ts';
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
  const more = later(() => import('./MoreOfBake.svelte'));
  /** What is unfolded by hand stays so, whatever is drawn anew. */
  let unfolded = $derived(standIns.on);
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
  const timeOf = (step: RunStep) => timeOfStep(step, timed.get(step.task));
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
    speech.tell(aloud(run.step));
  });
  /** A step as it is read aloud: what it is, and what is done. */
  const aloud = (step: RunStep): string =>
    [
      step.label,
      ...run.view
        .sentences(step)
        .slice(0, 2)
        .map((s) => say(s.says)),
    ].join('. ');
  /** Said once when it calls, and not with every tick of the clock. */
  const calling = $derived(beside && `${beside.label} now`);
  $effect(() => {
    if (calling) speech.tell(calling);
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

<svelte:window onkeydown={pressByKey} />
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
        {run.stuck ? 'Kept in this browser' : run.waiting > 0 ? 'Saving …' : 'Saved'}
      </span>
      <a class="knob min-h-14" href="/bake/rescue?bake={run.id}"
        ><LifeBuoy size={18} aria-hidden="true" /> Rescue</a
      >
      <button
        class="knob min-h-14"
        type="button"
        aria-label="Print"
        title="Print"
        onclick={() => window.print()}><Printer size={18} aria-hidden="true" /></button
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
          >{runStepKinds.heat.beginSays}</button
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
          <StepHead
            {run}
            step={run.step}
            timed={timeOf(run.step)}
            recipe={planning.recipes[planId]}
            now={planning.now}
            {time}
          />
          {#if speech.can}
            <button
              class="knob say no-print min-h-14"
              type="button"
              aria-label="Say it"
              title="Say it"
              onclick={() => speech.say(aloud(run.step))}
              ><Volume2 size={20} aria-hidden="true" /></button
            >
          {/if}
          {#if next && run.step.id === run.view.now.id && next.id !== run.step.id}
            <p class="quiet mt-3 border-t border-line pt-2">
              Then: <b>{next.label}</b>{timeOf(next) && next.kind !== 'check'
                ? `, about ${time(timeOf(next)!.start)}`
                : ''}
            </p>
          {/if}
        </div>
        <div class="work">
          <StepWork
            {run}
            step={run.step}
            timed={timeOf(run.step)}
            {bakeTimed}
            {feeding}
            now={planning.now}
            {time}
          />
          <div class="mt-4 flex flex-wrap items-start gap-4">
            <Photos {run} step={run.step.id} label={run.step.label} />
            <div class="min-w-[min(15rem,100%)] flex-1"><StepNote {run} step={run.step.id} /></div>
          </div>
        </div>
      </section>
    {/key}
    <StepActions {run} step={run.step} timed={timeOf(run.step)} {feeding} now={planning.now} />
    {#if !awake && run.step.id === run.view.steps[0]?.id}
      <p class="no-print mt-3">
        Your screen may go dark. Set the tablet to stay on while you bake.
      </p>
    {/if}
    <details class="no-print mt-4" bind:open={unfolded}>
      <summary class="knob min-h-14">More</summary>
      {#if unfolded}
        {#await more() then { default: MoreOfBake }}
          <MoreOfBake {run} {planning} {planId} {readyAt} />
        {:catch}
          <p class="mt-3">
            This part is not in this browser yet: open it again when the server is back.
          </p>
        {/await}
      {/if}
    </details>
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
      grid-template-columns: minmax(0, min(19rem, 33%)) minmax(0, 1fr);
    }
    .lead {
      border-right: 1px solid var(--line);
      padding-right: 1.25rem;
    }
  }
  h2 {
    overflow-wrap: anywhere;
    margin-bottom: 0.5rem;
    font-size: 2.1rem;
    font-weight: 750;
    line-height: 1.1;
    outline-offset: 4px;
  }
  .say {
    margin-top: 0.75rem;
  }
  /* On a phone what is weighed stands as high up as it can. */
  @media (max-width: 899px) {
    .lead {
      position: relative;
    }
    .say {
      position: absolute;
      top: 0;
      right: 0;
      margin: 0;
    }
    h2 {
      padding-right: 4rem;
      font-size: 1.7rem;
    }
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
