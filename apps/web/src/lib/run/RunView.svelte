<script lang="ts">
  import { refresh } from '$lib/ui/refresh.ts';
  import {
    devices,
    nextTime,
    type BakeEvent,
    type Circumstances,
    type Belief,
    type Formula,
    type Household,
    type Lesson,
    type DeviceId,
    type Outcome,
  } from '@tender-crumb/core';
  import { onMount, untrack } from 'svelte';
  import LessonView from '../book/LessonView.svelte';
  import { keepAwake } from './awake.ts';
  import CheckStep from './CheckStep.svelte';
  import OutcomeStep from './OutcomeStep.svelte';
  import { Run, steps } from './run.svelte.ts';
  import RiseStep from './RiseStep.svelte';
  import WeighStep from './WeighStep.svelte';
  import { say } from '../ui/writing.ts';

  let {
    data,
  }: {
    data: {
      bake: {
        id: string;
        formulaId: string;
        method: DeviceId;
        finishedAt?: string;
        lesson?: Lesson;
        circumstances: Circumstances;
        events: readonly BakeEvent[];
      };
      formula: Formula;
      household: Household;
      belief: Belief;
    };
  } = $props();

  const run = untrack(() => new Run({ ...data, ...data.bake }));
  $effect(() => run.receive({ ...data, ...data.bake }));
  const names = { weigh: 'Weigh', check: 'Dough check', rise: 'Rise', outcome: 'How it came out' };
  let awake = $state(true);
  let asked = $state(false);

  onMount(() => {
    const end = run.follow(() => {
      // What the server made of it, the page shows: a finish that is delivered has taught.
      if (run.state.finishedAt !== data.bake.finishedAt) void refresh();
    });
    const release = keepAwake((can) => (awake = can));
    return () => {
      end();
      release();
    };
  });

  let heading = $state<HTMLElement>();

  /** A screen reader hears which step it is now, and the keyboard goes on from there. */
  let told = untrack(() => run.step);
  $effect(() => {
    if (run.step === told) return;
    told = run.step;
    heading?.focus();
  });

  function finish(outcome: Outcome) {
    run.finish(outcome);
  }
</script>

<svelte:head><title>{data.formula.name} · Bake day · Tender Crumb</title></svelte:head>

<div class="mx-auto max-w-4xl">
  <div class="mb-3 flex flex-wrap items-baseline justify-between gap-2">
    <h1>{data.formula.name}</h1>
    <span class="quiet" role="status">
      {run.stuck
        ? 'Kept in this browser'
        : run.waiting > 0
          ? 'Writing it down …'
          : 'All written down'}
    </span>
  </div>

  {#if run.state.finishedAt}
    <section class="bowl grid gap-4 p-5" aria-labelledby="taught">
      <h2 id="taught" class="text-xl">
        {data.bake.finishedAt ? 'What this bake taught' : 'Written down here'}
      </h2>
      {#if data.bake.lesson}
        <LessonView
          lesson={data.bake.lesson}
          style={data.formula.style}
          household={data.household}
          next={nextTime(data.formula, data.household, data.belief)}
        />
        {#if data.bake.circumstances.assumed}
          <p class="quiet">
            Nobody wrote down the room and the bags of that day: they are assumed to have been as
            they were when the program began to keep them.
          </p>
        {/if}
      {:else if !data.bake.finishedAt}
        <p class="text-lg">
          How it came out is kept in this browser and goes into the book when the server has it.
          What it taught then stands here.
        </p>
      {:else}
        <p>
          What it taught is being worked out, or there was nothing to learn: a formula without flour
          has no level.
        </p>
      {/if}
      <p class="flex flex-wrap gap-3">
        <a class="knob knob-act" href="/bench/{data.bake.formulaId}">To the bench</a>
        <a class="knob" href="/book?formula={data.bake.formulaId}">To the book</a>
        <button class="knob" type="button" onclick={() => run.takeBack('finished')}
          >It is not finished yet</button
        >
      </p>
    </section>
  {:else if run.state.abandonedAt}
    <section class="bowl grid gap-4 p-5" aria-labelledby="given-up">
      <h2 id="given-up" class="text-xl">This bake was given up</h2>
      <p class="text-lg">
        What was weighed and felt stays written down; it teaches nothing, and stands no longer among
        what is being baked.
      </p>
      <p class="flex flex-wrap gap-3">
        <button class="knob knob-act" type="button" onclick={() => run.takeBack('abandoned')}
          >Take it up again</button
        >
        <a class="knob" href="/bake">To Bake day</a>
      </p>
    </section>
  {:else}
    <nav class="mb-4 grid grid-cols-2 gap-2 sm:grid-cols-4" aria-label="Steps of the bake">
      {#each steps as step, i (step)}
        <button
          class="step"
          type="button"
          aria-current={run.step === step ? 'step' : undefined}
          onclick={() => (run.step = step)}>{i + 1} {names[step]}</button
        >
      {/each}
    </nav>
    <h2 class="sr-only" tabindex="-1" bind:this={heading}>{names[run.step]}</h2>
    {#if run.step === 'weigh'}
      <WeighStep {run} says={say(devices[data.bake.method].loading.says)} />
    {:else if run.step === 'check'}
      <CheckStep {run} />
    {:else if run.step === 'rise'}
      <RiseStep {run} />
    {:else}
      <OutcomeStep bake={data.bake.id} onfinish={finish} />
    {/if}
    <div class="mt-6 flex flex-wrap items-center gap-3 border-t border-line pt-4">
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
  {/if}
</div>

<style>
  .step {
    min-height: 3rem;
    padding: 0 0.5rem;
    border-bottom: 5px solid var(--line);
    font-weight: 600;
    color: var(--soft);
  }
  .step[aria-current] {
    border-bottom-color: var(--rim);
    color: var(--rim);
  }
</style>
