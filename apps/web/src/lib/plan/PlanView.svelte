<script lang="ts">
  import { inOrder } from '@tender-crumb/core/schedule';
  import CalendarDays from '@lucide/svelte/icons/calendar-days';
  import Printer from '@lucide/svelte/icons/printer';
  import type { Formula } from '@tender-crumb/core/formula';
  import { onMount, untrack } from 'svelte';
  import { keepAwake } from '../run/awake.ts';
  import Either from '../ui/Either.svelte';
  import type { PlanData } from '../server/plan-data.ts';
  import { outbox } from '../sync/here.ts';
  import { sync } from '../sync/sync.svelte.ts';
  import { refresh } from '../ui/refresh.ts';
  import AmountsOf from './AmountsOf.svelte';
  import CouldBake from './CouldBake.svelte';
  import NextThing from './NextThing.svelte';
  import { later } from '../ui/later.ts';
  import WishForm from './WishForm.svelte';
  import PlanChart from './PlanChart.svelte';
  import { Planning } from './planning.svelte.ts';
  import StepList from './StepList.svelte';
  import Timers from './Timers.svelte';

  let {
    data,
    breads,
    first,
  }: {
    data: PlanData;
    breads: ReadonlyArray<{
      readonly id: string;
      readonly name: string;
      readonly formula?: Formula;
    }>;
    first?: string | undefined;
  } = $props();

  const planning = untrack(() => new Planning(data, refresh));
  $effect(() => {
    const fresh = data;
    untrack(() => planning.receive(fresh));
  });
  onMount(() => {
    const end = planning.follow();
    const release = keepAwake(() => {});
    // What was tapped on a bake's page may come to the server only now: the plan goes by it.
    const hear = outbox().subscribe(({ outcome }) => {
      if (outcome?.result.kind === 'delivered') void refresh();
    });
    return () => {
      end();
      release();
      hear();
    };
  });

  const planned = $derived(planning.plans.length > 0);
  /** A day of baking is looked at so far ahead, ms. */
  const dayAhead = 16 * 60 * 60_000;
  let whole = $state(false);
  const today = $derived(
    (planning.timed?.steps ?? []).filter(
      (s) => Date.parse(s.start) < planning.now.getTime() + dayAhead,
    ),
  );
  /** Something is under way, and other things are days off: then the day is drawn first. */
  const longer = $derived(
    today.some((s) => planning.isBegun(s)) && today.length < (planning.timed?.steps.length ?? 0),
  );
  const drawn = $derived.by(() => {
    const all = planning.timed;
    if (!all || !longer || whole) return all;
    const bakes = new Set(today.map((s) => s.bake));
    return { ...all, steps: today, bakes: all.bakes.filter((b) => bakes.has(b.id)) };
  });
  const week = $derived(data.household.week);
  const nights = $derived(week.asleep.map((h) => `${h.from} to ${h.to}`).join(', '));
  let drawing = $state(true);
  onMount(() => (drawing = matchMedia('(min-width: 701px)').matches));
  const noPlan = later(() => import('./NoPlanYet.svelte'));
  let open = $state(untrack(() => first !== undefined || data.plans.length === 0));

  async function calendar() {
    if (!planning.timed) return;
    const { calendarOf } = await import('./calendar.ts');
    const text = calendarOf(planning.timed);
    if (!text) return;
    const link = document.createElement('a');
    link.href = URL.createObjectURL(new Blob([text], { type: 'text/calendar' }));
    link.download = 'bake-plan.ics';
    link.click();
    setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
  }
</script>

<div class="grid gap-4" aria-busy={planning.busy}>
  {#if planning.fault}<p class="text-act" role="alert">{planning.fault}</p>{/if}
  {#if planning.refused}
    {#await noPlan() then { default: NoPlanYet }}
      <NoPlanYet {planning} refused={planning.refused} />
    {/await}
  {/if}
  {#if planned && !planning.timed && !planning.refused}
    <p class="quiet">Working the times out …</p>
  {/if}
  <div class="grid items-start gap-4 lg:grid-cols-[minmax(0,5fr)_minmax(0,2fr)]">
    <div class="grid min-w-0 gap-4">
      {#if !planned && breads.length > 0}<CouldBake {planning} {breads} />{/if}
      {#if planning.timed}
        <NextThing {planning} />
        {#each planning.timed.missed as bake (bake)}
          <p class="flex flex-wrap items-center gap-2 text-act">
            {planning.nameOf(bake)} was not begun in time.
            <button class="knob touch" type="button" onclick={() => void planning.drop(bake)}
              >Remove</button
            >
          </p>
        {/each}
        {#if planning.timed.waits}
          <p class="text-act">
            A dough is ahead of its plan. Keep it cool, and go on as soon as you can.
          </p>
        {/if}
        {#if planning.timed.calls}
          <p class="text-act">This dough cannot wait: it needs you while you are asleep or away.</p>
        {/if}
        <!-- On a phone the list says it better: the picture of the day is there for who asks. -->
        <details class="chart bowl p-4" bind:open={drawing}>
          <summary class="touch font-semibold">The day as a picture</summary>
          {#if longer}
            <div class="no-print mb-2 w-fit">
              <Either
                label="How much of it is drawn"
                value={whole ? 'all' : 'day'}
                choices={[
                  ['day', 'today'],
                  ['all', 'all days'],
                ]}
                onpick={(what) => (whole = what === 'all')}
              />
            </div>
          {/if}
          <PlanChart
            plan={drawn!}
            now={planning.now}
            done={(s) => planning.isDone(s)}
            held={(s) => planning.isHeld(s)}
            onmove={(step, at) => planning.try(step, at)}
            ondrop={async (step, at) => {
              planning.try(undefined);
              await planning.hold(step, at);
            }}
          />
        </details>
        <section class="bowl p-4" aria-labelledby="do-this">
          <div class="flex flex-wrap items-center justify-between gap-2">
            <h2 id="do-this">Do this at</h2>
            <p class="no-print flex max-w-full flex-wrap gap-2">
              <button class="knob touch" type="button" onclick={() => window.print()}
                ><Printer size={16} /> Print</button
              >
              <button class="knob touch" type="button" onclick={() => void calendar()}
                ><CalendarDays size={16} /> Calendar file</button
              >
            </p>
          </div>
          <StepList {planning} />
        </section>
      {/if}
    </div>
    <div class="grid gap-4">
      {#each inOrder(planning.timed?.bakes ?? [], planning.steps) as bake (bake.id)}
        <AmountsOf {planning} {bake} onchange={refresh} />
      {/each}
      <details class="bowl no-print p-4" bind:open>
        <summary class="touch text-lg font-bold">Plan a bread</summary>
        <div class="mt-2">
          {#if breads.length === 0}
            <p>
              No recipe to plan yet: <a class="link" href="/">put one on the Shelf</a>.
            </p>
          {:else}
            <WishForm {planning} {breads} {...first === undefined ? {} : { first }} />
          {/if}
        </div>
        <p class="quiet mt-3">
          {nights ? `Nobody is up from ${nights}.` : 'Somebody is up at any hour.'}
          <a class="link" href="/pantry/kitchen">Kitchen and equipment</a>
        </p>
      </details>
      <Timers timers={sync.timers(data.timers)} now={planning.now} zone={data.zone} />
    </div>
  </div>
</div>

<style>
  @media (min-width: 701px) {
    .chart > summary {
      display: none;
    }
  }
</style>
