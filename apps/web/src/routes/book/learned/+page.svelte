<script lang="ts">
  import { learnedKinds, learnedName, type LearnedKindId } from '@tender-crumb/core/learn';
  import { SvelteMap } from 'svelte/reactivity';
  import FindBread from '$lib/book/FindBread.svelte';
  import { asPoints } from '$lib/ui/writing.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();

  const saidWords = ['very likely', 'likely'] as const;
  const names = $derived(new SvelteMap(data.breads.map((b) => [b.id, b.name])));
  const rows = $derived(data.figures);
  const kinds = $derived([...new Set<LearnedKindId>(rows.map((r) => r.kind as LearnedKindId))]);
  const windows = $derived(data.windows);
  const pageLink = (page: number) =>
    `/book/learned?${new URLSearchParams({ ...(data.find ? { find: data.find } : {}), page: String(page) })}`;
  const open = $derived(
    data.open === '' ? undefined : learnedName(data.open, data.household, names),
  );
</script>

<svelte:head><title>Learned · Book · Tender Crumb</title></svelte:head>

<h1 class="mb-1">What the book has learned</h1>
<p class="quiet mb-3">
  What the book learned, beside the tables. Open one to see its bakes. Your own figures go over all
  of them: <a class="link" href="/pantry/figures">figures</a>.
</p>

{#if data.pages > 1 || data.find}
  <div class="mb-3 flex flex-wrap items-center gap-3">
    <FindBread find={data.find} shown={data.breads.length} total={data.total} />
    <nav class="flex flex-wrap items-center gap-3" aria-label="Breads">
      {#if data.page > 1}<a class="knob" href={pageLink(data.page - 1)}>Back</a>{/if}
      <span class="quiet"
        >{data.total === 0
          ? 'No bread of that name was baked here.'
          : `${data.total} ${data.total === 1 ? 'bread' : 'breads'}, the most often baked first: ${data.page} of ${data.pages}`}</span
      >
      {#if data.page < data.pages}<a class="knob" href={pageLink(data.page + 1)}>Further</a>{/if}
    </nav>
  </div>
{/if}
{#if data.said}
  <section class="bowl mb-4 grid gap-1 p-4" aria-labelledby="said">
    <h2 id="said" class="text-lg">How often “likely” was right here</h2>
    <ul>
      {#each saidWords as word (word)}
        {@const score = data.said[word]}
        {#if score}
          <li>
            <b>“{word}”</b>: the dough felt so in <b class="figure">{score.right}</b> of
            <b class="figure">{score.said}</b>
            {score.said === 1 ? 'bake' : 'bakes'}
          </li>
        {/if}
      {/each}
    </ul>
    <p class="quiet">
      Water and flour corrections against how the dough felt. If they are often wrong, we call the
      next ones less sure.
    </p>
  </section>
{/if}
{#if rows.length === 0 && windows.length === 0}
  <p class="bowl p-6">
    Nothing yet. Feel the dough, note a rise or weigh a loaf, and what it teaches comes here.
  </p>
{:else}
  <div class="grid items-start gap-4 xl:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
    <div class="bowl overflow-x-auto p-4">
      <table class="w-full">
        <thead class="quiet text-left"
          ><tr
            ><th class="font-normal">Figure</th><th class="text-right font-normal">here</th><th
              class="hidden px-3 text-right font-normal sm:table-cell">8 in 10 between</th
            ><th class="hidden text-right font-normal sm:table-cell">tables</th><th
              class="pl-3 text-right font-normal">bakes</th
            ></tr
          ></thead
        >
        {#if windows.length > 0}
          <tbody>
            <tr><th class="pt-3 pb-1 text-left" colspan="5">Where each bread is right here</th></tr>
            {#each windows as w (w.bread)}
              <tr class="border-t border-line">
                <td class="py-1 pr-3"
                  ><a class="link touch" href="/book/helped?formula={w.bread}"
                    >{names.get(w.bread)}</a
                  ></td
                >
                <td class="py-1 text-right font-semibold whitespace-nowrap"
                  >{asPoints(w.own[0])} to {asPoints(w.own[1])}</td
                >
                <td class="hidden sm:table-cell"></td>
                <td class="hidden py-1 text-right whitespace-nowrap sm:table-cell"
                  >{asPoints(w.style[0])} to {asPoints(w.style[1])}</td
                >
                <td class="py-1 pl-3 text-right">{w.looks}</td>
              </tr>
            {/each}
          </tbody>
        {/if}
        {#each kinds as kind (kind)}
          <tbody>
            <tr><th class="pt-3 pb-1 text-left" colspan="5">{learnedKinds[kind].says}</th></tr>
            {#each rows.filter((r) => r.kind === kind) as row (row.key)}
              <tr class="border-t border-line {row.key === data.open ? 'bg-sunk' : ''}">
                <td class="py-1 pr-3"
                  ><a
                    class="link touch"
                    href="/book/learned?of={encodeURIComponent(row.key)}"
                    data-sveltekit-noscroll>{row.says}</a
                  ></td
                >
                <td class="py-1 text-right font-semibold whitespace-nowrap"
                  >{learnedKinds[kind].text(row.now.value)}</td
                >
                <td class="quiet hidden px-3 py-1 text-right whitespace-nowrap sm:table-cell"
                  >{row.band
                    ? row.band.map((end) => learnedKinds[kind].text(end)).join(' and ')
                    : ''}</td
                >
                <td class="hidden py-1 text-right whitespace-nowrap sm:table-cell"
                  >{learnedKinds[kind].text(row.table.value)}</td
                >
                <td class="py-1 pl-3 text-right">{row.bakes}</td>
              </tr>
            {/each}
          </tbody>
        {/each}
      </table>
    </div>
    {#if open}
      <section class="bowl sticky top-2 grid gap-2 p-4" aria-labelledby="evidence">
        <h2 id="evidence" class="text-lg">{open.says}: the evidence</h2>
        {#if data.evidence.length === 0}
          <p class="quiet">Measured by hand, not from bakes.</p>
        {:else}
          <ol class="grid max-h-[70vh] gap-1 overflow-y-auto">
            {#each data.evidence as e (e.id)}
              <li class="border-t border-line pt-1">
                <a class="link touch" href="/book/{e.id}">{e.day} {e.name}</a>
                <span class="block"
                  >{open.text(e.before.value)} → <b>{open.text(e.after.value)}</b>
                  <span class="quiet"
                    >surer by {Math.max(0, Math.round(100 * (1 - e.after.sd / e.before.sd)))} in 100</span
                  >
                  {#if e.odd}<span class="text-sm font-semibold text-act">odd</span>{/if}</span
                >
              </li>
            {/each}
          </ol>
        {/if}
      </section>
    {/if}
  </div>
{/if}
