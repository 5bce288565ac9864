<script lang="ts">
  import Doors from '$lib/shelf/Doors.svelte';
  import ShelfItem from '$lib/shelf/ShelfItem.svelte';
  import { Shelf } from '$lib/shelf/shelf.svelte.ts';
  import PasteRecipe from '$lib/paste/PasteRecipe.svelte';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();

  const shelf = new Shelf();
  const empty = $derived(data.total === 0 && data.search === '');
  /** Somebody has a recipe: it was said at a door, or a recipe came by itself. */
  let hasRecipe = $state(false);
  const doors = $derived(empty && !hasRecipe);

  const pageLink = (page: number) =>
    `/?${new URLSearchParams({ ...(data.search ? { find: data.search } : {}), page: String(page) })}`;
</script>

<svelte:head><title>Shelf · Tender Crumb</title></svelte:head>

<div class="grid gap-5">
  {#if doors}
    <h1 class="sr-only">Where to begin</h1>
    <Doors onrecipe={() => (hasRecipe = true)} />
  {/if}
  <!-- It listens from the first: a recipe that is pasted or dropped over the doors opens the right one. -->
  <PasteRecipe
    household={data.household}
    small={!empty}
    hidden={doors}
    onrecipe={() => (hasRecipe = true)}
  />

  {#if !doors}
    <section aria-labelledby="shelf-title">
      <div class="mb-2 flex flex-wrap items-center gap-3">
        <h1 id="shelf-title" class="mr-auto">{empty ? 'Or start here' : 'Your recipes'}</h1>
        {#if !empty}
          <form class="flex max-w-full flex-wrap gap-2" role="search">
            <input
              class="field"
              type="search"
              name="find"
              aria-label="Find a recipe"
              placeholder="Find a recipe"
              value={data.search}
            />
            <button class="knob touch" type="submit">Find</button>
          </form>
        {/if}
        <button class="knob touch" type="button" onclick={shelf.begin}>New recipe</button>
      </div>

      <p class="min-h-6" role="status">
        {#if shelf.off}
          “{shelf.off.name}” is deleted. Its bakes stay in the book.
          <button
            class="knob ml-2"
            type="button"
            onclick={() => shelf.off && shelf.putBack(shelf.off.id)}>Undo</button
          >
        {/if}
      </p>
      {#if shelf.fault}<p class="text-act" role="alert">That did not work: {shelf.fault}</p>{/if}
      {#if empty}
        <ul class="flex flex-wrap gap-2" aria-label="Our recipes">
          {#each data.firstLoaves as loaf (loaf)}
            <li>
              <button class="knob touch" type="button" onclick={() => shelf.beginWith(loaf)}
                >{loaf}</button
              >
            </li>
          {/each}
        </ul>
      {:else if data.rows.length === 0}
        <p class="bowl p-6">No recipe is called “{data.search}”.</p>
      {:else}
        <ul class="shelf">
          {#each data.rows as row (row.id)}
            <ShelfItem
              {row}
              busy={shelf.beginning === row.id}
              onbake={() => shelf.bake(row)}
              oncopy={() => shelf.copy(row)}
              ondelete={() => shelf.takeOff(row)}
            />
          {/each}
        </ul>
        {#if data.pages > 1}
          <nav class="mt-3 flex items-center gap-3" aria-label="Pages">
            {#if data.page > 1}<a class="knob" href={pageLink(data.page - 1)}>Newer</a>{/if}
            <span class="quiet">{data.page} of {data.pages}, {data.total} recipes</span>
            {#if data.page < data.pages}<a class="knob" href={pageLink(data.page + 1)}>Older</a
              >{/if}
          </nav>
        {/if}
      {/if}
    </section>
  {/if}
</div>
