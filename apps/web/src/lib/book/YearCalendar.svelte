<script lang="ts">
  import { judgements } from '@tender-crumb/core/bake';
  import { yearOfBakes, type BakedDay } from '@tender-crumb/core/book';

  let {
    year,
    years,
    days,
    link,
  }: {
    year: number;
    years: { readonly first: number; readonly last: number };
    days: readonly BakedDay[];
    /** Address of the book with another day or year asked for. */
    link: (of: { day?: string; year?: string }) => string;
  } = $props();

  const name = new Intl.DateTimeFormat('en-GB', { month: 'short', timeZone: 'UTC' });
  const months = $derived(yearOfBakes(year, days));
  const counted = (bakes: number) => `${bakes} ${bakes === 1 ? 'bake' : 'bakes'}`;
</script>

<div class="grid gap-2">
  <p class="flex items-center gap-3">
    {#if year > years.first}<a class="knob" href={link({ year: String(year - 1) })}>{year - 1}</a
      >{/if}
    <b class="text-lg">{year}</b>
    {#if year < years.last}<a class="knob" href={link({ year: String(year + 1) })}>{year + 1}</a
      >{/if}
    <span class="quiet">A fuller bowl is a better bread.</span>
  </p>
  <div class="year" role="group" aria-label="Months of {year}, with what was baked in them">
    {#each months as { month, bakes, days } (month)}
      {@const called = name.format(Date.parse(month))}
      <a class="month" href={link({ day: month })} aria-label="{called} {year}: {counted(bakes)}"
        >{called} <span class="quiet">{bakes || ''}</span></a
      >
      <div class="days" aria-hidden="true">
        {#each days as { day, baked } (day)}
          {#if baked}
            <span
              class="day"
              title="{day}: {counted(baked.bakes)}{baked.stars === null
                ? ''
                : `, ${judgements[baked.stars - 1]}`}"
            >
              <span class="filled" style:height="{baked.stars === null ? 12 : 20 * baked.stars}%"
              ></span>
              {#if baked.bakes > 1}<span class="many">{baked.bakes}</span>{/if}
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
