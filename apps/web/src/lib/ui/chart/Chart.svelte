<script lang="ts">
  import './chart.css';
  import type { Snippet } from 'svelte';
  import type { Frame } from './frame.svelte.ts';

  /** Something written at an axis. */
  interface Mark {
    readonly at: number;
    readonly says: string;
  }

  let {
    frame,
    label,
    role = 'img',
    across,
    upward,
    under = '',
    svg = $bindable(),
    children,
  }: {
    frame: Frame;
    label: string;
    role?: 'img' | 'group';
    across: readonly Mark[];
    upward: readonly Mark[];
    /** What is drawn across, where its marks do not say it. */
    under?: string;
    svg?: SVGSVGElement | undefined;
    children: Snippet;
  } = $props();

  const writing = 8;
</script>

<!-- A chart's place, its grid and what is written at its axes; what is drawn in it comes from within. -->
<div bind:clientWidth={frame.place} class="min-w-0">
  <svg
    bind:this={svg}
    class="chart"
    viewBox="0 0 {frame.width} {frame.height}"
    width={frame.width}
    height={frame.height}
    {role}
    aria-label={label}
  >
    {#each upward as { at, says } (at)}
      <line x1={frame.left} x2={frame.right} y1={at} y2={at} class="grid-line" />
      <text x={frame.left - writing} y={at} class="tick" text-anchor="end" dy="0.32em">{says}</text>
    {/each}
    {#each across as { at, says } (at)}
      <text x={at} y={frame.bottom + 20} class="tick" text-anchor="middle">{says}</text>
    {/each}
    {#if under}
      <text
        x={(frame.left + frame.right) / 2}
        y={frame.height - 4}
        class="tick"
        text-anchor="middle">{under}</text
      >
    {/if}
    {@render children()}
  </svg>
</div>
