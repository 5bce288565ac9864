<script lang="ts">
  import type { Paces } from '@tender-crumb/core/ferment';
  import type { Household } from '@tender-crumb/core/household';
  import type { Bag, Ingredient } from '@tender-crumb/core/ingredient';
  import { hoursText, isRefused } from '@tender-crumb/core/quantity';
  import { awaitsPeak, hoursToPeak, mostBuilds, type Feeding } from '@tender-crumb/core/starter';
  import { starterOf } from '@tender-crumb/core/view';
  import Pencil from '@lucide/svelte/icons/pencil';
  import X from '@lucide/svelte/icons/x';
  import { DateTime } from 'luxon';
  import { nanoid } from 'nanoid';
  import { onMount, untrack } from 'svelte';
  import { saidRow, type Settled } from '../sync/said.ts';
  import { numberIn } from '../pantry/faults.ts';
  import { fieldOf, momentOfField, timeText, untilText } from '../plan/when.ts';
  import { asMass, asWarmth } from '../ui/writing.ts';
  import LeavenForm from './LeavenForm.svelte';
  import TwoJars from './TwoJars.svelte';
  import { currentIso, currentMs, currentTime } from '../clock.ts';

  let {
    bag,
    feedings,
    household,
    flours,
    paces,
    zone,
    onchange,
  }: {
    bag: Bag;
    feedings: readonly Feeding[];
    household: Household;
    flours: readonly Ingredient[];
    paces: Paces;
    zone: string;
    onchange: () => Promise<unknown>;
  } = $props();

  let now = $state.raw(currentTime());
  let editing = $state(false);
  let fault = $state('');
  let whole = $state(false);

  /** What was fed just now: the last again, until something else is typed. */
  let fed = $state(
    untrack(() => ({
      seed: String(feedings[0]?.seed ?? 20),
      flour: String(feedings[0]?.flour ?? 50),
      water: String(feedings[0]?.water ?? Math.round(50 * (bag.hydration ?? 1))),
      discard: '',
    })),
  );

  /** Asked for: ripe starter at a time. */
  let wanted = $state('100');
  let kept = $state('20');
  let ripeAt = $state(
    untrack(() =>
      fieldOf(
        DateTime.fromMillis(currentMs()).plus({ days: 1 }).set({ hour: 9, minute: 0 }).toISO()!,
        zone,
      ),
    ),
  );
  /** Worked out where it is looked at: it takes longer than all the rest of the page. */
  let here = $state(false);
  onMount(() => {
    here = true;
  });
  const given = $derived({ bag, feedings, household, paces, now: now.toISOString() });
  /** As many as it wants, as it stands now. */
  let builds = $state(untrack(() => String(Math.max(1, starterOf(given).standing?.feedings ?? 1))));
  const view = $derived(
    starterOf({
      ...given,
      asked: {
        want: numberIn(wanted),
        keep: numberIn(kept),
        at: momentOfField(ripeAt, zone),
        builds: Number(builds),
      },
    }),
  );
  const last = $derived(feedings[0]);
  const planned = $derived(here ? view.ahead : undefined);

  async function ask(what: () => Promise<Settled>): Promise<void> {
    fault = '';
    try {
      const { refused, waits, says } = await what();
      if (refused) throw new Error(says);
      now = currentTime();
      if (!waits) await onchange();
    } catch (refusal) {
      fault = `That was not written down: ${(refusal as Error).message}`;
    }
  }

  function feed(event: SubmitEvent) {
    event.preventDefault();
    const [seed, flour, water] = [numberIn(fed.seed), numberIn(fed.flour), numberIn(fed.water)];
    const thrown = numberIn(fed.discard);
    if (
      !(seed! > 0) ||
      !(flour! > 0) ||
      !(water! >= 0) ||
      (thrown !== undefined && !(thrown >= 0))
    ) {
      fault = 'Starter and flour need some grams; water 0 or more.';
      return;
    }
    void ask(() =>
      saidRow('feeding', {
        id: nanoid(),
        bag: bag.id,
        row: { at: currentIso(), seed, flour, water, ...(thrown ? { discard: thrown } : {}) },
      }),
    );
  }

  const peaked = ({ id }: Feeding) =>
    ask(() => saidRow('peak', { id, bag: bag.id, row: { at: currentIso() } }));
</script>

<section class="bowl grid gap-4 p-4" aria-label={bag.name}>
  <div class="flex flex-wrap items-center justify-between gap-2">
    <h2 class="text-xl leading-tight">{bag.name}</h2>
    <button
      class="touch justify-center rounded p-2 text-soft hover:bg-sunk"
      type="button"
      aria-label="Change {bag.name}"
      aria-expanded={editing}
      onclick={() => (editing = !editing)}><Pencil size={18} /></button
    >
  </div>
  {#if editing}
    <LeavenForm
      kind="starter"
      {bag}
      kinds={flours}
      ondone={() => {
        editing = false;
        void onchange();
      }}
    />
  {/if}
  <div>
    {#if view.standing}
      <p class="text-lg"><b>{view.standing.label}</b>: {view.standing.says}.</p>
    {:else}
      <p class="text-lg">No feeding written down yet.</p>
    {/if}
    <p class="quiet">
      {flours.find((f) => f.id === bag.ingredient)?.name ?? ''}, {Math.round(view.hydration * 100)} %
      water, in {view.keptAt === 'fridge' ? 'the fridge' : 'the room'}{view.fedAt
        ? `; fed ${timeText(view.fedAt, zone, now)}, ${untilText(view.fedAt, now)}`
        : ''}{view.discard > 0 ? `; ${asMass(view.discard)} of discard put by` : ''}.
      {paces.starter ? 'The speed comes from what you saw.' : ''}
    </p>
  </div>

  <form class="grid gap-2" onsubmit={feed} novalidate aria-label="Fed just now">
    <h3 class="font-semibold">Fed just now</h3>
    <div class="flex flex-wrap items-end gap-2">
      {#each [['seed', 'Starter'], ['flour', 'Flour'], ['water', 'Water'], ['discard', 'Discard put by']] as const as [field, label] (field)}
        <label class="quiet grid gap-1"
          >{label}, g
          <input
            class="field w-24 text-right text-base text-ink"
            inputmode="decimal"
            placeholder={field === 'discard' ? 'none' : ''}
            bind:value={fed[field]}
          />
        </label>
      {/each}
      <button class="knob touch" type="submit">Write it down</button>
    </div>
  </form>

  <div class="grid gap-2" role="group" aria-label="Ripe for a bake">
    <h3 class="font-semibold">Ripe for a bake</h3>
    <div class="flex flex-wrap items-end gap-2">
      <label class="quiet grid gap-1"
        >Ripe at
        <input class="field text-base text-ink" type="datetime-local" bind:value={ripeAt} />
      </label>
      <label class="quiet grid gap-1"
        >The dough takes, g
        <input
          class="field w-28 text-right text-base text-ink"
          inputmode="decimal"
          bind:value={wanted}
        />
      </label>
      <label class="quiet grid gap-1"
        >Kept, g
        <input
          class="field w-24 text-right text-base text-ink"
          inputmode="decimal"
          bind:value={kept}
        />
      </label>
      <label class="quiet grid gap-1"
        >Feedings
        <select class="field text-base text-ink" bind:value={builds}>
          {#each Array.from({ length: mostBuilds }, (_, i) => String(i + 1)) as n (n)}
            <option value={n}>{n}</option>
          {/each}
        </select>
      </label>
    </div>
    <div aria-live="polite" class="min-h-9">
      {#if planned === undefined}
        <p class="quiet">One moment …</p>
      {:else if isRefused(planned)}
        <p class="text-act" role="alert">{planned.refused.says}</p>
      {:else}
        <ol class="grid gap-1">
          {#each planned as build (build.at)}
            <li class="flex flex-wrap gap-x-3 border-t border-line py-1">
              <b class="min-w-[min(6rem,100%)] text-lg text-rim tabular-nums"
                >{timeText(build.moment, zone, now)}</b
              >
              <span class="flex-1 basis-[min(12rem,100%)]">
                <b>{asMass(build.seed)}</b> of starter, <b>{asMass(build.flour)}</b> of flour,
                <b>{asMass(build.water)}</b> of water
                <span class="quiet"
                  >ripe after {hoursText(build.hours.low)} to {hoursText(
                    build.hours.high,
                  )}{build.nearest ? ', the nearest that there is' : ''}</span
                >
              </span>
            </li>
          {/each}
        </ol>
      {/if}
    </div>
  </div>

  <TwoJars
    {bag}
    {feedings}
    whole={flours.find((f) => f.id === bag.ingredient)?.whole ?? 0}
    {paces}
    {zone}
    {now}
    {ask}
  />

  {#if feedings.length > 0}
    <div>
      <h3 class="font-semibold">What it was fed</h3>
      <ul>
        {#each feedings.slice(0, whole ? feedings.length : 5) as feeding (feeding.id)}
          <li
            class="flex flex-wrap items-center justify-between gap-2 border-t border-line py-1 tabular-nums"
          >
            <span>
              {timeText(feeding.at, zone, now)}
              <span class="quiet"
                >{asMass(feeding.seed)} + {asMass(feeding.flour)} + {asMass(
                  feeding.water,
                )}{feeding.celsius === undefined
                  ? ''
                  : `, at ${asWarmth(feeding.celsius)}`}{hoursToPeak(feeding) === undefined
                  ? ''
                  : `, highest after ${hoursText(hoursToPeak(feeding)!)}`}{feeding.note
                  ? `, ${feeding.note}`
                  : ''}</span
              >
            </span>
            <span class="flex flex-wrap gap-1">
              {#if feeding === last && awaitsPeak(feeding, now.toISOString())}
                <button class="knob touch" type="button" onclick={() => void peaked(feeding)}
                  >It stands highest now</button
                >
              {/if}
              {#if feeding.bake}
                <a class="link touch" href="/bake/{feeding.bake}">in a bake</a>
              {:else}
                <button
                  class="knob touch px-2"
                  type="button"
                  aria-label="Take the feeding of {timeText(feeding.at, zone, now)} out"
                  onclick={() =>
                    void ask(() => saidRow('feeding-off', { id: feeding.id, bag: bag.id }))}
                  ><X size={16} /></button
                >
              {/if}
            </span>
          </li>
        {/each}
      </ul>
      {#if feedings.length > 5 && !whole}
        <button class="link touch" type="button" onclick={() => (whole = true)}
          >All {feedings.length} feedings</button
        >
      {/if}
    </div>
  {/if}
  {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
</section>
