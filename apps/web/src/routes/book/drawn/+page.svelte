<script lang="ts">
  import {
    bakeRecord,
    measureIds,
    measureOf,
    questionOf,
    questions,
    traitIds,
    traitOf,
    type Along,
    type Expected,
    type MeasureId,
  } from '@tender-crumb/core';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import BreadPicker from '$lib/book/BreadPicker.svelte';
  import DrawnChart from '$lib/book/DrawnChart.svelte';
  import { expectedBeside } from '$lib/book/expected-beside.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();

  const records = $derived(data.entries.map((e) => bakeRecord(e, data.household)));
  const isMeasure = (id: string): id is MeasureId => (measureIds as readonly string[]).includes(id);
  const query = $derived(page.url.searchParams);
  const of = $derived.by((): MeasureId => {
    const asked = query.get('of') ?? '';
    return isMeasure(asked) ? asked : questions[0]!.of;
  });
  const along = $derived.by((): Along => {
    const asked = query.get('along') ?? '';
    return isMeasure(asked) ? asked : 'day';
  });
  const question = $derived(questionOf(of, along));
  const to = (with_: Record<string, string>) => {
    const next = new URLSearchParams(query);
    for (const [k, v] of Object.entries(with_)) next.set(k, v);
    return `/book/drawn?${next}`;
  };
  const ask = (with_: Record<string, string>) =>
    goto(to(with_), { keepFocus: true, noScroll: true });

  /** Points are shown at once, their forecasts as soon as they are worked out. */
  let known = $state.raw<{ of: MeasureId; by: ReadonlyMap<string, Expected> } | undefined>();
  $effect(() => {
    const asked = of;
    let wanted = true;
    void expectedBeside(asked, data.entries, data.household, data.belief).then((by) => {
      if (wanted) known = { of: asked, by };
    });
    return () => (wanted = false);
  });
  const points = $derived(
    records.flatMap((r) => {
      const y = measureOf(of).of(r);
      const x = along === 'day' ? Date.parse(r.startedAt) : measureOf(along).of(r);
      if (x === undefined || y === undefined) return [];
      const group = [...traitOf('bag').of(r).values()].map((b) =>
        traitOf('bag').named(b, data.household),
      );
      const other = traitIds
        .filter((t) => t === 'leaven' || t === 'device')
        .flatMap((t) =>
          [...traitOf(t).of(r).values()].map((v) => traitOf(t).named(v, data.household)),
        );
      return [
        {
          id: r.id,
          day: r.circumstances.day,
          x,
          y,
          group: { bag: group[0] ?? '', leaven: other[0] ?? '', device: other.at(-1) ?? '' },
          ...(known?.of === of ? known.by.get(r.id) : {}),
        },
      ];
    }),
  );
  let by = $state<'' | 'bag' | 'leaven' | 'device'>('');
</script>

<svelte:head><title>Drawn · Book · Tender Crumb</title></svelte:head>

<div class="mb-3 flex flex-wrap items-center justify-between gap-3">
  <h1>{question.asks}</h1>
  {#if data.bread}<BreadPicker
      breads={data.breads}
      bread={data.bread}
      to={(formula) => to({ formula })}
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
    {points.length === 0 ? 'No bake' : 'One bake'} of this bread has both noted. Measured twice, something
    can be drawn of it.
  </p>
{:else}
  <section class="bowl p-4" aria-label={question.asks}>
    <DrawnChart {points} {of} {along} {by} />
  </section>
{/if}
