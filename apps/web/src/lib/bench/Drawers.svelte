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
</script>

<Tabs.Root bind:value={drawer}>
  <Tabs.List class="drawers no-print" aria-label="More about this dough">
    <Tabs.Trigger value="figures">Figures</Tabs.Trigger>
    {#each drawers as [id, name] (id)}<Tabs.Trigger value={id}>{name}</Tabs.Trigger>{/each}
  </Tabs.List>
  <Tabs.Content value="figures" class="pt-3">
    {#if bench.view.evaluation}
      <Figures
        totals={bench.view.evaluation.totals}
        settings={bench.household}
        onsettle={(change) => bench.settle(change)}
      />
    {:else}
      <p class="quiet">There is no flour in it yet.</p>
    {/if}
  </Tabs.Content>
  {#each drawers as [id, , open] (id)}
    <Tabs.Content value={id} class="pt-3">
      {#if drawer === id}
        {#await open()}
          <p class="quiet">One moment …</p>
        {:then { default: Panel }}
          <Panel {bench} />
        {:catch}
          <p class="text-act" role="alert">
            This part could not be fetched. Is the server still running? Nothing typed is lost.
          </p>
        {/await}
      {/if}
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
    min-height: 2.4rem;
    padding: 0 0.8rem;
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
</style>
