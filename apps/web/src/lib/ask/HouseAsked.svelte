<script lang="ts">
  import {
    settingsOf,
    settledWith,
    type Household,
    type HouseQuestionId,
  } from '@tender-crumb/core/household';
  import { goto } from '$app/navigation';
  import { saidOfHouse } from '../sync/said.ts';
  import { settledHouse } from '../sync/settled-house.ts';
  import { refresh } from '../ui/refresh.ts';
  import { houseQuestions, type HouseAnswer } from './house-questions.ts';
  import Question from './Question.svelte';

  let {
    of,
    household,
    size = 'small',
    onanswer,
  }: {
    of: HouseQuestionId;
    household: Household;
    /** `large` is for floury hands. */
    size?: 'small' | 'large';
    onanswer?: (answer: HouseAnswer) => void;
  } = $props();

  const settings = $derived(settingsOf(settledHouse(household)));
  const { asks, answers } = $derived(houseQuestions[of]);
  let answered = $state(false);
  let fault = $state('');

  async function answer(given: HouseAnswer) {
    answered = true;
    onanswer?.(given);
    const { refused, waits, says } = await saidOfHouse(settings, {
      ...given.change(settings),
      settled: settledWith(of, settings),
    });
    fault = refused ? says : '';
    answered = !refused;
    if (!refused && !waits) await refresh();
    if (!refused && given.path) await goto(given.path);
  }
</script>

{#if !answered}
  <Question kind={of} of="house" {size}>
    {#snippet children(later)}
      <p
        class="no-print mb-3 flex flex-wrap items-center gap-2 {size === 'large' ? 'text-lg' : ''}"
        role="group"
        aria-label={asks}
      >
        <span>{asks}</span>
        {#each answers as given (given.says)}
          <button
            class="knob {size === 'large' ? 'min-h-14' : 'touch'}"
            type="button"
            onclick={() => void answer(given)}>{given.says}</button
          >
        {/each}
        {@render later()}
        {#if fault}<span class="text-act" role="alert">{fault}</span>{/if}
      </p>
    {/snippet}
  </Question>
{/if}
