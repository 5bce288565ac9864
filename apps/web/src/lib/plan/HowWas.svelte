<script lang="ts">
  import { judgements, type BakeEvent } from '@tender-crumb/core/bake';
  import { nanoid } from 'nanoid';
  import Question from '../ask/Question.svelte';
  import { currentIso } from '../clock.ts';
  import type { AskedLoaf } from '../server/store/asked-loaves.ts';
  import { outbox } from '../sync/here.ts';
  import { eventEntry } from '../sync/kinds.ts';
  import { refresh } from '../ui/refresh.ts';
  import { timeText } from './when.ts';

  /** One loaf is asked about at a time. */
  let { asked, zone, now }: { asked: readonly AskedLoaf[]; zone: string; now: Date } = $props();

  let judged = $state<readonly string[]>([]);
  let told = $state<AskedLoaf | undefined>();

  async function judge(of: AskedLoaf, stars: number) {
    judged = [...judged, of.id];
    told = of;
    const say = (kind: string, data: object) =>
      outbox().add(
        eventEntry(of.id, { id: nanoid(21), at: currentIso(), kind, data } as BakeEvent),
      );
    await say('outcome', { stars, words: [], note: '' });
    if (!of.finished) await say('finished', {});
    await refresh();
  }
</script>

{#each asked.filter((l) => !judged.includes(l.id)) as loaf (loaf.id)}
  <Question kind="how-was" of={loaf.id} size="large">
    {#snippet children(later)}
      <section class="bowl no-print mb-4 grid gap-3 p-4" aria-labelledby="how-was">
        <h2 id="how-was" class="text-xl">How was the loaf?</h2>
        <p class="text-lg">
          <b>{loaf.name}</b> <span class="quiet">{timeText(loaf.bakedAt, zone, now)}</span>
        </p>
        <p class="flex flex-wrap gap-2">
          {#each judgements as judgement, i (judgement)}
            <button
              class="knob min-h-14 text-lg"
              type="button"
              onclick={() => void judge(loaf, i + 1)}>{judgement}</button
            >
          {/each}
          {@render later()}
        </p>
      </section>
    {/snippet}
  </Question>
{/each}
{#if told}
  <p class="no-print mb-4" role="status">
    Saved. <a class="link touch" href="/bake/{told.id}">Add a photo or a note</a>
  </p>
{/if}
