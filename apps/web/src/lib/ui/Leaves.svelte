<script lang="ts">
  import { page } from '$app/state';

  /** Pages of one place, as a row of tabs; the first is the place itself. */
  let {
    label,
    leaves,
  }: {
    label: string;
    leaves: ReadonlyArray<{ readonly path: string; readonly name: string }>;
  } = $props();

  const here = $derived(
    leaves.slice(1).find((l) => page.url.pathname.startsWith(l.path)) ?? leaves[0]!,
  );
</script>

<nav class="no-print mb-3 flex flex-wrap gap-x-1 border-b border-line" aria-label={label}>
  {#each leaves as leaf (leaf.path)}
    <a
      class="leaf"
      href={leaf.path}
      aria-current={leaf === here ? (page.url.pathname === leaf.path ? 'page' : 'true') : undefined}
      >{leaf.name}</a
    >
  {/each}
</nav>

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
