<script lang="ts">
  import type { ScannedPage } from '@tender-crumb/core/picture';
  import PagePicture from './PagePicture.svelte';

  let {
    pages,
    large = false,
    onaway,
  }: {
    pages: ReadonlyArray<Pick<ScannedPage, 'id'>>;
    /** To be typed from. */
    large?: boolean;
    /** Takes one away, where that can be. */
    onaway?: (id: string) => void;
  } = $props();

  const ids = $derived(pages.flatMap((p) => p.id ?? []));
  let shown = $state<string>();
  let open = $state(false);
  /** Pictures that are not here: a formula from another kitchen comes without. */
  let missing = $state<readonly string[]>([]);
</script>

<ul class="flex flex-wrap gap-3" aria-label="Photos of the recipe">
  {#each ids as id, i (id)}
    {#if !missing.includes(id)}
      <li class={large ? 'w-full' : ''}>
        <button
          class="cursor-zoom-in"
          type="button"
          onclick={() => {
            shown = id;
            open = true;
          }}
        >
          <img
            class="rounded-b-xl border border-line {large ? 'w-full' : 'h-24'}"
            src="/api/v1/pages/{id}{large ? '' : '?size=small'}"
            alt="Photo {i + 1} of the recipe, large"
            onerror={() => (missing = [...missing, id])}
          />
        </button>
        {#if onaway}
          <button
            class="quiet touch block underline"
            type="button"
            aria-label="Remove photo {i + 1}"
            onclick={() => onaway(id)}>Remove</button
          >
        {/if}
      </li>
    {/if}
  {/each}
</ul>
{#if shown}<PagePicture bind:open id={shown} />{/if}
