<script lang="ts">
  import type { Component, ComponentProps } from 'svelte';
  import { later } from './later.ts';
  import type MenuShown from './MenuShown.svelte';

  /** A menu that is fetched for the first who opens it, or while nothing else is. */
  let { label, deeds, open = $bindable(false), at }: ComponentProps<typeof MenuShown> = $props();

  const part = later(() => import('./MenuShown.svelte'));
  let Shown = $state.raw<Component<ComponentProps<typeof MenuShown>, object, 'open'>>();
  $effect(() => {
    if (!open || Shown) return;
    part().then(
      ({ default: shown }) => (Shown = shown),
      () => (open = false),
    );
  });
</script>

{#if Shown}
  <Shown {label} {deeds} {at} bind:open />
{/if}
