<script lang="ts">
  import { stateAt, states, tellingDifference } from '@tender-crumb/core/dough';
  import type { Window } from '@tender-crumb/core/style';
  import { drawn, place, pointsAt, stretch } from './scale.ts';
  import { asPoints } from '../ui/writing.ts';

  interface Mark {
    readonly points: number;
    readonly low: number;
    readonly high: number;
    /** Where it feels to be at the first touch, before slow drinkers have drunk. */
    readonly early?: number;
  }

  let {
    level,
    window,
    usual,
    size = 'bench',
    ghost,
    older = [],
    felt,
    label = 'Dough level',
    onfeel,
  }: {
    /** Where the dough is forecast to be; absent where nothing can be told. */
    level?: Mark;
    window: Window;
    /** The style's, where the window is the household's own. */
    usual?: Window;
    size?: 'tiny' | 'bench' | 'counter';
    /** Where it would be with the correction that is pointed at. */
    ghost?: Mark;
    /** Where the last bakes were felt to be, newest first. */
    older?: readonly number[];
    /** Where this bake was felt to be. */
    felt?: number;
    label?: string;
    /** Makes the vial something to touch: called with the level that was touched. */
    onfeel?: (points: number) => void;
  } = $props();

  const zones = states.map((s, i) => ({
    id: s.short,
    ...stretch(i === 0 ? drawn[0] : states[i - 1]!.below, Math.min(s.below, drawn[1])),
  }));
  const wanted = $derived(stretch(window[0], window[1]));
  const said = $derived(
    [
      level
        ? `${label}: ${stateAt(level.points).id}, ${asPoints(level.points)} points, 8 in 10 between ${asPoints(level.low)} and ${asPoints(level.high)}`
        : `${label}: cannot tell`,
      `wanted ${asPoints(window[0])} to ${asPoints(window[1])}`,
      usual ? `usual of its kind ${asPoints(usual[0])} to ${asPoints(usual[1])}` : '',
      felt === undefined ? '' : `felt ${stateAt(felt).id}, ${asPoints(felt)}`,
    ]
      .filter(Boolean)
      .join('; '),
  );

  let vial: HTMLElement | undefined = $state();

  function touch(event: PointerEvent) {
    if (!onfeel || !vial || (event.type === 'pointermove' && event.buttons === 0)) return;
    const box = vial.getBoundingClientRect();
    onfeel(pointsAt((event.clientX - box.left) / box.width));
  }

  const steps: Record<string, number> = {
    ArrowLeft: -0.5,
    ArrowDown: -0.5,
    ArrowRight: 0.5,
    ArrowUp: 0.5,
    PageDown: -4,
    PageUp: 4,
  };

  const ends: Record<string, number> = { Home: drawn[0], End: drawn[1] };

  function key(event: KeyboardEvent) {
    const to = ends[event.key];
    const step = steps[event.key];
    if (!onfeel || (step === undefined && to === undefined)) return;
    event.preventDefault();
    onfeel(to ?? Math.min(drawn[1], Math.max(drawn[0], (felt ?? 0) + step!)));
  }

  /** What is under the finger, as the scale says it. */
  const touched = $derived.by(() => {
    if (felt === undefined) return 'not felt yet';
    const side = felt < window[0] ? 'tighter than' : felt > window[1] ? 'looser than' : 'inside';
    return `${stateAt(felt).short}, ${asPoints(felt)}, ${side} your window`;
  });
</script>

{#snippet picture()}
  <span class="wanted" style:left="{wanted.left}%" style:width="{wanted.width}%"></span>
  {#if usual && size !== 'tiny'}
    {#each usual as end, i (i)}
      <span class="usual" style:left="{place(end)}%"></span>
    {/each}
  {/if}
  {#if size !== 'tiny'}
    {#each zones.slice(1) as zone (zone.id)}
      <span class="tick" style:left="{zone.left}%"></span>
    {/each}
  {/if}
  {#each older as points, i (i)}
    <span class="older" style:left="{place(points)}%" style:opacity={0.75 - i * 0.12}></span>
  {/each}
  {#if level}
    {@const bubble = stretch(level.low, level.high)}
    <span
      class="bubble"
      style:left="min({bubble.left}%, 100% - var(--height) * 0.6)"
      style:width="{bubble.width}%"
    ></span>
    {#if size !== 'tiny' && (level.early ?? level.points) - level.points >= tellingDifference}
      <span
        class="path"
        style:left="{place(level.points)}%"
        style:width="{stretch(level.points, level.early!).width}%"
      ></span>
      <span class="first" style:left="{place(level.early!)}%"></span>
    {/if}
    <span
      class="eye"
      style:left="clamp(var(--height) * 0.2, {place(level.points)}%, 100% - var(--height) * 0.2)"
    ></span>
  {/if}
  {#if ghost}
    {@const moved = stretch(ghost.low, ghost.high)}
    <span class="ghost" style:left="{moved.left}%" style:width="{moved.width}%"></span>
    <span class="ghost-eye" style:left="{place(ghost.points)}%"></span>
  {/if}
  {#if felt !== undefined}
    <span class="felt" style:left="{place(felt)}%"></span>
  {/if}
{/snippet}

<div class="level {size}">
  {#if onfeel}
    <div
      bind:this={vial}
      class="vial touch"
      role="slider"
      tabindex="0"
      aria-label={label}
      aria-valuemin={drawn[0]}
      aria-valuemax={drawn[1]}
      aria-valuenow={felt ?? 0}
      aria-valuetext={touched}
      onpointerdown={touch}
      onpointermove={touch}
      onkeydown={key}
    >
      {@render picture()}
    </div>
  {:else}
    <div class="vial" role="img" aria-label={said}>
      {@render picture()}
    </div>
  {/if}
  {#if size !== 'tiny'}
    <div class="zones" aria-hidden="true">
      {#each zones as zone (zone.id)}
        <span style:left="{zone.left}%" style:width="{zone.width}%">{zone.id}</span>
      {/each}
    </div>
  {/if}
</div>

<style>
  .level {
    --height: 3.25rem;
    width: 100%;
  }
  .tiny {
    --height: 1.1rem;
  }
  .counter {
    --height: 5.5rem;
  }
  .vial {
    position: relative;
    height: var(--height);
    overflow: hidden;
    border: 2px solid var(--rim);
    border-radius: 999px;
    /* Hatched where this style does not want the dough. */
    background: repeating-linear-gradient(115deg, var(--enamel) 0 5px, var(--hatch) 5px 6.5px);
  }
  .tiny .vial {
    border-width: 1.5px;
  }
  .touch {
    cursor: grab;
    touch-action: none;
  }
  .vial > span {
    position: absolute;
    top: 0;
    bottom: 0;
  }
  .wanted {
    border-inline: 3px solid var(--rim);
    background: var(--enamel);
  }
  .tiny .wanted {
    border-inline-width: 2px;
  }
  /* Ends of the style's window, where the household's own is another. */
  .vial > .usual {
    width: 0;
    translate: -50% 0;
    border-inline-start: 2px dotted var(--rim);
  }
  .vial > .tick {
    top: auto;
    width: 1px;
    height: 22%;
    background: var(--soft);
    opacity: 0.6;
  }
  .bubble,
  .eye {
    transition:
      left 180ms ease-out,
      width 180ms ease-out;
  }
  /* A level beyond what is drawn stands at the end, whole. */
  .vial > .bubble {
    top: 16%;
    bottom: 16%;
    min-width: calc(var(--height) * 0.6);
    border-radius: 999px;
    background: linear-gradient(
      to right,
      color-mix(in oklab, var(--bubble), transparent 75%),
      var(--bubble) 38% 62%,
      color-mix(in oklab, var(--bubble), transparent 75%)
    );
    box-shadow: inset 0 0 0 2px var(--water);
  }
  .vial > .eye {
    top: 50%;
    bottom: auto;
    width: calc(var(--height) * 0.26);
    height: calc(var(--height) * 0.26);
    translate: -50% -50%;
    border: 2px solid var(--enamel);
    border-radius: 50%;
    background: var(--rim);
  }
  /* From the first touch to where it settles once everything has drunk. */
  .vial > .path {
    top: 50%;
    bottom: auto;
    height: 0;
    border-top: 2px dotted var(--rim);
  }
  .vial > .first {
    top: 50%;
    bottom: auto;
    width: calc(var(--height) * 0.24);
    height: calc(var(--height) * 0.24);
    translate: -50% -50%;
    border: 2px solid var(--rim);
    border-radius: 50%;
    background: var(--enamel);
  }
  .tiny .eye {
    width: 0.5rem;
    height: 0.5rem;
    border-width: 1px;
  }
  .vial > .ghost {
    top: 8%;
    bottom: 8%;
    border: 2px dashed var(--act);
    border-radius: 999px;
  }
  .vial > .ghost-eye {
    top: 50%;
    bottom: auto;
    width: 0.7rem;
    height: 0.7rem;
    translate: -50% -50%;
    rotate: 45deg;
    background: var(--act);
  }
  .vial > .older {
    top: auto;
    bottom: 4%;
    width: 0.42rem;
    height: 0.42rem;
    translate: -50% 0;
    border: 1.5px solid var(--soft);
    border-radius: 50%;
    background: var(--enamel);
  }
  .tiny .older {
    width: 0.25rem;
    height: 0.25rem;
    border-width: 1px;
  }
  .vial > .felt {
    width: 0.32rem;
    translate: -50% 0;
    background: var(--act);
  }
  /* Colours of the system's own leave outlines alone: the bubble, its eye and the marks are drawn by them. */
  @media (forced-colors: active) {
    .vial > .bubble {
      border: 2px solid Highlight;
    }
    .vial > .eye,
    .vial > .felt {
      forced-color-adjust: none;
      background: Highlight;
    }
    .wanted {
      border-color: CanvasText;
    }
  }
  .zones {
    position: relative;
    height: 1.3rem;
    margin-top: 0.2rem;
    font-size: 0.8rem;
    color: var(--soft);
  }
  .counter .zones {
    font-size: 0.95rem;
  }
  .zones span {
    position: absolute;
    overflow: hidden;
    text-align: center;
    text-overflow: clip;
    white-space: nowrap;
  }
  @media (max-width: 640px) {
    .zones {
      height: 2.2rem;
      font-size: 0.66rem;
      line-height: 1.05;
    }
    .counter .zones {
      font-size: 0.7rem;
    }
    .zones span {
      white-space: normal;
    }
  }
</style>
