<script lang="ts">
  import type { PlacedRow } from '@tender-crumb/core/picture';
  import PagePicture from './PagePicture.svelte';

  let { placed }: { placed: PlacedRow } = $props();

  const { page, row, high } = $derived(placed);
  const box = $derived(row.box);
  const query = $derived(
    new URLSearchParams(
      Object.entries(box).map(([side, at]): [string, string] => [side, at.toFixed(0)]),
    ),
  );
  let open = $state(false);
</script>

{#if page.id}
  <button
    class="strip"
    type="button"
    onclick={() => (open = true)}
    aria-label="Show “{row.text}” in the picture"
  >
    <img loading="lazy" style:--high={high} src="/api/v1/pages/{page.id}/strip?{query}" alt="" />
  </button>
  {#if open}
    <PagePicture bind:open id={page.id} {box} width={page.width} height={page.height} />
  {/if}
{/if}

<style>
  .strip {
    display: block;
    min-height: 1.75rem;
    max-width: 100%;
    overflow: hidden;
    border-radius: 3px;
    cursor: zoom-in;
  }
  .strip img {
    width: auto;
    max-width: 100%;
    height: calc(1.75rem * var(--high));
    object-fit: contain;
    object-position: left;
  }
  @media (pointer: coarse) {
    .strip {
      min-height: 2.75rem;
    }
    .strip img {
      height: calc(2.25rem * var(--high));
    }
  }
</style>
