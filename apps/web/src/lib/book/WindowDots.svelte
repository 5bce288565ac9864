<script lang="ts">
  import { judgements } from '@tender-crumb/core/bake';
  import type { Window } from '@tender-crumb/core/style';
  import { scaleLinear } from 'd3-scale';
  import { goto } from '$app/navigation';
  import Chart from '../ui/chart/Chart.svelte';
  import { Frame } from '../ui/chart/frame.svelte.ts';
  import { asPoints } from '../ui/writing.ts';

  let {
    looks,
    window,
    usual,
  }: {
    looks: ReadonlyArray<{
      readonly id: string;
      readonly day: string;
      readonly felt: number;
      readonly stars: number;
    }>;
    window: Window;
    usual: Window;
  } = $props();

  const frame = new Frame({ usual: 520, height: 210, left: 104, right: 12, top: 26, bottom: 26 });
  const ends = $derived([
    Math.min(usual[0], window[0], ...looks.map((l) => l.felt)) - 2,
    Math.max(usual[1], window[1], ...looks.map((l) => l.felt)) + 2,
  ]);
  const x = $derived(scaleLinear().domain(ends).range(frame.across));
  const y = scaleLinear()
    .domain([0.6, judgements.length + 0.4])
    .range(frame.upward);
  /** Loaves on one place stand beside each other. */
  const beside = $derived(
    looks.map(
      (l, i) =>
        looks.slice(0, i).filter((o) => o.stars === l.stars && Math.abs(o.felt - l.felt) < 0.4)
          .length,
    ),
  );
</script>

<Chart
  {frame}
  across={x.ticks(Math.min(6, frame.marks(50))).map((t) => ({ at: x(t), says: asPoints(t) }))}
  upward={judgements.map((says, i) => ({ at: y(i + 1), says }))}
  label="How {looks.length} loaves came out, by where their dough was felt; window {asPoints(
    window[0],
  )} to {asPoints(window[1])}"
>
  <rect
    x={x(window[0])}
    width={Math.max(0, x(window[1]) - x(window[0]))}
    y={frame.top}
    height={frame.bottom - frame.top}
    class="band"
  />
  {#each usual as end, i (i)}
    <line x1={x(end)} x2={x(end)} y1={frame.top} y2={frame.bottom} class="usual" />
  {/each}
  {#each looks as look, i (look.id)}
    <!-- By keys and by ear they are the links of the table below. -->
    <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
    <circle
      cx={x(look.felt)}
      cy={y(look.stars) - 7 * beside[i]!}
      r="5"
      class="loaf"
      onclick={() => goto(`/book/${look.id}`)}
      ><title>{look.day}: felt {asPoints(look.felt)}, {judgements[look.stars - 1]}</title></circle
    >
  {/each}
</Chart>
{#if looks.length > 0}
  <details>
    <summary>As a table</summary>
    <table class="w-full">
      <thead class="quiet text-left">
        <tr
          ><th class="font-normal">Bake</th><th class="font-normal">Felt</th><th class="font-normal"
            >Result</th
          ></tr
        >
      </thead>
      <tbody>
        {#each looks as look (look.id)}
          <tr class="border-t border-line">
            <td class="py-1"><a class="link touch" href="/book/{look.id}">{look.day}</a></td>
            <td class="py-1">{asPoints(look.felt)}</td>
            <td class="py-1">{judgements[look.stars - 1]}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  </details>
{/if}
<p class="quiet">
  Each dot a loaf, by where its dough was last felt. Band: the window here; dotted: the usual.
</p>

<style>
  .usual {
    stroke: var(--rim);
    stroke-width: 1.5;
    stroke-dasharray: 2 4;
  }
  .loaf {
    fill: var(--rim);
    stroke: var(--enamel);
    stroke-width: 1.5;
    cursor: pointer;
  }
</style>
