<script lang="ts">
  import RescueView from '$lib/rescue/RescueView.svelte';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
</script>

<svelte:head><title>A dough in trouble · Tender Crumb</title></svelte:head>
{#key data.bakeId}<RescueView {data} />{/key}
