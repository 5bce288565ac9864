<script lang="ts">
  import { styles } from '@tender-crumb/core';
  import Level from '$lib/level/Level.svelte';
  import PasteRecipe from '$lib/paste/PasteRecipe.svelte';
  import PercentBar from '$lib/role/PercentBar.svelte';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();

  const pageLink = (page: number) =>
    `/?${new URLSearchParams({ ...(data.search ? { find: data.search } : {}), page: String(page) })}`;
</script>

<svelte:head><title>Shelf · Tender Crumb</title></svelte:head>

<div class="grid gap-5">
  <PasteRecipe household={data.household} />

  <section aria-labelledby="shelf-title">
    <div class="mb-2 flex flex-wrap items-center justify-between gap-3">
      <h1 id="shelf-title">On the shelf</h1>
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
    </div>

    {#if data.rows.length === 0}
      <p class="bowl p-6">
        {data.search
          ? `Nothing on the shelf is called “${data.search}”.`
          : 'The shelf is empty. Paste a recipe above, or try the example: it takes a minute to see what its dough will do.'}
      </p>
    {:else}
      <ul class="shelf">
        {#each data.rows as row (row.id)}
          <li>
            <a href="/bench/{row.id}" class="row">
              <span class="name">
                <b>{row.name}</b>
                <span class="quiet">{styles[row.style].name}</span>
              </span>
              <PercentBar shares={row.shares} />
              <Level level={row.level} window={row.window} older={row.older} size="tiny" />
              <span class="says" class:act={!row.fits}>{row.says}</span>
            </a>
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
  .row {
    display: grid;
    grid-template-columns: minmax(0, 15rem) minmax(0, 1fr) minmax(0, 1fr) minmax(0, 17rem);
    align-items: center;
    gap: 1.25rem;
    padding: 0.75rem 0.5rem;
    border-bottom: 3px solid var(--line);
  }
  .row:hover {
    border-bottom-color: var(--rim);
    background: var(--enamel);
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
