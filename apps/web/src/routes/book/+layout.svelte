<script lang="ts">
  import Leaves from '$lib/ui/Leaves.svelte';
  import type { LayoutProps } from './$types';

  let { children }: LayoutProps = $props();

  const leaves = [
    { path: '/book', name: 'Bakes' },
    { path: '/book/helped', name: 'What helped' },
    { path: '/book/drawn', name: 'Drawn' },
    { path: '/book/learned', name: 'Learned' },
    { path: '/book/practice', name: 'Practice' },
    { path: '/book/yours', name: 'Backup and export' },
  ];
</script>

<Leaves label="Pages of the book" {leaves} />
{@render children()}
