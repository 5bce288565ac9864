<script lang="ts">
  import { page } from '$app/state';
  import type { LayoutProps } from './$types';

  let { children }: LayoutProps = $props();

  const leaves = [
    { path: '/book', name: 'Bakes' },
    { path: '/book/helped', name: 'What helped' },
    { path: '/book/drawn', name: 'Drawn' },
    { path: '/book/learned', name: 'Learned' },
    { path: '/book/practice', name: 'Practice' },
    { path: '/book/yours', name: 'Yours to keep' },
  ];
  const here = $derived(
    leaves.find((l) => l.path !== '/book' && page.url.pathname.startsWith(l.path)) ?? leaves[0]!,
  );
</script>

<nav
  class="no-print mb-3 flex flex-wrap gap-x-1 border-b border-line"
  aria-label="Leaves of the book"
>
  {#each leaves as leaf (leaf.path)}
    <a
      class="leaf"
      href={leaf.path}
      aria-current={leaf === here ? (page.url.pathname === leaf.path ? 'page' : 'true') : undefined}
      >{leaf.name}</a
    >
  {/each}
</nav>
{@render children()}

<style>
  .leaf {
    display: inline-flex;
    align-items: center;
    min-height: 2.25rem;
    padding: 0 0.75rem;
    border-bottom: 3px solid transparent;
    color: var(--rim);
    font-weight: 600;
  }
  .leaf:hover {
    background: var(--sunk);
  }
  .leaf[aria-current] {
    border-color: var(--rim);
    color: var(--ink);
  }
  @media (pointer: coarse) {
    .leaf {
      min-height: 2.75rem;
    }
  }
</style>
