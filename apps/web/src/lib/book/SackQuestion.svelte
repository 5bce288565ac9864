<script lang="ts">
  import type { SackSense } from '@tender-crumb/core/bake';
  import type { Household } from '@tender-crumb/core/household';
  import { flourCalled, type Lesson } from '@tender-crumb/core/learn';
  import type { Snippet } from 'svelte';
  import Question from '../ask/Question.svelte';

  let {
    lesson,
    answer,
    household,
    ontell,
  }: {
    lesson: Lesson;
    answer: SackSense | undefined;
    household: Household;
    ontell: (sense: SackSense) => unknown;
  } = $props();

  const asks = $derived(lesson.asks);
  const flour = $derived(asks ? flourCalled(asks.key, household) : '');
  const stiffer = $derived((lesson.felt ?? 0) < lesson.mixed.points);
  const answers: ReadonlyArray<readonly [SackSense, string]> = [
    ['new', 'New sack'],
    ['odd', 'Something else was different'],
    ['neither', 'Neither'],
  ];
</script>

<!-- A flour stood off: one question, three answers, and it can be answered otherwise later. -->
{#snippet asked(of: NonNullable<typeof asks>, later?: Snippet)}
  <section class="grid gap-2 rounded-md bg-act-tint p-3" aria-labelledby="sack">
    <h3 id="sack" class="font-semibold">Is this a new sack of {flour}?</h3>
    <p>
      {of.doughs > 1
        ? `The last ${of.doughs} doughs with it were ${stiffer ? 'stiffer' : 'looser'} than expected.`
        : `This dough was much ${stiffer ? 'stiffer' : 'looser'} than expected.`}
    </p>
    <div class="flex flex-wrap gap-2">
      {#each answers as [sense, says] (sense)}
        <button
          class="knob touch"
          type="button"
          aria-pressed={answer === sense}
          onclick={() => void ontell(sense)}>{says}</button
        >
      {/each}
      {@render later?.()}
    </div>
  </section>
{/snippet}

{#if asks && answer !== undefined}
  {@render asked(asks)}
{:else if asks}
  <Question kind="sack" of={asks.key}>
    {#snippet children(later)}{@render asked(asks, later)}{/snippet}
  </Question>
{/if}
