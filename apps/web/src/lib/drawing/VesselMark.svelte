<script lang="ts">
  import { volumeText } from '@tender-crumb/core/ferment';

  let {
    volume,
    now,
    label,
  }: {
    /** Times the volume that it began with, at which it is ready; undefined where that is a touch. */
    volume: number | undefined;
    /** Where it stood at the last mark. */
    now: number | undefined;
    label: string;
  } = $props();

  const most = $derived(Math.max(2.4, (volume ?? 2) * 1.15, (now ?? 1) * 1.1));
  const y = (v: number) => 96 - (86 * v) / most;
</script>

<!-- A straight jar: where it began, where it stands, where it is to come. -->
<svg viewBox="10 0 142 104" role="img" aria-label={label} class="h-44">
  <rect x="22" y={y(now ?? 1)} width="44" height={96 - y(now ?? 1)} class="dough" />
  <path d="M20 8 V90 Q20 98 28 98 H60 Q68 98 68 90 V8" class="jar" />
  <g class="mark">
    <line x1="16" x2="72" y1={y(1)} y2={y(1)} />
    <text x="75" y={y(1) + 3}>start</text>
  </g>
  {#if volume}
    <g class="mark aim">
      <line x1="16" x2="72" y1={y(volume)} y2={y(volume)} />
      <text x="75" y={y(volume) + 3}>{volumeText(volume)}</text>
    </g>
  {/if}
</svg>

<style>
  .jar {
    fill: none;
    stroke: var(--rim);
    stroke-width: 3;
  }
  .dough {
    fill: color-mix(in oklab, var(--grain), var(--enamel) 45%);
  }
  .mark line {
    stroke: var(--soft);
    stroke-dasharray: 3 2;
  }
  .mark text {
    fill: var(--soft);
    font-size: 8.5px;
  }
  .aim line {
    stroke: var(--act);
    stroke-width: 2;
    stroke-dasharray: none;
  }
  .aim text {
    fill: var(--act);
    font-weight: 700;
  }
</style>
