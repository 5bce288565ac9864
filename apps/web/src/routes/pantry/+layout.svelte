<script lang="ts">
  import Leaves from '$lib/ui/Leaves.svelte';
  import type { LayoutProps } from './$types';

  let { children }: LayoutProps = $props();

  const leaves = [
    { path: '/pantry', name: 'Flours' },
    { path: '/pantry/leavens', name: 'Starters and yeast' },
    { path: '/pantry/kitchen', name: 'Kitchen and equipment' },
    { path: '/pantry/prices', name: 'Prices' },
    { path: '/pantry/devices', name: 'Tablets and phones' },
    { path: '/pantry/figures', name: 'Model figures' },
  ];
</script>

<Leaves label="Pages of the pantry" {leaves} />
{@render children()}
