<script lang="ts">
  import type { Paces } from '@tender-crumb/core/ferment';
  import { celsiusTyped, hoursText, numberTyped } from '@tender-crumb/core/quantity';
  import {
    awaitsPeak,
    hoursToPeak,
    leastApart,
    twoJarsIn,
    type Feeding,
  } from '@tender-crumb/core/starter';
  import type { Bag } from '@tender-crumb/core/ingredient';
  import { nanoid } from 'nanoid';
  import { currentIso } from '../clock.ts';
  import { momentOfField, timeText } from '../plan/when.ts';
  import { saidRow, type Settled } from '../sync/said.ts';
  import { asMass, asWarmth, writing } from '../ui/writing.ts';
  import PeakChart from './PeakChart.svelte';

  let {
    bag,
    feedings,
    whole,
    paces,
    zone,
    now,
    ask,
  }: {
    bag: Bag;
    feedings: readonly Feeding[];
    /** Share of whole grain in its flour. */
    whole: number;
    paces: Paces;
    zone: string;
    now: Date;
    ask: (what: () => Promise<Settled>) => Promise<void>;
  } = $props();

  const pair = $derived(twoJarsIn(feedings));
  const jars = $derived(
    pair
      ? ([
          ['Warm jar', pair.warm],
          ['Cool jar', pair.cool],
        ] as const)
      : [],
  );
  const seen = $derived(jars.some(([, f]) => hoursToPeak(f) !== undefined));
  const runs = $derived(jars.some(([, f]) => awaitsPeak(f, now.toISOString())));
  let again = $state(false);
  let warm = $state('');
  let cool = $state('');
  let fault = $state('');
  /** A time that was typed, by jar. */
  let stood = $state<Record<string, string>>({});

  /** The usual feeding of such a task: equal parts twice over, little flour. */
  const each = { seed: 20, flour: 40, water: 40 } as const;
  const water = $derived(Math.round(each.flour * (bag.hydration ?? 1)));

  const celsius = (text: string): number | undefined => {
    const number = numberTyped(text, writing());
    return number === undefined ? undefined : celsiusTyped(number, writing());
  };

  async function feed(event: SubmitEvent) {
    event.preventDefault();
    const [high, low] = [celsius(warm), celsius(cool)];
    if (high === undefined || low === undefined) {
      fault = 'How warm are the two places?';
      return;
    }
    if (high < 5 || high > 40 || low < 5 || low > 40) {
      fault = `Places of ${asWarmth(5)} to ${asWarmth(40)}: colder, a jar hardly rises; hotter, it dies.`;
      return;
    }
    if (high - low < leastApart) {
      fault = `The two places are too alike. They need to be ${leastApart} °C apart or more.`;
      return;
    }
    fault = '';
    const at = currentIso();
    for (const celsius of [high, low])
      await ask(() =>
        saidRow('feeding', {
          id: nanoid(),
          bag: bag.id,
          row: { at, seed: each.seed, flour: each.flour, water, celsius },
        }),
      );
    again = false;
  }

  const peaked = ({ id }: Feeding, at: string) =>
    ask(() => saidRow('peak', { id, bag: bag.id, row: { at } }));
  const begins = ({ id, ...row }: Feeding) =>
    ask(() => saidRow('feeding', { id, bag: bag.id, row: { ...row, risingAt: currentIso() } }));

  function stoodHighest(event: SubmitEvent, jar: Feeding) {
    event.preventDefault();
    const at = momentOfField(stood[jar.id] ?? '', zone);
    if (
      at === undefined ||
      Date.parse(at) <= Date.parse(jar.at) ||
      Date.parse(at) > now.getTime()
    ) {
      fault = 'A time since its feeding.';
      return;
    }
    fault = '';
    stood[jar.id] = '';
    void peaked(jar, at);
  }
</script>

<!-- Two jars that are fed alike, one in the warm, one in the cool: what they teach of this starter. -->
<details>
  <summary class="touch font-semibold">Test it with two jars</summary>
  <div class="mt-2 grid gap-3">
    {#if !pair || again}
      <p>
        Take two clean jars and feed them alike: <b>{asMass(each.seed)}</b> of starter,
        <b>{asMass(each.flour)}</b> of flour, <b>{asMass(water)}</b> of water each. Put one in a warm
        place and one in a cool one, a band round each. Note when each stands highest. That shows how
        it works in summer and in winter.
      </p>
      <form class="flex flex-wrap items-end gap-2" onsubmit={feed} novalidate>
        <label class="quiet grid gap-1"
          >Warm place, °{writing().temperature}
          <input
            class="field w-28 text-right text-base text-ink"
            inputmode="decimal"
            placeholder={asWarmth(28)}
            bind:value={warm}
          />
        </label>
        <label class="quiet grid gap-1"
          >Cool place, °{writing().temperature}
          <input
            class="field w-28 text-right text-base text-ink"
            inputmode="decimal"
            placeholder={asWarmth(19)}
            bind:value={cool}
          />
        </label>
        <button class="knob touch" type="submit">Both are fed</button>
      </form>
    {:else}
      <ul class="grid gap-2">
        {#each jars as [name, jar] (jar.id)}
          {@const hours = hoursToPeak(jar)}
          <li class="grid gap-2 border-t border-line pt-2">
            <span
              ><b>{name}, {asWarmth(jar.celsius!)}</b>: fed {timeText(jar.at, zone, now)}{hours ===
              undefined
                ? jar.risingAt
                  ? `, began to rise ${timeText(jar.risingAt, zone, now)}`
                  : ''
                : `, stood highest after ${hoursText(hours)}`}.</span
            >
            {#if hours === undefined && awaitsPeak(jar, now.toISOString())}
              <span class="flex flex-wrap items-end gap-2">
                {#if !jar.risingAt}
                  <button class="knob touch" type="button" onclick={() => void begins(jar)}
                    >It begins to rise</button
                  >
                {/if}
                <button
                  class="knob touch"
                  type="button"
                  onclick={() => void peaked(jar, currentIso())}>It stands highest now</button
                >
                <form
                  class="flex flex-wrap items-end gap-2"
                  onsubmit={(e) => stoodHighest(e, jar)}
                  novalidate
                >
                  <label class="quiet grid gap-1"
                    >It stood highest at
                    <input
                      class="field text-base text-ink"
                      type="datetime-local"
                      bind:value={stood[jar.id]}
                    />
                  </label>
                  <button class="knob touch" type="submit">Then</button>
                </form>
              </span>
            {/if}
          </li>
        {/each}
      </ul>
      {#if runs}
        <p class="quiet">
          It is highest when it is domed and about to sink. After two hours look every half hour,
          the warm jar first.
        </p>
      {/if}
      {#if seen}
        <PeakChart fed={jars.map(([, f]) => f)} {whole} {paces} />
        {#if !runs}
          <p>
            <button class="knob touch" type="button" onclick={() => (again = true)}
              >Do it again</button
            >
          </p>
        {/if}
      {/if}
    {/if}
    {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
  </div>
</details>
