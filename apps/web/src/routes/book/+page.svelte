<script lang="ts">
  import { judgements } from '@tender-crumb/core/bake';
  import { deviceIds, devices } from '@tender-crumb/core/machine';
  import type { Window } from '@tender-crumb/core/style';
  import { goto } from '$app/navigation';
  import { page as here } from '$app/state';
  import { differs } from '$lib/book/differs.ts';
  import YearCalendar from '$lib/book/YearCalendar.svelte';
  import Level from '$lib/level/Level.svelte';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();

  const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' });
  const year = new Intl.DateTimeFormat('en-GB', { year: 'numeric', timeZone: 'UTC' });

  /** The address with something else asked for; what is empty goes out of it. */
  function link(of: Record<string, string | undefined>): string {
    const query = new URLSearchParams(here.url.searchParams);
    query.delete('page');
    for (const [name, value] of Object.entries(of)) {
      if (value) query.set(name, value);
      else query.delete(name);
    }
    const text = query.toString();
    return text ? `/book?${text}` : '/book';
  }
  const ask = (of: Record<string, string | undefined>) =>
    goto(link(of), { keepFocus: true, noScroll: true });

  const filtered = $derived(Object.keys(data.asked).length > 0);
  let picked = $state<string[]>([]);
  const most = 4;
  /** Of what changed, the largest: the rest stands on the bake's own page. */
  const told = 2;
  const none: Window = [0, 0];
  let words = $derived(data.asked.words ?? '');
</script>

<svelte:head><title>Book · Tender Crumb</title></svelte:head>

<div class="mb-3 flex flex-wrap items-baseline justify-between gap-3">
  <h1>
    Book <span class="quiet"
      >{data.total}
      {data.total === 1 ? 'bake' : 'bakes'}{filtered ? ' found' : ''}</span
    >
  </h1>
  {#if data.asked.formula}
    <a class="link touch" href="/book/helped?formula={data.asked.formula}">What helped?</a>
  {/if}
</div>

<search class="mb-3 flex flex-wrap items-end gap-2" aria-label="Find a bake">
  <form
    class="min-w-[min(14rem,100%)] flex-1"
    onsubmit={(e) => {
      e.preventDefault();
      void ask({ words });
    }}
  >
    <label class="quiet grid gap-0.5"
      >Search
      <input
        class="field w-full"
        type="search"
        placeholder="dense, toast, plait …"
        bind:value={words}
        onchange={() => ask({ words })}
      /></label
    >
  </form>
  {#snippet choice(
    name: string,
    label: string,
    all: string,
    choices: ReadonlyArray<readonly [string, string]>,
    value: string | undefined,
  )}
    <label class="quiet grid gap-0.5"
      >{label}
      <select
        class="field max-w-44"
        aria-label={label}
        value={value ?? ''}
        onchange={(e) => ask({ [name]: e.currentTarget.value })}
      >
        <option value="">{all}</option>
        {#each choices as [id, says] (id)}<option value={id}>{says}</option>{/each}
      </select>
    </label>
  {/snippet}
  {@render choice(
    'formula',
    'Bread',
    'every bread',
    data.formulas.map((f) => [f.id, f.name] as const),
    data.asked.formula,
  )}
  {@render choice(
    'bag',
    'Bag, leaven',
    'any',
    data.bags.map((b) => [b.id, b.name] as const),
    data.asked.bag,
  )}
  {@render choice(
    'season',
    'Season',
    'all year',
    (['winter', 'spring', 'summer', 'autumn'] as const).map((s) => [s, s] as const),
    data.asked.season,
  )}
  {@render choice(
    'method',
    'How it was made',
    'any way',
    deviceIds.map((id) => [id, devices[id].label] as const),
    data.asked.method,
  )}
  {@render choice(
    'stars',
    'Result',
    'any',
    judgements.map((j, i) => [String(i + 1), j] as const),
    data.asked.stars === undefined ? undefined : String(data.asked.stars),
  )}
  {#if filtered}<a class="knob" href="/book">Show all</a>{/if}
</search>

{#if data.year !== undefined && data.years}
  {#if data.asksYear}
    <section class="bowl mb-3 px-4 py-2" aria-label="The year">
      <p class="flex items-center justify-between gap-2">
        <b>The year{data.asked.day ? `: ${data.asked.day}` : ''}</b>
        <a class="link touch" href={link({ year: undefined, day: undefined })}>Hide</a>
      </p>
      <div class="overflow-x-auto py-2">
        <div class="min-w-[44rem]">
          <YearCalendar year={data.year} years={data.years} days={data.days} {link} />
        </div>
      </div>
    </section>
  {:else}
    <p class="mb-3">
      <a class="link touch" href={link({ year: String(data.year) })}>The year</a>
    </p>
  {/if}
{/if}

{#if data.rows.length === 0}
  <p class="bowl p-6">
    {#if filtered}
      No bake found. <a class="link" href="/book">Show all</a>
    {:else}
      No bakes yet. Bake a recipe from the <a class="link" href="/">Shelf</a> and say how the dough
      felt: the next forecast starts from there. You can
      <a class="link" href="/book/yours#old">bring older bakes along</a>.
    {/if}
  </p>
{:else}
  <div class="bowl overflow-x-auto">
    <table class="bakes w-full">
      <thead class="quiet text-left">
        <tr>
          <th class="py-2 pl-3 font-normal"><span class="sr-only">Compare</span></th>
          <th class="p-2 font-normal">Day</th>
          <th class="p-2 font-normal">Bread</th>
          <th class="w-56 p-2 font-normal">Forecast and felt</th>
          <th class="p-2 font-normal">Result</th>
          <th class="p-2 font-normal">What changed</th>
        </tr>
      </thead>
      <tbody>
        {#each data.rows as row (row.id)}
          {@const href = row.open ? `/bake/${row.id}` : `/book/${row.id}`}
          <tr class="border-t border-line align-top">
            <td class="py-2 pl-3">
              {#if row.bread && !row.open}
                <input
                  class="pick"
                  type="checkbox"
                  value={row.id}
                  bind:group={picked}
                  disabled={picked.length >= most && !picked.includes(row.id)}
                  aria-label="Compare {row.name} of {row.day}"
                />
              {/if}
            </td>
            <td class="p-2 whitespace-nowrap"
              >{day.format(new Date(row.startedAt))}
              <span class="quiet">{year.format(new Date(row.startedAt))}</span></td
            >
            <td class="p-2"
              ><a class="touch font-semibold hover:underline" {href}>{row.name}</a>
              {#if row.photo}
                <img
                  class="mt-1 h-10 w-14 rounded object-cover"
                  src="/api/v1/bakes/{row.id}/photos/{row.photo}?size=small"
                  alt=""
                  loading="lazy"
                />
              {/if}</td
            >
            <td class="p-2">
              {#if row.forecast}
                <Level
                  level={row.forecast}
                  window={row.window ?? none}
                  felt={row.felt}
                  size="tiny"
                  label="Forecast"
                />
              {/if}
              {#if row.aside}<span class="quiet">set aside</span>
              {:else if row.odd}<span class="text-sm font-semibold text-act"
                  >far from its forecast</span
                >{/if}
            </td>
            <td class="p-2">
              {#if row.open}
                <a class="link touch" href="/bake/{row.id}">under way</a>
              {:else if row.outcome}
                <b class={row.outcome.stars && row.outcome.stars <= 2 ? 'text-act' : ''}
                  >{row.outcome.stars ? judgements[row.outcome.stars - 1] : 'not judged'}</b
                >
                <span class="quiet block max-w-64 text-sm leading-snug break-words"
                  >{[...row.outcome.words.filter((w) => w !== 'just right'), row.outcome.note]
                    .filter(Boolean)
                    .join(' · ')
                    .slice(0, 140)}</span
                >
              {:else}
                <span class="quiet">no result yet</span>
              {/if}
            </td>
            <td class="p-2 text-sm leading-snug">
              {#if row.differs === undefined}
                <span class="quiet">{row.bread ? 'first bake' : ''}</span>
              {:else if row.differs.length === 0}
                <span class="quiet">no change</span>
              {:else}
                {#each row.differs.slice(0, told) as d (d.key)}<span class="block"
                    >{differs(d)}</span
                  >{/each}
              {/if}
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
  <div class="sticky bottom-0 mt-3 flex flex-wrap items-center gap-3 bg-ground py-2">
    {#if picked.length > 0}
      <a
        class="knob knob-act"
        aria-disabled={picked.length < 2}
        href={picked.length < 2 ? undefined : `/book/compare?of=${picked.join(',')}`}
        >{picked.length < 2 ? 'Tick one more' : `Compare these ${picked.length}`}</a
      >
      <button class="knob" type="button" onclick={() => (picked = [])}>None</button>
    {:else}
      <span class="quiet">Tick two or more to compare.</span>
    {/if}
    {#if data.pages > 1}
      <nav class="ml-auto flex items-center gap-3" aria-label="Pages">
        {#if data.page > 1}<a
            class="knob"
            href={link({}) + (link({}).includes('?') ? '&' : '?') + `page=${data.page - 1}`}
            >Newer</a
          >{/if}
        <span class="quiet">{data.page} of {data.pages}</span>
        {#if data.page < data.pages}<a
            class="knob"
            href={link({}) + (link({}).includes('?') ? '&' : '?') + `page=${data.page + 1}`}
            >Older</a
          >{/if}
      </nav>
    {/if}
  </div>
{/if}

<style>
  .bakes {
    min-width: 46rem;
  }
  /* On a phone a bake is a card of its own: nothing is to be pushed sideways. */
  @media (max-width: 640px) {
    .bakes,
    .bakes tbody {
      display: block;
      min-width: 0;
    }
    .bakes thead {
      display: none;
    }
    .bakes tr {
      display: grid;
      grid-template-columns: 2.5rem minmax(0, 1fr);
    }
    .bakes td {
      grid-column: 2;
      padding-block: 0.2rem;
    }
    .bakes td:first-child {
      grid-column: 1;
      grid-row: 1 / span 5;
    }
  }
  .pick {
    width: 1.25rem;
    height: 1.25rem;
    accent-color: var(--rim);
  }
  @media (pointer: coarse) {
    .pick {
      width: 1.75rem;
      height: 1.75rem;
    }
  }
</style>
