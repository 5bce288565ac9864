<script lang="ts">
  import type { Household, Settings } from '@tender-crumb/core/household';
  import type { Pantry } from '@tender-crumb/core/ingredient';
  import { parseNumber } from '@tender-crumb/core/quantity';
  import {
    readerOf,
    readRecipe,
    illegible,
    rememberAnswer,
    type Answer,
    type Unread,
  } from '@tender-crumb/core/reader';
  import type { Snippet } from 'svelte';
  import IngredientPicker from '../sheet/IngredientPicker.svelte';

  let {
    text,
    unread: given,
    why = 'could not be read',
    household,
    pantry,
    fault = '',
    later,
    onanswer,
  }: {
    text: string;
    /** What is asked of it, where the whole text was just read. */
    unread?: Unread | undefined;
    /** Why it was not read, as it was kept. */
    why?: string;
    household: Household;
    pantry: Pantry;
    fault?: string;
    /** Puts it off. */
    later?: Snippet;
    /** With what the household is to remember of it for next time. */
    onanswer: (answer: Answer, learned: Partial<Settings>) => void;
  } = $props();

  const alone = $derived(readRecipe(text, readerOf(household)));
  const unread = $derived(given ?? alone.unread[0]);
  const says = $derived((unread?.says ?? why).replace(/(?<![?.!])$/, '.'));
  /** Read by itself it may be plain what it is: a thing of the method. */
  const might = $derived(
    unread?.might ?? alone.formula.stages.flatMap((s) => s.lines.map((l) => l.ingredient)),
  );
  let remember = $state(false);
  let weight = $state('');
  /** What it says by whoever looks at the picture, where that could not be read. */
  const readings = $derived(unread?.mended ? [unread.mended, ...(unread.others ?? [])] : []);
  const unclear = $derived(unread?.code === 'unclear');
  let typed = $state<string>();
  const asTyped = $derived(typed ?? unread?.mended ?? '');
  const byPiece = $derived(unread?.code === 'no-weight' || unread?.code === 'no-unit');
  const each = $derived(weight.trim() === '' ? undefined : parseNumber(weight));

  function is(id: string) {
    const answer = { is: id, ...(each === undefined ? {} : { each }) };
    onanswer(answer, remember ? rememberAnswer(household, text, unread?.what, answer) : {});
  }
</script>

<div class="ask" data-testid="ask">
  <p>
    {#if text !== illegible}<b class="break-words">“{text.slice(0, 300)}”</b>{/if}
    {says}
  </p>
  <div class="flex flex-wrap items-center gap-2">
    {#if byPiece}
      <label class="flex items-center gap-1"
        >One weighs
        <input class="field w-20 text-right" inputmode="decimal" bind:value={weight} /> g</label
      >
    {/if}
    {#each readings as reads (reads)}
      <button class="knob knob-act" type="button" onclick={() => onanswer({ reads }, {})}
        >{readings.length > 1 || reads === text ? `“${reads}”` : `Yes, “${reads}”`}</button
      >
    {/each}
    {#if unclear}
      <form
        class="flex flex-wrap items-center gap-2"
        onsubmit={(e) => {
          e.preventDefault();
          if (asTyped.trim()) onanswer({ reads: asTyped.trim() }, {});
        }}
      >
        <label class="flex items-center gap-1"
          >It says
          <input
            class="field w-64 max-w-full"
            maxlength="300"
            value={asTyped}
            oninput={(e) => (typed = e.currentTarget.value)}
          /></label
        >
        {#if typed !== undefined && asTyped.trim()}
          <button class="knob knob-act" type="submit">Read it so</button>
        {/if}
      </form>
    {/if}
    <span>It is</span>
    {#each might as id (id)}
      <button class="knob" type="button" onclick={() => is(id)}>{pantry.ingredient(id).name}</button
      >
    {/each}
    <span class="w-48 rounded border border-line bg-enamel"
      ><IngredientPicker
        {pantry}
        glutenFree={household.glutenFree}
        label="It is something else"
        placeholder="something else …"
        onpick={is}
      /></span
    >
    <button class="knob" type="button" onclick={() => onanswer({ not: 'dough' }, {})}
      >Outside the dough</button
    >
    <button class="knob" type="button" onclick={() => onanswer({ not: 'ingredient' }, {})}
      >Not an ingredient</button
    >
    {@render later?.()}
    {#if unread?.what || each !== undefined}
      <label class="touch flex items-center gap-2"
        ><input type="checkbox" class="size-5 accent-rim" bind:checked={remember} />
        remember {unread?.what ? `“${unread.what.slice(0, 40)}”` : 'what one weighs'}</label
      >
    {/if}
  </div>
  {#if fault}<p class="font-semibold text-act" role="alert">{fault}</p>{/if}
</div>

<style>
  .ask {
    display: grid;
    gap: 0.5rem;
    padding: 0.6rem;
    border-left: 4px solid var(--act);
    border-radius: 3px;
    background: var(--act-tint);
    font-size: 0.9rem;
  }
</style>
