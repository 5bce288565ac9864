<script lang="ts">
  import { judgements } from '@tender-crumb/core';
  import { SvelteMap } from 'svelte/reactivity';

  let {
    year,
    years,
    days,
    link,
  }: {
    year: number;
    years: { readonly first: number; readonly last: number };
    days: ReadonlyArray<{
      readonly day: string;
      readonly bakes: number;
      readonly stars: number | null;
    }>;
    /** Address of the book with another day or year asked for. */
    link: (of: { day?: string; year?: string }) => string;
  } = $props();

  const months = Array.from({ length: 12 }, (_, m) =>
    new Intl.DateTimeFormat('en-GB', { month: 'short', timeZone: 'UTC' }).format(Date.UTC(2026, m)),
  );
  const byDay = $derived(new SvelteMap(days.map((d) => [d.day, d])));
  const lengthOf = (month: number) => new Date(Date.UTC(year, month + 1, 0)).getUTCDate();
  const bakesIn = (month: number) =>
    days
      .filter((d) => d.day.startsWith(iso(month).slice(0, 7)))
      .reduce((sum, d) => sum + d.bakes, 0);
  const iso = (month: number, day = 1) =>
    `${year}-${String(month + 1).padStart(2, '0')}-${String(day).padStart(2, '0')}`;
</script>

<div class="grid gap-2">
  <p class="flex items-center gap-3">
    {#if year > years.first}<a class="knob" href={link({ year: String(year - 1) })}>{year - 1}</a
      >{/if}
    <b class="text-lg">{year}</b>
    {#if year < years.last}<a class="knob" href={link({ year: String(year + 1) })}>{year + 1}</a
      >{/if}
    <span class="quiet">The fuller the bowl, the better the best bread of that day.</span>
  </p>
  <div class="year" role="group" aria-label="Months of {year}, with what was baked in them">
    {#each months as name, month (month)}
      <a
        class="month"
        href={link({ day: iso(month).slice(0, 7) })}
        aria-label="{name} {year}: {bakesIn(month)} {bakesIn(month) === 1 ? 'bake' : 'bakes'}"
        >{name} <span class="quiet">{bakesIn(month) || ''}</span></a
      >
      <div class="days" aria-hidden="true">
        {#each { length: lengthOf(month) }, i}
          {@const known = byDay.get(iso(month, i + 1))}
          {#if known}
            <span
              class="day"
              title="{known.day}: {known.bakes} {known.bakes === 1
                ? 'bake'
                : 'bakes'}{known.stars === null ? '' : `, ${judgements[known.stars - 1]}`}"
            >
              <span class="filled" style:height="{known.stars === null ? 12 : 20 * known.stars}%"
              ></span>
              {#if known.bakes > 1}<span class="many">{known.bakes}</span>{/if}
            </span>
          {:else}
            <span class="none"></span>
          {/if}
        {/each}
      </div>
    {/each}
  </div>
</div>

<style>
  .year {
    display: grid;
    grid-template-columns: auto minmax(0, 1fr);
    align-items: center;
    gap: 0.25rem 0.6rem;
  }
  .month {
    display: flex;
    gap: 0.4rem;
    justify-content: space-between;
    align-items: center;
    color: var(--rim);
    font-weight: 600;
  }
  @media (pointer: coarse) {
    .month {
      min-height: 2.75rem;
      min-width: 3.6rem;
    }
  }
  .days {
    display: grid;
    grid-template-columns: repeat(31, minmax(0, 1fr));
    gap: 2px;
  }
  .none {
    justify-self: center;
    align-self: center;
    width: 4px;
    height: 4px;
    border-radius: 50%;
    background: var(--line);
  }
  .day {
    position: relative;
    overflow: hidden;
    height: 1.5rem;
    border: 1.5px solid var(--rim);
    border-radius: 2px 2px 9px 9px;
    background: var(--enamel);
  }
  .filled {
    position: absolute;
    inset: auto 0 0;
    background: var(--bubble);
  }
  .many {
    position: absolute;
    inset: 0;
    display: grid;
    place-items: center;
    font-size: 0.75rem;
    font-weight: 700;
    color: var(--ink);
  }
</style>
