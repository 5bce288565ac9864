<script lang="ts">
  import type { Poke } from '@tender-crumb/core/bake';

  let { poke }: { poke: Poke } = $props();
  /** How deep the dent stays. */
  const dent = $derived({ 'at-once': 1.5, slowly: 8, stays: 16 }[poke]);
</script>

<svg viewBox="0 0 90 46" aria-hidden="true" class="h-14 w-full">
  <path
    d="M8 42 C8 16 24 12 38 12 C42 12 42 {12 + dent} 45 {12 + dent} C48 {12 +
      dent} 48 12 52 12 C66 12 82 16 82 42 Z"
    fill="color-mix(in oklab, var(--grain), var(--enamel) 45%)"
    stroke="var(--grain)"
    stroke-width="2"
  />
  <path d="M4 42 H86" stroke="var(--line)" stroke-width="2.5" />
  {#if poke !== 'stays'}
    <path
      d="M45 {10 + dent} V{poke === 'at-once' ? 2 : 6} M41 {poke === 'at-once'
        ? 6
        : 9} L45 {poke === 'at-once' ? 2 : 6} L49 {poke === 'at-once' ? 6 : 9}"
      fill="none"
      stroke="var(--rim)"
      stroke-width="2"
      stroke-dasharray={poke === 'slowly' ? '2 2' : undefined}
    />
  {/if}
</svg>
