<script lang="ts">
  import type { Planning } from '../plan/planning.svelte.ts';
  import { timeText, untilText } from '../plan/when.ts';

  let { planning, bake }: { planning: Planning; bake: string } = $props();

  const zone = $derived(planning.data.zone);
  /** What is so far off is no matter of this hour, ms. */
  const soon = 4 * 60 * 60_000;
  /** Of each other bake the next thing, the soonest first: one pair of hands has them all. */
  const others = $derived.by(() => {
    const seen = new Set<string>([bake]);
    return planning.ahead
      .filter((s) => !planning.isBegun(s) && s.attended !== 'none')
      .filter((s) => !seen.has(s.bake) && seen.add(s.bake))
      .filter((s) => Date.parse(s.start) - planning.now.getTime() < soon)
      .sort((a, b) => Date.parse(a.start) - Date.parse(b.start));
  });
  const linkOf = (id: string) => {
    const plan = planning.planOf(id);
    return plan?.bakeId ? `/bake/${plan.bakeId}` : '/bake';
  };
  const due = (iso: string) => Date.parse(iso) <= planning.now.getTime();
</script>

{#if others.length > 0}
  <ul class="no-print mb-3 flex flex-wrap gap-2" aria-label="Meanwhile, of the other bakes">
    {#each others as step (step.id)}
      <li>
        <a
          class="flex min-h-14 flex-wrap items-center gap-x-2 rounded-b-xl border-2 px-3 {due(
            step.start,
          )
            ? 'border-act bg-act-tint'
            : 'border-line bg-enamel'}"
          href={linkOf(step.bake)}
        >
          <b class="text-lg tabular-nums">{timeText(step.start, zone, planning.now)}</b>
          <span>{step.label}: {planning.nameOf(step.bake)}</span>
          <span class="quiet">{untilText(step.start, planning.now)}</span>
        </a>
      </li>
    {/each}
  </ul>
{/if}
