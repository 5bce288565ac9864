<script lang="ts">
  import BenchView from '$lib/bench/BenchView.svelte';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
</script>

<!-- One bench a formula: new data come to it, another formula gets its own. -->
{#key data.id}<BenchView {data} />{/key}
