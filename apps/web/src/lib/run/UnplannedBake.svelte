<script lang="ts">
  import { bakeState, judgements, type BakeEvent, type Outcome } from '@tender-crumb/core/bake';
  import { nanoid } from 'nanoid';
  import { onMount } from 'svelte';
  import { outbox } from '../sync/here.ts';
  import { bakeLane, eventEntry } from '../sync/kinds.ts';
  import { eventsOnTheirWay } from '../sync/overlay.ts';
  import { sync } from '../sync/sync.svelte.ts';
  import { refresh } from '../ui/refresh.ts';
  import OutcomeStep from './OutcomeStep.svelte';
  import { tapped } from '../clock.ts';

  let { bake }: { bake: { id: string; formulaName: string; events: readonly BakeEvent[] } } =
    $props();

  const lane = $derived(bakeLane(bake.id));
  const waiting = $derived(sync.standing.waiting.filter((e) => e.lane === lane).length);
  /** With what was said here and is not there yet. */
  const state = $derived(
    bakeState([...bake.events, ...eventsOnTheirWay(sync.standing.waiting, bake.id)]),
  );

  const more = $derived(
    [state.outcome?.words.join(', '), state.outcome?.note].filter(Boolean).join(' · '),
  );

  onMount(() =>
    outbox().subscribe(({ outcome }) => {
      if (outcome?.entry.lane === lane && outcome.result.kind === 'delivered') void refresh();
    }),
  );

  function finish(outcome: Outcome) {
    if (state.finishedAt) return;
    const when = tapped();
    const events = [
      { id: nanoid(), ...when, kind: 'outcome', data: outcome },
      { id: nanoid(), ...when, kind: 'finished', data: {} },
    ] satisfies BakeEvent[];
    for (const event of events) void outbox().add(eventEntry(bake.id, event));
  }
</script>

<svelte:head><title>{bake.formulaName} · Bake day · Tender Crumb</title></svelte:head>

<div class="mx-auto max-w-4xl">
  <div class="mb-3 flex flex-wrap items-baseline justify-between gap-2">
    <h1>{bake.formulaName}</h1>
    <span class="quiet" role="status">
      {waiting === 0 ? 'Saved' : sync.isStuck ? 'Kept in this browser' : 'Saving …'}
    </span>
  </div>
  {#if state.finishedAt}
    <section class="bowl grid gap-3 p-5">
      {#if state.outcome}
        <h2 class="text-xl">
          {state.outcome.stars ? judgements[state.outcome.stars - 1] : 'Not judged'}
        </h2>
        {#if more}<p>{more}</p>{/if}
      {/if}
      <p class="quiet">
        Baked without a recipe here: there was no forecast, so the book learns nothing.
      </p>
      <p><a class="knob" href="/book">To the book</a></p>
    </section>
  {:else}
    <OutcomeStep bake={bake.id} onfinish={finish} />
  {/if}
</div>
