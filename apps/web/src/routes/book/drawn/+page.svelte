<script lang="ts">
  import {
    measureIds,
    measureOf,
    questionOf,
    questions,
    type Expected,
    type MeasureId,
  } from '@tender-crumb/core/book';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import BreadPicker from '$lib/book/BreadPicker.svelte';
  import FindBread from '$lib/book/FindBread.svelte';
  import DrawnChart from '$lib/book/DrawnChart.svelte';
  import { question as asked } from '$lib/question.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();

  const { of, along, bread } = $derived(data);
  const query = $derived(page.url.searchParams);
  const question = $derived(questionOf(of, along));
  const to = (with_: Record<string, string>) => {
    const next = new URLSearchParams(query);
    for (const [k, v] of Object.entries(with_)) {
      if (v) next.set(k, v);
      else next.delete(k);
    }
    return `/book/drawn?${next}`;
  };
  const ask = (with_: Record<string, string>) =>
    goto(to(with_), { keepFocus: true, noScroll: true });

  /** Points are shown at once, their forecasts as soon as they are worked out. */
  let known = $state.raw<{ of: MeasureId; by: Readonly<Record<string, Expected>> } | undefined>();
  $effect(() => {
    if (bread === undefined) return;
    const measure = of;
    let wanted = true;
    const all = query.has('all') ? '&all' : '';
    void asked<{ by: Readonly<Record<string, Expected>> }>(
      `/api/v1/shown/expected/${bread}?of=${measure}${all}`,
    ).then(
      ({ by }) => {
        if (wanted) known = { of: measure, by };
      },
      // Without the server the points stand alone.
      () => undefined,
    );
    return () => (wanted = false);
  });
  const points = $derived(
    data.points.map((p) => ({ ...p, ...(known?.of === of ? known.by[p.id] : {}) })),
  );
  let by = $state<'' | 'bag' | 'leaven' | 'device'>('');
</script>

<svelte:head><title>Drawn · Book · Tender Crumb</title></svelte:head>

<div class="mb-3 flex flex-wrap items-center justify-between gap-3">
  <h1>{question.asks}</h1>
  {#if data.bread}<BreadPicker
      breads={data.breads}
      find={data.find}
      bread={data.bread}
      to={(formula) => to({ formula, find: '' })}
      keep={{ of, along }}
    />{:else if data.find}<FindBread
      find={data.find}
      shown={0}
      total={0}
      keep={{ of, along }}
    />{/if}
</div>

<div class="mb-3 flex flex-wrap gap-2" role="group" aria-label="Questions">
  {#each questions as q (q.asks)}
    <button
      class="knob"
      type="button"
      aria-pressed={q.of === of && q.along === along}
      onclick={() => ask({ of: q.of, along: q.along })}>{q.asks}</button
    >
  {/each}
</div>
<div class="mb-3 flex flex-wrap items-end gap-3">
  <label class="quiet grid gap-0.5"
    >Or: what
    <select class="field" value={of} onchange={(e) => ask({ of: e.currentTarget.value })}>
      {#each measureIds as id (id)}<option value={id}>{measureOf(id).says}</option>{/each}
    </select></label
  >
  <label class="quiet grid gap-0.5"
    >along
    <select class="field" value={along} onchange={(e) => ask({ along: e.currentTarget.value })}>
      <option value="day">the calendar</option>
      {#each measureIds.filter((id) => id !== of) as id (id)}<option value={id}
          >{measureOf(id).says}</option
        >{/each}
    </select></label
  >
  <label class="quiet grid gap-0.5"
    >told apart by
    <select class="field" bind:value={by}>
      <option value="">nothing</option>
      <option value="bag">the bag of its flour</option>
      <option value="leaven">its leaven</option>
      <option value="device">how it was made</option>
    </select></label
  >
</div>

{#if points.length < 2}
  <p class="bowl p-6">
    {points.length === 0 ? 'No bake' : 'One bake'} of this bread has both. Two are needed for a chart.
  </p>
{:else}
  <section class="bowl p-4" aria-label={question.asks}>
    <DrawnChart {points} {of} {along} {by} />
    {#if data.older !== undefined}
      <p class="quiet mt-2">
        The last {data.older} bakes.
        {#if !query.has('all')}<a class="link touch" href={to({ all: 'yes' })}>Older ones too</a
          >{/if}
      </p>
    {/if}
  </section>
{/if}
