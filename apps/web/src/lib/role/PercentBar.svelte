<script lang="ts">
  import type { Share } from '@tender-crumb/core/formula';
  import { asPercent } from '../ui/writing.ts';

  let { shares }: { shares: readonly Share[] } = $props();

  const said = $derived(shares.map((s) => `${s.label} ${asPercent(s.percent)}`).join(', '));
</script>

<div class="bar" role="img" aria-label="Baker's percentages: {said}" title={said}>
  {#each shares as share (share.role)}
    <span style:flex-grow={share.percent} data-role={share.role}></span>
  {/each}
</div>

<style>
  .bar {
    display: flex;
    gap: 1.5px;
    height: 1.1rem;
    overflow: hidden;
    border-radius: 2px 2px 8px 8px;
  }
  .bar span {
    flex-basis: 0;
    min-width: 1.5px;
  }
</style>
