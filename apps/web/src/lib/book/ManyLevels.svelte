<script lang="ts">
  import { stateAt, states } from '@tender-crumb/core/dough';
  import type { Window } from '@tender-crumb/core/style';
  import { drawn, place, stretch } from '../level/scale.ts';
  import { asPoints } from '../ui/writing.ts';

  let {
    bakes,
    window,
  }: {
    bakes: ReadonlyArray<{
      readonly name: string;
      readonly low: number;
      readonly high: number;
      readonly felt?: number;
    }>;
    window: Window;
  } = $props();

  const wanted = $derived(stretch(window[0], window[1]));
  const zones = states.map((s, i) => ({
    id: s.short,
    ...stretch(i === 0 ? drawn[0] : states[i - 1]!.below, Math.min(s.below, drawn[1])),
  }));
</script>

<!-- Levels over one another: forecasts as bands, feels as bars, one row a bake. -->
<div>
  <ul class="vial">
    <span class="wanted" style:left="{wanted.left}%" style:width="{wanted.width}%"></span>
    {#each bakes as { name, low, high, felt }, i (i)}
      {@const band = stretch(low, high)}
      <li
        aria-label="{name}: forecast {asPoints(low)} to {asPoints(high)}{felt === undefined
          ? ''
          : `, felt ${stateAt(felt).id}, ${asPoints(felt)}`}"
      >
        <span class="band" style:left="{band.left}%" style:width="{band.width}%"></span>
        {#if felt !== undefined}<span class="felt" style:left="{place(felt)}%"></span>{/if}
        <span class="name">{name}</span>
      </li>
    {/each}
  </ul>
  <div class="zones" aria-hidden="true">
    {#each zones as zone (zone.id)}<span style:left="{zone.left}%" style:width="{zone.width}%"
        >{zone.id}</span
      >{/each}
  </div>
</div>

<style>
  .vial {
    position: relative;
    overflow: hidden;
    border: 2px solid var(--rim);
    border-radius: 18px;
    background: repeating-linear-gradient(115deg, var(--enamel) 0 5px, var(--hatch) 5px 6.5px);
  }
  .wanted {
    position: absolute;
    top: 0;
    bottom: 0;
    border-inline: 3px solid var(--rim);
    background: var(--enamel);
  }
  li {
    position: relative;
    height: 2.1rem;
  }
  li > span {
    position: absolute;
  }
  .band {
    top: 20%;
    bottom: 20%;
    min-width: 0.8rem;
    border-radius: 999px;
    background: color-mix(in oklab, var(--bubble), transparent 35%);
  }
  .felt {
    top: 5%;
    bottom: 5%;
    width: 0.3rem;
    translate: -50% 0;
    background: var(--act);
  }
  .name {
    left: 0.8rem;
    top: 50%;
    translate: 0 -50%;
    padding: 0 0.35rem;
    border-radius: 4px;
    background: var(--enamel);
    font-size: 0.85rem;
    font-weight: 600;
  }
  .zones {
    position: relative;
    height: 1.3rem;
    margin-top: 0.2rem;
    font-size: 0.8rem;
    color: var(--soft);
  }
  .zones span {
    position: absolute;
    overflow: hidden;
    text-align: center;
    white-space: nowrap;
  }
</style>
