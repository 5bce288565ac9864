<script lang="ts">
  import { Tabs } from 'bits-ui';
  import type { Component } from 'svelte';
  import type { Bench } from './bench.svelte.ts';
  import { later } from '../ui/later.ts';
  import Figures from './Figures.svelte';

  let { bench }: { bench: Bench } = $props();

  type Panel = Component<{ bench: Bench }>;

  /** Fetched when first looked into: the bench opens without them. */
  const drawers: ReadonlyArray<
    readonly [id: string, name: string, open: () => Promise<{ default: Panel }>]
  > = [
    ['sure', 'How sure', later(() => import('../sure/SurePanel.svelte'))],
    ['rise', 'Rise', later(() => import('../rise/RisePanel.svelte'))],
    ['leaven', 'Leaven', later(() => import('../leaven/LeavenPanel.svelte'))],
    ['strength', 'Strength and mixing', later(() => import('../strength/StrengthPanel.svelte'))],
    ['salt', 'Salt', later(() => import('../strength/SaltPanel.svelte'))],
    ['slices', 'Slices', later(() => import('../portion/PortionPanel.svelte'))],
    ['goal', 'Goal', later(() => import('../goal/GoalPanel.svelte'))],
  ];
  let drawer = $state('figures');
  /** On a narrow page a drawer is pulled out over the sheet, and pushed back. */
  let out = $state(false);
  let tabs = $state<HTMLElement | null>(null);
  function close() {
    out = false;
    tabs?.querySelector<HTMLElement>('[data-state="active"]')?.focus();
  }
</script>

<svelte:window onkeydown={(e) => e.key === 'Escape' && out && close()} />

{#snippet within(id: string)}
  {#if id === 'figures'}
    {#if bench.view.evaluation}
      <Figures
        totals={bench.view.evaluation.totals}
        settings={bench.household}
        onsettle={(change) => bench.settle(change)}
      />
    {:else}
      <p class="quiet">Add some flour first.</p>
    {/if}
  {:else if drawer === id}
    {#await drawers.find(([of]) => of === id)![2]()}
      <p class="quiet">One moment …</p>
    {:then { default: Panel }}
      <Panel {bench} />
    {:catch}
      <p class="text-act" role="alert">
        This part did not load. Is the server running? Nothing you typed is lost.
      </p>
    {/await}
  {/if}
{/snippet}

<Tabs.Root bind:value={drawer}>
  <Tabs.List class="drawers no-print" aria-label="More about this dough" bind:ref={tabs}>
    {#each [['figures', 'Figures'] as const, ...drawers] as [id, name] (id)}
      <Tabs.Trigger value={id} onclick={() => (out = true)}>{name}</Tabs.Trigger>
    {/each}
  </Tabs.List>
  {#each ['figures', ...drawers.map(([id]) => id)] as id (id)}
    <Tabs.Content value={id} class="drawer @container {out ? 'out' : ''}">
      <button class="knob close no-print" type="button" onclick={close}>Close</button>
      {@render within(id)}
    </Tabs.Content>
  {/each}
</Tabs.Root>

<style>
  :global(.drawers) {
    display: flex;
    flex-wrap: wrap;
    gap: 0.25rem;
    border-bottom: 2px solid var(--rim);
  }
  :global(.drawers button) {
    min-height: 2.75rem;
    padding: 0 0.7rem;
    border-radius: 4px 4px 0 0;
    color: var(--rim);
    font-weight: 600;
  }
  :global(.drawers button:hover) {
    background: var(--sunk);
  }
  :global(.drawers button[data-state='active']) {
    background: var(--rim);
    color: var(--on-rim);
  }
  :global(.drawer) {
    padding-top: 0.75rem;
  }
  .close {
    position: sticky;
    top: 0;
    z-index: 1;
    display: flex;
    margin-left: auto;
  }
  @media (min-width: 1180px) {
    .close {
      display: none;
    }
  }
  @media (max-width: 1179px) {
    :global(.drawer:not(.out)) {
      display: none;
    }
    :global(.drawer.out) {
      position: fixed;
      inset: auto 0 0;
      z-index: 30;
      max-height: 75dvh;
      overflow-y: auto;
      padding: 0.75rem 1rem 1.5rem;
      border-top: 5px solid var(--rim);
      border-radius: 4px 4px 0 0;
      background: var(--enamel);
      box-shadow: 0 -0.5rem 2rem rgb(0 0 0 / 25%);
    }
  }
</style>
