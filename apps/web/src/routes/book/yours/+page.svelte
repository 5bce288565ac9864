<script lang="ts">
  import { goto } from '$app/navigation';
  import { deed } from '$lib/sync/deeds.ts';
  import Copies from '$lib/yours/Copies.svelte';
  import OldBakes from '$lib/yours/OldBakes.svelte';
  import PutBack from '$lib/yours/PutBack.svelte';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();

  let typed = $state('');
  let fault = $state('');
  async function away() {
    try {
      await deed('delete-all', { body: { say: typed.trim() } });
      await goto('/', { invalidateAll: true });
    } catch (refusal) {
      fault = (refusal as Error).message;
    }
  }
</script>

<svelte:head><title>Backup and export · Book · Tender Crumb</title></svelte:head>

<h1 class="mb-1">Backup and export</h1>
<p class="quiet mb-3">All of it is on this machine only. Save it, restore it or move it here.</p>

<div class="grid items-start gap-4 lg:grid-cols-2">
  <div class="grid gap-4">
    <section class="bowl grid content-start gap-3 p-5" aria-labelledby="out">
      <h2 id="out" class="text-xl">Take it all out</h2>
      <p>One file with all you have: recipes, bakes, photos. Inside is plain text.</p>
      <p class="flex flex-wrap gap-2">
        <a class="knob knob-act min-h-11" href="/api/v1/kitchen" download>Everything, as one file</a
        >
        <a class="knob min-h-11" href="/api/v1/kitchen/bakes.csv" download
          >Bakes for a spreadsheet</a
        >
        <a class="knob min-h-11" href="/api/v1/kitchen/bakes.csv?of=lines" download
          >Their lines for a spreadsheet</a
        >
      </p>
      <p class="quiet">A bake is saved from its own page, a recipe from its bench.</p>
    </section>
    <PutBack />
    <OldBakes formulas={data.formulas} />
  </div>
  <div class="grid gap-4">
    <Copies copies={data.copies} bakes={data.bakes} />
    <section class="bowl grid content-start gap-2 p-5" aria-labelledby="move">
      <h2 id="move" class="text-xl">To another machine</h2>
      <ol class="ml-5 grid list-decimal gap-1">
        <li>Here: save all, and copy the file over.</li>
        <li>There: install and start the program (see its read-me).</li>
        <li>There, on this page: choose the file, check it, restore it.</li>
        <li>Connect your tablets again with the new code.</li>
      </ol>
    </section>
    <section class="bowl grid content-start gap-2 p-5" aria-labelledby="away">
      <h2 id="away" class="text-xl">Take everything away</h2>
      <p>
        All recipes, bakes, photos and copies on this machine. This cannot be undone{data.ofDemo
          ? '; the demo comes anew when it is started again'
          : ''}.
      </p>
      <form
        class="flex flex-wrap items-end gap-2"
        onsubmit={(e) => {
          e.preventDefault();
          void away();
        }}
      >
        <label class="quiet grid gap-0.5"
          >Write “everything”
          <input class="field w-40" autocomplete="off" bind:value={typed} /></label
        >
        <button class="knob" disabled={typed.trim() !== 'everything'}>Take it away</button>
      </form>
      {#if fault}<p role="alert" class="font-semibold text-act">{fault}</p>{/if}
    </section>
  </div>
</div>
