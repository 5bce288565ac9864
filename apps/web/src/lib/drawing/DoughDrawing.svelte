<script lang="ts">
  import { scaleLinear } from 'd3-scale';
  import { line, curveBasisClosed } from 'd3-shape';

  let {
    points,
    kind,
    label,
  }: {
    /** Of the level. */
    points: number;
    kind: 'ball' | 'sheet' | 'paste' | 'rubber';
    label: string;
  } = $props();

  /** A tight dough stands, a loose one lies: half its width and its height, in the drawing's units. */
  const width = scaleLinear().domain([-12, 0, 8, 16]).range([27, 30, 40, 52]).clamp(true);
  const tall = scaleLinear().domain([-12, 0, 8, 16]).range([40, 36, 22, 9]).clamp(true);

  const ground = 66;
  const outline = $derived.by(() => {
    const [w, h] = [width(points), tall(points)];
    const dry = Math.max(0, -4 - points) / 8;
    return line()
      .x(([x]) => x)
      .y(([, y]) => y)
      .curve(curveBasisClosed)(
      Array.from({ length: 24 }, (_, i) => {
        const angle = (i / 24) * 2 * Math.PI;
        const rough =
          1 + dry * 0.22 * Math.sin(i * 5.3) + (kind === 'rubber' ? 0.05 * Math.sin(i * 2) : 0);
        const y = Math.sin(angle) * h * rough;
        return [60 + Math.cos(angle) * w * rough, Math.min(ground, ground - h * 0.62 - y)];
      }),
    );
  });
  const top = $derived(ground - tall(points) * 1.62);
  /** Strands that a finger pulls: none, a short one, long ones. */
  const pulls = $derived(points < 0 ? 0 : points < 4 ? 5 : points < 8 ? 12 : 20);
</script>

<svg viewBox="0 0 120 72" role="img" aria-label={label} class="dough">
  <line x1="4" x2="116" y1={ground} y2={ground} class="bench" />
  {#if points > 12}<ellipse cx="60" cy={ground} rx={width(points) + 4} ry="3" class="wet" />{/if}
  <path d={outline ?? ''} class="body" />
  {#if points < -4}
    <path
      d="M44 {ground - 26} l6 8 l-3 7 M70 {ground - 30} l-4 9 l6 6 M58 {ground - 18} l3 8"
      class="crack"
    />
    {#each [12, 22, 97, 106] as x (x)}<circle cx={x} cy={ground - 2} r="1.8" class="crumb" />{/each}
  {/if}
  {#if kind === 'paste'}
    <path d="M38 {top + 12} q22 -7 44 0" class="crack" />
  {:else if kind === 'rubber'}
    <path d="M42 {ground - 12} q18 8 36 0 M46 {ground - 20} q14 6 28 0" class="crack" />
  {:else if kind === 'sheet'}
    <path d="M86 {ground - 6} q10 -22 22 -30 q-3 18 -16 30" class="body" />
  {/if}
  <!-- A fingertip, and what follows it. -->
  {#if kind !== 'sheet'}
    {#if pulls > 0}
      <path
        d="M57 {top + 6} L58 {top + 6 - pulls} M63 {top + 6} L62 {top + 6 - pulls}"
        class="strand"
      />
    {/if}
    <path d="M54 {top - pulls - 14} v10 a6 6 0 0 0 12 0 v-10" class="finger" />
  {/if}
</svg>

<style>
  .dough {
    width: 100%;
    overflow: visible;
  }
  .bench {
    stroke: var(--line);
    stroke-width: 2.5;
  }
  .body {
    fill: color-mix(in oklab, var(--grain), var(--enamel) 45%);
    stroke: var(--grain);
    stroke-width: 2;
    stroke-linejoin: round;
  }
  .wet {
    fill: color-mix(in oklab, var(--water), transparent 60%);
  }
  .crack,
  .strand {
    fill: none;
    stroke: color-mix(in oklab, var(--grain), var(--ink) 45%);
    stroke-width: 1.6;
    stroke-linecap: round;
  }
  .crumb {
    fill: var(--grain);
  }
  .finger {
    fill: var(--enamel);
    stroke: var(--soft);
    stroke-width: 2;
  }
</style>
