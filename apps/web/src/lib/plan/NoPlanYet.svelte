<script lang="ts">
  import type { NoTimedPlan } from '@tender-crumb/core/schedule';
  import type { Planning } from './planning.svelte.ts';
  import { timeText } from './when.ts';

  let { planning, refused }: { planning: Planning; refused: NoTimedPlan } = $props();

  type Drop = NoTimedPlan['drop'][number];
  const household: Record<string, string> = {
    asleep: 'Get up in the night',
    away: 'Be home for it',
    power: 'Bake outside the hours of cheap power',
  };
  const time = (iso: string) => timeText(iso, planning.data.zone, planning.now);

  function offer({ wish, bake }: Drop): string {
    const name = bake ? planning.nameOf(bake) : '';
    if (wish === 'ready') return `${name} later`;
    if (wish === 'begin') return `${name} begun at another time`;
    return household[wish] ?? wish;
  }

  /** When the breads are ready, once that is dropped. */
  const gains = ({ ready }: Drop): string =>
    Object.entries(ready)
      .map(([id, iso]) => `${planning.nameOf(id)} ready ${time(iso)}`)
      .join(', ');

  /** A wish of a bake is moved to what can be had; the household's own hours are settled in the Pantry. */
  function take({ wish, bake, ready }: Drop) {
    if (!bake) return;
    const at = ready[bake];
    void planning.change(bake, ({ readyBy, beginAt, ...plan }) => ({
      ...plan,
      ...(wish !== 'ready' && readyBy ? { readyBy } : {}),
      ...(wish !== 'begin' && beginAt ? { beginAt } : {}),
      ...(wish === 'ready' && at ? { readyBy: at } : {}),
    }));
  }
</script>

<section class="bowl grid gap-2 p-4" role="alert" aria-labelledby="no-plan">
  <h2 id="no-plan" class="text-lg text-act">{refused.why}</h2>
  {#if refused.drop.length > 0}
    <p>One of these would do:</p>
    <ul class="grid gap-2">
      {#each refused.drop as drop (`${drop.bake ?? ''}${drop.wish}`)}
        <li class="flex flex-wrap items-center justify-between gap-2 border-t border-line pt-2">
          <span><b>{offer(drop)}</b>: {gains(drop)}.</span>
          {#if drop.bake}
            <button class="knob knob-act touch" type="button" onclick={() => take(drop)}
              >Do that</button
            >
          {:else}
            <a class="link touch" href="/pantry/kitchen">Change these hours</a>
          {/if}
        </li>
      {/each}
    </ul>
  {:else if refused.code === 'no-plan'}
    <p>One change is not enough: remove a bread, or move two.</p>
  {/if}
  <ul class="flex flex-wrap gap-2">
    {#each planning.data.plans as plan (plan.id)}
      <li>
        <button class="knob touch" type="button" onclick={() => void planning.drop(plan.id)}
          >Take {planning.nameOf(plan.id)} off</button
        >
      </li>
    {/each}
  </ul>
</section>
