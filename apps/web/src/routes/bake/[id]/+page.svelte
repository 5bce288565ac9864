<script lang="ts">
  import RunView from '$lib/run/RunView.svelte';
  import UnplannedBake from '$lib/run/UnplannedBake.svelte';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const { bake, formula } = $derived(data);
</script>

{#key bake.id}
  {#if formula && bake.formulaId !== undefined}
    <RunView data={{ ...data, formula, bake: { ...bake, formulaId: bake.formulaId } }} />
  {:else}
    <UnplannedBake {bake} />
  {/if}
{/key}
