<script lang="ts">
  import type { WeighingItem } from '@tender-crumb/core/hands';
  import { scaleSqrt } from 'd3-scale';

  let {
    items,
    weighed,
    next,
    label,
  }: {
    items: readonly WeighingItem[];
    /** Ids of what is in. */
    weighed: ReadonlySet<string>;
    next: string | undefined;
    label: string;
  } = $props();

  const heaviest = $derived(Math.max(1, ...items.map((i) => i.grams)));
  /** A pinch is seen as well: by its root, and never thinner than a line of it. */
  const height = $derived(scaleSqrt().domain([0, heaviest]).range([10, 74]));
  const drawn = $derived(items.filter((i) => weighed.has(i.id) || i.id === next));
</script>

<figure class="grid justify-items-center gap-1" aria-label={label}>
  <div class="pan" aria-hidden="true">
    {#each [...drawn].reverse() as item (item.id)}
      <div
        class="layer"
        class:next={item.id === next && !weighed.has(item.id)}
        data-role={weighed.has(item.id) ? (item.role ?? 'liquid') : undefined}
        style:height="{height(item.grams)}px"
      >
        {#if height(item.grams) > 20}<span>{item.name}</span>{/if}
      </div>
    {/each}
    {#if drawn.length === 0}<p class="quiet self-center p-4 text-center">empty</p>{/if}
  </div>
  <figcaption class="quiet text-center">{label}</figcaption>
</figure>

<style>
  .pan {
    display: flex;
    flex-direction: column;
    justify-content: end;
    overflow: hidden;
    width: 100%;
    max-width: 17rem;
    min-height: 13rem;
    border: 5px solid var(--rim);
    border-top-width: 0;
    border-radius: 4px 4px 46px 46px;
    background: var(--sunk);
    box-shadow: 0 -5px 0 -0px transparent;
  }
  .layer {
    display: grid;
    place-items: center;
    flex-shrink: 1;
    min-height: 8px;
  }
  .layer span {
    max-width: 90%;
    overflow: hidden;
    padding: 0 0.5rem;
    border-radius: 3px 3px 8px 8px;
    background: var(--enamel);
    font-size: 0.85rem;
    font-weight: 600;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .next {
    border: 2.5px dashed var(--act);
    background: transparent;
  }
</style>
