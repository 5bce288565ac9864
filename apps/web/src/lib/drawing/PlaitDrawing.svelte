<script lang="ts">
  import { plaitAfter, type Plait } from '@tender-crumb/core/hands';

  let { plait, moves, label }: { plait: Plait; moves: number; label: string } = $props();

  const gap = 16;
  const row = 13;
  const left = 12;
  /** Pieces of a strand reach so far over each other that no seam shows. */
  const laps = { edge: 0.4, strand: 1.4 } as const;
  const x = (place: number) => left + place * gap;

  interface Segment {
    readonly strand: number;
    readonly d: (lap: number) => string;
    readonly over: boolean;
  }
  /** Crossing by crossing, each strand a row lower; those below are drawn first. */
  const drawn = $derived.by(() => {
    const segments: Segment[] = [];
    let order = plaitAfter(plait, 0);
    let y = 6;
    for (let move = 0; move < moves; move += 1) {
      const { crossings } = plait.moves[move % plait.moves.length]!;
      for (const { at, leftOver } of crossings) {
        const [from, until] = [y, y + row];
        order.forEach((strand, place) => {
          const to = place === at ? at + 1 : place === at + 1 ? at : place;
          const half = from + row / 2;
          const bend = `C${x(place)} ${half} ${x(to)} ${half} ${x(to)} ${until}`;
          segments.push({
            strand,
            d: (lap) => `M${x(place)} ${from - lap} V${from} ${bend} v${lap}`,
            over: to === place || (place === at) === leftOver,
          });
        });
        const next = [...order];
        [next[at], next[at + 1]] = [next[at + 1]!, next[at]!];
        order = next;
        y += row;
      }
    }
    const end = y;
    order.forEach((strand, place) =>
      segments.push({ strand, d: (lap) => `M${x(place)} ${end - lap} V${end + 16}`, over: true }),
    );
    return { segments, height: y + 22 };
  });
  const tones = [30, 75, 50, 90, 62, 40];
</script>

<svg
  viewBox="0 0 {2 * left + (plait.strands - 1) * gap} {drawn.height}"
  role="img"
  aria-label={label}
  class="max-h-96 w-full"
>
  {#each [false, true] as over (over)}
    {#each drawn.segments.filter((s) => s.over === over) as segment, i (i)}
      <path d={segment.d(laps.edge)} class="edge" />
      <path
        d={segment.d(laps.strand)}
        class="strand"
        style:stroke="color-mix(in oklab, var(--grain), var(--enamel) {100 -
          tones[segment.strand % tones.length]!}%)"
      />
    {/each}
  {/each}
  {#each plaitAfter(plait, moves) as strand, place (strand)}
    <text x={x(place)} y={drawn.height - 1} text-anchor="middle">{strand + 1}</text>
  {/each}
</svg>

<style>
  path {
    fill: none;
    stroke-linecap: butt;
  }
  .edge {
    stroke: color-mix(in oklab, var(--grain), var(--ink) 55%);
    stroke-width: 11;
  }
  .strand {
    stroke-width: 8.5;
  }
  text {
    fill: var(--soft);
    font-size: 7px;
  }
</style>
