<script lang="ts">
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
</script>

<svelte:head><title>Bake day · Tender Crumb</title></svelte:head>
<h1 class="mb-3">Bake day</h1>
{#if data.bakes.length === 0}
  <div class="bowl max-w-2xl p-6">
    <p class="text-lg">Nothing is being baked.</p>
    <p class="mt-2">
      Choose a bread on the <a class="link" href="/">Shelf</a>, look it over on the bench and press
      “Bake this”: the weighing list, the dough check and the record follow one another here.
    </p>
  </div>
{:else}
  <ul class="grid gap-2">
    {#each data.bakes as bake (bake.id)}
      <li>
        <a
          class="bowl flex min-h-16 flex-wrap items-center justify-between gap-3 p-4"
          href="/bake/{bake.id}"
        >
          <b class="text-xl">{bake.formulaName}</b>
          <span class="quiet">begun {new Date(bake.startedAt).toLocaleString('en-GB')}</span>
        </a>
      </li>
    {/each}
  </ul>
{/if}
