<script lang="ts">
  import type { ComparedRow } from '@tender-crumb/core/book';
  import { comparedOf } from '@tender-crumb/core/view';
  import ManyLevels from '$lib/book/ManyLevels.svelte';
  import RisesOver from '$lib/book/RisesOver.svelte';
  import { say } from '$lib/ui/writing.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();

  const day = new Intl.DateTimeFormat('en-GB', {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    timeZone: 'UTC',
  });
  const view = $derived(comparedOf(data.entries, data.household, data.belief));
  const records = $derived(view.records);
  const rows = $derived(view.rows);
  const parts: ReadonlyArray<readonly [ComparedRow['of'], string]> = [
    ['line', 'What went in'],
    ['work', 'What was done'],
    ['result', 'What came out'],
  ];
  const names = $derived(
    records.map((r) => ({ id: r.id, name: r.name, day: day.format(new Date(r.startedAt)) })),
  );
  const dayOf = (id: string) => names.find((n) => n.id === id)!.day;
  const window = $derived(view.window);
  const levels = $derived(view.levels.map((l) => ({ ...l, name: dayOf(l.id) })));
  const rises = $derived(view.rises.map((r) => ({ ...r, name: dayOf(r.id) })));
  const photos = $derived(records.map((r) => ({ id: r.id, photo: r.state.photos.at(-1)?.photo })));
</script>

<svelte:head><title>Bakes side by side · Tender Crumb</title></svelte:head>

<h1 class="mb-3">Side by side</h1>
{#if records.length < 2}
  <p class="bowl p-6">
    Tick at least two bakes in <a class="link" href="/book">the list</a>.
  </p>
{:else}
  <div class="grid gap-4">
    <section class="bowl overflow-x-auto p-4" aria-label="What differs">
      <table class="w-full min-w-[36rem]">
        <thead>
          <tr>
            <th class="w-56"></th>
            {#each names as { id, name, day } (id)}
              <th class="p-2 text-left align-bottom"
                ><a class="touch hover:underline" href="/book/{id}">{name}</a><br /><span
                  class="quiet font-normal">{day}</span
                ></th
              >
            {/each}
          </tr>
        </thead>
        {#each parts as [of, says] (of)}
          {@const own = rows.filter((r) => r.of === of)}
          {#if own.length > 0}
            <tbody>
              <tr
                ><th class="quiet pt-3 pb-1 text-left font-normal" colspan={names.length + 1}
                  >{says}</th
                ></tr
              >
              {#each own as row (row.key)}
                <tr class="border-t border-line">
                  <th class="py-1 pr-3 text-left font-semibold">{row.says}</th>
                  {#each row.values as value, i (i)}
                    <td class="p-1 px-2">{value === undefined ? '' : say(value)}</td>
                  {/each}
                </tr>
              {/each}
            </tbody>
          {/if}
        {/each}
      </table>
      {#if rows.length === 0}
        <p>No difference: made alike, with the same result.</p>
      {/if}
      <p class="quiet mt-2">Only clear differences are shown.</p>
    </section>
    {#if levels.length > 1 && window}
      <section class="bowl grid gap-2 p-4" aria-labelledby="levels">
        <h2 id="levels">Which of them stood where?</h2>
        <ManyLevels bakes={levels} {window} />
      </section>
    {/if}
    {#if rises.length > 1}
      <section class="bowl grid gap-2 p-4" aria-labelledby="rises">
        <h2 id="rises">Which of them rose faster?</h2>
        <RisesOver {rises} />
      </section>
    {/if}
    {#if photos.some((p) => p.photo)}
      <section class="bowl grid gap-2 p-4" aria-label="Photos">
        <div
          class="grid gap-3"
          style="grid-template-columns: repeat({photos.length}, minmax(0, 1fr))"
        >
          {#each photos as { id, photo }, i (id)}
            <figure>
              {#if photo}<img
                  class="w-full rounded"
                  src="/api/v1/bakes/{id}/photos/{photo}"
                  alt="{names[i]!.name}, {names[i]!.day}"
                />{:else}<p class="quiet">no photo</p>{/if}
              <figcaption class="quiet">{names[i]!.day}</figcaption>
            </figure>
          {/each}
        </div>
      </section>
    {/if}
  </div>
{/if}
