<script lang="ts">
  import { afterNavigate } from '$app/navigation';
  import { page } from '$app/state';
  import AlarmClock from '@lucide/svelte/icons/alarm-clock';
  import { onMount } from 'svelte';
  import { question } from '../question.ts';
  import type { PlanData } from '../server/plan-data.ts';
  import { speech } from '../run/speech.svelte.ts';
  import { bell } from './bell.svelte.ts';
  import { callsDue } from './due.ts';
  import { Planning } from './planning.svelte.ts';
  import { timeText, untilText } from './when.ts';

  /** What others of the house changed is looked up so often, ms. */
  const lookUp = 60_000;

  let planning = $state.raw<Planning>();
  const onPlan = $derived(page.url.pathname === '/bake');
  const step = $derived(planning?.next);
  const calls = $derived(
    planning
      ? callsDue(
          planning.ahead.filter((s) => !planning!.isBegun(s)),
          planning.ahead.filter((s) => planning!.isBegun(s)),
          planning.data.timers,
          (bake) => planning!.nameOf(bake),
          planning.now,
        )
      : [],
  );

  async function look(): Promise<void> {
    const data = await question<PlanData>('/api/v1/plans').catch(() => undefined);
    if (!data) return;
    if (planning) planning.receive(data);
    else if (data.plans.length + data.timers.length > 0) {
      planning = new Planning(data, look);
      end = planning.follow();
    }
  }
  let end = () => {};

  afterNavigate(() => void look());
  onMount(() => {
    void look();
    const timer = setInterval(() => {
      if (planning && !document.hidden) void look();
    }, lookUp);
    return () => {
      clearInterval(timer);
      end();
    };
  });

  /** What has called already calls no second time here. */
  const called = new Set<string>();
  $effect(() => {
    for (const call of calls) {
      if (called.has(call.id)) continue;
      called.add(call.id);
      bell.ring(call.says);
      speech.tell(call.says);
    }
  });
  $effect(() => {
    const call = calls[0];
    if (!call) return;
    const before = document.title;
    document.title = `● ${call.says}`;
    return () => {
      if (document.title.startsWith('●')) document.title = before;
    };
  });
</script>

{#if onPlan}
  <!-- The page itself shows it; whoever listens hears it as well. -->
  <p class="sr-only" aria-live="assertive">
    {#if calls.length > 0}Now: {calls.map((c) => c.says).join(' · ')}{/if}
  </p>
{:else}
  <a
    class="no-print flex min-h-11 items-center border-b border-line px-4 py-2 {calls.length > 0
      ? 'bg-act text-on-act'
      : 'bg-sunk'}"
    href="/bake"
    aria-live="polite"
  >
    <span class="mx-auto flex w-full max-w-[86rem] items-center gap-2">
      <AlarmClock size={18} aria-hidden="true" />
      {#if calls.length > 0}
        <b>Now: {calls.map((c) => c.says).join(' · ')}</b>
      {:else if planning && step}
        <span
          ><b>{timeText(step.start, planning.data.zone, planning.now)}</b>
          {step.label}: {planning.nameOf(step.bake)}, {untilText(step.start, planning.now)}</span
        >
      {:else}
        <span>What is planned</span>
      {/if}
    </span>
  </a>
{/if}
