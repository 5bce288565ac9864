<script lang="ts">
  import { styles } from '@tender-crumb/core/style';
  import Copy from '@lucide/svelte/icons/copy';
  import Trash2 from '@lucide/svelte/icons/trash-2';
  import type { Formula } from '@tender-crumb/core/formula';
  import { nanoid } from 'nanoid';
  import { goto } from '$app/navigation';
  import { question } from '$lib/question.ts';
  import { deed } from '$lib/sync/deeds.ts';
  import { draftEntry } from '$lib/sync/kinds.ts';
  import { mustSay } from '$lib/sync/said.ts';
  import Level from '$lib/level/Level.svelte';
  import { later } from '$lib/ui/later.ts';
  import { refresh } from '$lib/ui/refresh.ts';
  import PasteRecipe from '$lib/paste/PasteRecipe.svelte';
  import PercentBar from '$lib/role/PercentBar.svelte';
  import type { PageProps } from './$types';
  import { say } from '$lib/ui/writing.ts';

  let { data }: PageProps = $props();

  /** What was taken off last, to be put back. */
  let off = $state<{ id: string; name: string } | undefined>();
  let fault = $state('');

  async function tried(what: () => Promise<unknown>) {
    fault = '';
    try {
      await what();
      await refresh();
    } catch (refusal) {
      fault = (refusal as Error).message;
    }
  }
  const takeOff = ({ id, name }: { id: string; name: string }) =>
    tried(async () => {
      await deed('formula-off-shelf', { of: id });
      off = { id, name };
    });
  const putBack = (id: string) =>
    tried(async () => {
      await deed('formula-on-shelf', { of: id });
      off = undefined;
    });
  const add = (formula: Formula) =>
    tried(async () => {
      const id = nanoid();
      await mustSay(draftEntry({ id, version: 0, draft: id, formula }));
      await goto(`/bench/${id}`);
    });
  const copy = ({ id, name }: { id: string; name: string }) =>
    tried(async () => {
      const { formula } = await question<{ formula: Formula }>(`/api/v1/formulas/${id}`);
      await add((await made()).copied(formula, name));
    });
  /** What a formula is made of is fetched for the first who begins one, or while nothing else is. */
  const made = later(() => import('$lib/shelf/new-formula.ts'));
  const begin = () => tried(async () => add((await made()).newFormula()));
  const beginWith = (loaf: string) => tried(async () => add((await made()).firstLoaf(loaf)));

  const pageLink = (page: number) =>
    `/?${new URLSearchParams({ ...(data.search ? { find: data.search } : {}), page: String(page) })}`;
</script>

<svelte:head><title>Shelf · Tender Crumb</title></svelte:head>

<div class="grid gap-5">
  <PasteRecipe household={data.household} small={data.total > 0 || data.search !== ''} />

  <section aria-labelledby="shelf-title">
    <div class="mb-2 flex flex-wrap items-center justify-between gap-3">
      <h1 id="shelf-title">On the shelf</h1>
      <button class="knob" type="button" onclick={begin}>New from nothing</button>
      {#if data.total > 0 || data.search}
        <form class="flex gap-2" role="search">
          <input
            class="field"
            type="search"
            name="find"
            aria-label="Find a formula"
            placeholder="Find a formula"
            value={data.search}
          />
          <button class="knob" type="submit">Find</button>
        </form>
      {/if}
    </div>

    <p class="min-h-6" role="status">
      {#if off}
        “{off.name}” is off the shelf; its bakes stay in the book.
        <button class="knob ml-2" type="button" onclick={() => putBack(off!.id)}>Put it back</button
        >
      {/if}
    </p>
    {#if fault}<p class="text-act" role="alert">That did not work: {fault}</p>{/if}
    {#if data.rows.length === 0}
      <div class="bowl grid gap-3 p-6">
        <p>
          {data.search
            ? `Nothing on the shelf is called “${data.search}”.`
            : 'The shelf is empty. Paste a recipe above, or try the example: it takes a minute to see what its dough will do.'}
        </p>
        {#if !data.search}
          <p>Or begin with one of ours:</p>
          <ul class="flex flex-wrap gap-2">
            {#each data.firstLoaves as loaf (loaf)}
              <li>
                <button class="knob" type="button" onclick={() => beginWith(loaf)}>{loaf}</button>
              </li>
            {/each}
          </ul>
        {/if}
      </div>
    {:else}
      <ul class="shelf">
        {#each data.rows as row (row.id)}
          <li class="item">
            <a href="/bench/{row.id}" class="row">
              <span class="name">
                <b>{row.name}</b>
                <span class="quiet">{styles[row.style].name}</span>
              </span>
              <PercentBar shares={row.shares} />
              <Level level={row.level} window={row.window} older={row.older} size="tiny" />
              <span class="says" class:act={!row.fits}
                >{say(row.says)}{#if row.trial}<b class="block">{say(row.trial)}</b>{/if}</span
              >
            </a>
            <span class="acts">
              <button
                type="button"
                title="Make a copy"
                aria-label="Make a copy of {row.name}"
                onclick={() => copy(row)}><Copy size={18} /></button
              >
              <button
                type="button"
                title="Take it off the shelf"
                aria-label="Take {row.name} off the shelf"
                onclick={() => takeOff(row)}><Trash2 size={18} /></button
              >
            </span>
          </li>
        {/each}
      </ul>
      {#if data.pages > 1}
        <nav class="mt-3 flex items-center gap-3" aria-label="Pages">
          {#if data.page > 1}<a class="knob" href={pageLink(data.page - 1)}>Newer</a>{/if}
          <span class="quiet">{data.page} of {data.pages}, {data.total} formulas</span>
          {#if data.page < data.pages}<a class="knob" href={pageLink(data.page + 1)}>Older</a>{/if}
        </nav>
      {/if}
    {/if}
  </section>
</div>

<style>
  .item {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    align-items: center;
    border-bottom: 3px solid var(--line);
  }
  .item:hover {
    border-bottom-color: var(--rim);
    background: var(--enamel);
  }
  .acts {
    display: flex;
  }
  .acts button {
    display: grid;
    place-items: center;
    min-width: 2.75rem;
    min-height: 2.75rem;
    border-radius: 4px;
    color: var(--soft);
  }
  .acts button:hover {
    background: var(--sunk);
    color: var(--ink);
  }
  .row {
    display: grid;
    grid-template-columns: minmax(0, 15rem) minmax(0, 1fr) minmax(0, 1fr) minmax(0, 17rem);
    align-items: center;
    gap: 1.25rem;
    padding: 0.75rem 0.5rem;
  }
  .name {
    display: grid;
    overflow-wrap: anywhere;
  }
  .says {
    font-size: 0.9rem;
    line-height: 1.3;
  }
  .says.act {
    color: var(--act);
    font-weight: 600;
  }
  @media (max-width: 900px) {
    .row {
      grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
      gap: 0.5rem 1rem;
    }
    .name,
    .says {
      grid-column: 1 / -1;
    }
  }
</style>
