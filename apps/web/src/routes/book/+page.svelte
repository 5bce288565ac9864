<script lang="ts">
  import { judgements, type StyleId } from '@tender-crumb/core';
  import { goto } from '$app/navigation';
  import ForecastChart from '$lib/book/ForecastChart.svelte';
  import LessonView from '$lib/book/LessonView.svelte';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();

  const day = new Intl.DateTimeFormat('en-GB', {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    timeZone: 'UTC',
  });
  const link = (page: number) =>
    `/book?${new URLSearchParams({ ...(data.formula ? { formula: data.formula } : {}), page: String(page) })}`;
</script>

<svelte:head><title>Book · Tender Crumb</title></svelte:head>

<div class="mb-3 flex flex-wrap items-center justify-between gap-3">
  <h1>Book <span class="quiet">{data.total} {data.total === 1 ? 'bake' : 'bakes'}</span></h1>
  <label class="flex min-w-0 items-center gap-2"
    ><span class="quiet">Of</span>
    <select
      class="field min-w-0"
      value={data.formula}
      onchange={(e) =>
        goto(e.currentTarget.value ? `/book?formula=${e.currentTarget.value}` : '/book')}
    >
      <option value="">every bread</option>
      {#each data.formulas as formula (formula.id)}<option value={formula.id}>{formula.name}</option
        >{/each}
    </select>
  </label>
</div>

{#if data.charted.length > 2}
  <div class="bowl mb-4 p-4"><ForecastChart points={data.charted} /></div>
{/if}

{#if data.rows.length === 0}
  <p class="bowl p-6">
    Nothing is written here yet. Bake something from the <a class="link" href="/">Shelf</a>, say how
    the dough felt, and the next forecast of that flour starts from there.
  </p>
{:else}
  <ol class="grid gap-3 xl:grid-cols-2">
    {#each data.rows as row (row.id)}
      <li class="bowl grid content-start gap-2 p-4">
        <div class="flex flex-wrap items-baseline justify-between gap-2">
          <h2>
            <a
              class="touch hover:underline"
              href={row.formulaId === undefined ? `/bake/${row.id}` : `/bench/${row.formulaId}`}
              >{row.formulaName}</a
            >
          </h2>
          <span class="quiet">{day.format(new Date(row.startedAt))}</span>
        </div>
        {#if !row.finishedAt}
          <p><a class="link touch" href="/bake/{row.id}">Still being baked</a></p>
        {:else}
          {#if row.outcome}
            <p>
              <b>{row.outcome.stars ? judgements[row.outcome.stars - 1] : 'not judged'}</b>
              <span aria-hidden="true" class="tracking-widest text-rim"
                >{'●'.repeat(row.outcome.stars ?? 0)}{'○'.repeat(
                  5 - (row.outcome.stars ?? 0),
                )}</span
              >
              <span class="quiet"
                >{[row.outcome.words.join(', '), row.outcome.note]
                  .filter(Boolean)
                  .join(' · ')}</span
              >
            </p>
          {/if}
          {#if row.lesson}
            <LessonView
              lesson={row.lesson}
              style={row.style as StyleId}
              household={data.household}
              size="tiny"
            />
            <p><a class="link touch" href="/bake/{row.id}">What it taught, and next time</a></p>
          {/if}
        {/if}
      </li>
    {/each}
  </ol>
  {#if data.pages > 1}
    <nav class="mt-4 flex items-center gap-3" aria-label="Pages">
      {#if data.page > 1}<a class="knob" href={link(data.page - 1)}>Newer</a>{/if}
      <span class="quiet">{data.page} of {data.pages}</span>
      {#if data.page < data.pages}<a class="knob" href={link(data.page + 1)}>Older</a>{/if}
    </nav>
  {/if}
{/if}
