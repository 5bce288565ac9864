<script lang="ts">
  import { invalidateAll } from '$app/navigation';
  import { isDryBase, loadingOrders, pantryIn, resolve, type Outcome } from '@tender-crumb/core';
  import { onMount } from 'svelte';
  import LessonView from '$lib/book/LessonView.svelte';
  import CheckStep from '$lib/run/CheckStep.svelte';
  import OutcomeStep from '$lib/run/OutcomeStep.svelte';
  import { Run, steps } from '$lib/run/run.svelte.ts';
  import { keepAwake } from '$lib/run/awake.ts';
  import WeighStep from '$lib/run/WeighStep.svelte';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();

  const run = $derived(
    new Run({ ...data, id: data.bake.id, method: data.bake.method, events: data.bake.events }),
  );
  const names = { weigh: 'Weigh', check: 'Dough check', outcome: 'How it came out' };
  let busy = $state(false);
  let fault = $state('');

  onMount(() => {
    run.recover();
    const release = keepAwake();
    return () => {
      release();
      run.queue.stop();
    };
  });

  async function finish(outcome: Outcome) {
    busy = true;
    fault = '';
    try {
      await run.finish(outcome);
      await invalidateAll();
    } catch (refusal) {
      fault = `${(refusal as Error).message} What you wrote is kept here and goes out by itself.`;
    } finally {
      busy = false;
    }
  }
</script>

<svelte:head><title>{data.formula.name} · Bake day · Tender Crumb</title></svelte:head>

<div class="mx-auto max-w-4xl">
  <div class="mb-3 flex flex-wrap items-baseline justify-between gap-2">
    <h1>{data.formula.name}</h1>
    <span class="quiet" role="status">
      {run.fault ? run.fault : run.waiting > 0 ? 'Writing it down …' : 'All written down'}
    </span>
  </div>

  {#if data.bake.finishedAt}
    <section class="bowl grid gap-4 p-5" aria-labelledby="taught">
      <h2 id="taught" class="text-xl">What this bake taught</h2>
      {#if data.bake.lesson}
        <LessonView
          lesson={data.bake.lesson}
          style={data.formula.style}
          dryBase={isDryBase(resolve(data.formula, pantryIn(data.household)))}
          household={data.household}
        />
      {:else}
        <p>The formula has no flour, so that there was no level to learn about.</p>
      {/if}
      <p class="flex flex-wrap gap-3">
        <a class="knob knob-act" href="/bench/{data.bake.formulaId}">To the bench</a>
        <a class="knob" href="/book?formula={data.bake.formulaId}">To the book</a>
      </p>
    </section>
  {:else}
    <nav class="mb-4 grid grid-cols-3 gap-2" aria-label="Steps of the bake">
      {#each steps as step, i (step)}
        <button
          class="step"
          type="button"
          aria-current={run.step === step ? 'step' : undefined}
          onclick={() => (run.step = step)}>{i + 1} {names[step]}</button
        >
      {/each}
    </nav>
    {#if run.step === 'weigh'}
      <WeighStep {run} says={loadingOrders[data.bake.method].says} />
    {:else if run.step === 'check'}
      <CheckStep {run} />
    {:else}
      <OutcomeStep {busy} {fault} onfinish={finish} />
    {/if}
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
