<script lang="ts">
  import type { Crumb } from '@tender-crumb/core/bake';

  let { crumb }: { crumb: Crumb } = $props();

  type Hole = readonly [x: number, y: number, r: number];
  const rows = (n: number, r: number, wild: number): Hole[] =>
    Array.from({ length: n }, (_, i) => {
      const at = (k: number) => Math.abs(Math.sin((i + 1) * k) * 43_758) % 1;
      return [8 + 44 * at(12.99), 12 + 26 * at(78.23), r * (1 + wild * (at(37.7) - 0.5))];
    });
  const holes: Record<Crumb, readonly Hole[]> = {
    close: rows(42, 0.9, 0.4),
    even: rows(30, 1.7, 0.5),
    open: rows(16, 3.4, 1.4),
    'holes above, dense below': [
      [18, 15, 4],
      [32, 14, 5],
      [44, 16, 3.6],
      ...rows(26, 0.7, 0.3).map(([x, y, r]): Hole => [x, 26 + (y - 12) / 2, r]),
    ],
    'dense line': rows(24, 1.7, 0.6).filter(([, y]) => y < 30),
    wet: rows(10, 1.4, 0.8),
  };
</script>

<svg viewBox="0 0 60 46" aria-hidden="true" class="h-14">
  <path
    d="M5 42 V18 Q5 6 18 6 H42 Q55 6 55 18 V42 Z"
    fill="color-mix(in oklab, var(--grain), var(--enamel) {crumb === 'wet' ? 25 : 62}%)"
    stroke="color-mix(in oklab, var(--grain), var(--ink) 35%)"
    stroke-width="3"
  />
  {#each holes[crumb] as [cx, cy, r] (`${cx} ${cy}`)}
    <circle {cx} {cy} {r} fill="color-mix(in oklab, var(--grain), var(--ink) 30%)" opacity="0.6" />
  {/each}
  {#if crumb === 'dense line' || crumb === 'wet'}
    <rect
      x="7"
      y={crumb === 'wet' ? 26 : 34}
      width="46"
      height={crumb === 'wet' ? 14 : 5}
      fill="color-mix(in oklab, var(--grain), var(--ink) 40%)"
      opacity="0.7"
    />
  {/if}
</svg>
