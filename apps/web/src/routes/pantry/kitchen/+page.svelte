<script lang="ts">
  import { pantryIn, settingsOf, type Settings } from '@tender-crumb/core/household';
  import AppliancesForm from '$lib/pantry/AppliancesForm.svelte';
  import BakersForm from '$lib/pantry/BakersForm.svelte';
  import CustomForm from '$lib/pantry/CustomForm.svelte';
  import Measured from '$lib/pantry/Measured.svelte';
  import PansForm from '$lib/pantry/PansForm.svelte';
  import HoursForm from '$lib/pantry/HoursForm.svelte';
  import { numberIn } from '$lib/pantry/faults.ts';
  import { deed } from '$lib/sync/deeds.ts';
  import { saidOfHouse } from '$lib/sync/said.ts';
  import { settledHouse } from '$lib/sync/settled-house.ts';
  import { refresh } from '$lib/ui/refresh.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();

  /** What was just settled, until the page has it from the server: a row that came does not go in between. */
  let pending = $state.raw<Partial<Settings>>({});
  const household = $derived({ ...settledHouse(data.household), ...pending });
  const week = $derived(household.week);
  /** Flours to try a hand with: those that there are bags of first. */
  const flours = $derived.by(() => {
    const bagged = new Set(household.bags.filter((b) => !b.finished).map((b) => b.ingredient));
    return pantryIn(household)
      .all.filter((i) => i.role === 'flour')
      .map(({ id, name }) => ({ id, name }))
      .sort((a, b) => Number(bagged.has(b.id)) - Number(bagged.has(a.id)));
  });
  const zones = Intl.supportedValuesOf('timeZone');
  let said = $state('');
  let fault = $state('');

  async function keep(change: Partial<Settings>) {
    const before = household;
    pending = { ...pending, ...change };
    const mine = pending;
    const { refused, says } = await saidOfHouse(settingsOf(before), change);
    fault = refused ? says : '';
    said = refused ? '' : says;
    if (!refused) await refresh();
    // Something settled meanwhile waits for its own answer.
    if (pending === mine) pending = {};
  }

  /** The bakes that were measured otherwise were not. */
  async function alwaysSo() {
    try {
      await deed('always-so');
      fault = '';
      said = 'Saved.';
      await refresh();
    } catch (refusal) {
      fault = `Not changed: ${(refusal as Error).message}`;
    }
  }

  function people(text: string) {
    const n = numberIn(text);
    if (n !== undefined && Number.isInteger(n) && n >= 1 && n <= 20) void keep({ people: n });
    else fault = '1 to 20 pairs of hands.';
  }

  function altitude(text: string) {
    const metres = numberIn(text);
    if (metres === undefined || (metres >= -450 && metres <= 6000))
      void keep({ altitude: metres } as Partial<Settings>);
    else fault = 'Between −450 and 6000 m above the sea.';
  }
</script>

<svelte:head><title>Kitchen and equipment · Tender Crumb</title></svelte:head>

<h1>Kitchen and equipment</h1>
<p class="quiet min-h-5" role="status">
  {said}{#if fault}<span class="text-act">{fault}</span>{/if}
</p>
<div class="grid items-start gap-4 lg:grid-cols-2">
  <div class="grid gap-4">
    <Measured
      {household}
      measuredOtherwise={data.measuredOtherwise}
      onkeep={(change) => void keep(change)}
      onalways={() => void alwaysSo()}
    />
  </div>
  <div class="grid gap-4">
    <div class="bowl grid gap-6 p-4">
      <HoursForm
        title="Asleep"
        says="A plan does not wake you: it uses the fridge or less leaven."
        hours={week.asleep}
        onkeep={(asleep) => void keep({ week: { ...week, asleep } })}
      />
      <HoursForm
        title="Away"
        says="Nobody is home."
        hours={week.away}
        onkeep={(away) => void keep({ week: { ...week, away } })}
      />
      <HoursForm
        title="Cheap or solar power"
        says="If you set hours, oven and machine run only then."
        hours={week.power}
        onkeep={(power) => void keep({ week: { ...week, power } })}
      />
      <PansForm pans={household.pans} onkeep={(pans) => void keep({ pans })} />
      <CustomForm
        custom={household.custom}
        onkeep={(custom) => void keep({ custom } as Partial<Settings>)}
      />
    </div>
    <div class="bowl grid gap-6 p-4">
      <AppliancesForm
        appliances={household.appliances}
        onkeep={(appliances) => void keep({ appliances })}
      />
      <BakersForm
        bakers={household.bakers}
        {flours}
        today={household.today ?? ''}
        onkeep={(bakers) => void keep({ bakers })}
      />
      <section class="grid gap-3" aria-label="House">
        <h2>House</h2>
        <div class="flex flex-wrap gap-3">
          <label class="quiet grid gap-1"
            >Pairs of hands
            <input
              class="field w-24 text-right text-base text-ink"
              inputmode="numeric"
              value={household.people}
              onchange={(e) => people(e.currentTarget.value)}
            />
          </label>
          <label class="quiet grid gap-1"
            >Metres above the sea
            <input
              class="field w-32 text-right text-base text-ink"
              inputmode="numeric"
              placeholder="not known"
              value={household.altitude ?? ''}
              onchange={(e) => altitude(e.currentTarget.value)}
            />
          </label>
          <label class="quiet grid gap-1"
            >Clock of
            <select
              class="field text-base text-ink"
              value={household.zone ?? ''}
              onchange={(e) =>
                void keep({ zone: e.currentTarget.value || undefined } as Partial<Settings>)}
            >
              <option value="">this server: {data.zone}</option>
              {#each zones as zone (zone)}<option value={zone}>{zone.replaceAll('_', ' ')}</option
                >{/each}
            </select>
          </label>
        </div>
      </section>
    </div>
  </div>
</div>
