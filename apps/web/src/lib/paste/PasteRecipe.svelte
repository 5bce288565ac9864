<script lang="ts">
  import { goto } from '$app/navigation';
  import type { Formula } from '@tender-crumb/core/formula';
  import {
    pantryIn,
    type Household,
    type Settings,
    settingsOf,
  } from '@tender-crumb/core/household';
  import { cupMillilitres, fills, tablespoonMillilitres } from '@tender-crumb/core/quantity';
  import type { Answer } from '@tender-crumb/core/reader';
  import { styleIds, styles, type StyleId } from '@tender-crumb/core/style';
  import { nanoid } from 'nanoid';
  import { onMount } from 'svelte';
  import { draftEntry } from '../sync/kinds.ts';
  import { mustSay, saidOfHouse } from '../sync/said.ts';
  import AskRow from '../ask/AskRow.svelte';
  import Level from '../level/Level.svelte';
  import { mostText, Paste } from './paste.svelte.ts';
  import { asMass, say } from '../ui/writing.ts';

  let {
    household,
    small = false,
  }: {
    household: Household;
    /** Folded to a line until somebody writes in it. */
    small?: boolean;
  } = $props();
  let near = $state(false);

  // svelte-ignore state_referenced_locally
  const paste = new Paste(household);
  const folded = $derived(small && !near && paste.text === '');
  $effect(() => {
    if (paste.text) void paste.learn();
  });
  let restored = $state(false);
  onMount(async () => {
    await paste.recover();
    restored = true;
  });
  $effect(() => {
    void [paste.text, paste.said];
    // What is typed before the storage has answered is kept as well: it goes before what stood there.
    if (restored || paste.text) paste.keep();
  });
  /** Asked once the typing rests, milliseconds. */
  const rest = 500;
  $effect(() => {
    void paste.text;
    const timer = setTimeout(() => void paste.lookForTwins(), rest);
    return () => clearTimeout(timer);
  });
  let busy = $state(false);
  let fault = $state('');
  /** Its id is ours: put there twice, or answered and not heard, it is one formula. */
  const newId = nanoid();

  const cupNames = { us: 'US, 237 ml', metric: 'metric, 250 ml', imperial: 'imperial, 284 ml' };
  const spoonNames = { us: 'US, 14.8 ml', metric: 'metric, 15 ml', australian: '20 ml' };
  const fillNames = {
    spooned: 'spooned in and levelled',
    dipped: 'dipped into the bag',
    fresh: 'fresh-milled, unsettled',
  };

  $effect(() => paste.receive(household));
  const pantry = $derived(pantryIn(household));
  /** Rows that say something of what goes in; the method and the notes are counted. */
  const aside = new Set(['step', 'note', 'yield', 'other']);
  const shown = $derived(
    (paste.view.read?.rows ?? []).filter((r) => !aside.has(r.as)).slice(0, 120),
  );
  const keptRows = $derived(
    (paste.view.read?.rows ?? []).filter((r) => aside.has(r.as) && r.as !== 'other').length,
  );
  function answerRow(text: string, answer: Answer, learned: Partial<Settings>) {
    paste.answer(text, answer);
    if (Object.keys(learned).length > 0) void saidOfHouse(settingsOf(household), learned);
  }

  async function put() {
    const formula = paste.own?.body ?? paste.view.formula;
    if (!formula) return;
    busy = true;
    fault = '';
    try {
      // One of our own files goes as it is: the server takes apart what came along with it.
      const sent = formula as Formula;
      await mustSay(draftEntry({ id: newId, version: 0, draft: newId, formula: sent }));
      paste.text = '';
      paste.done();
      await goto(`/bench/${newId}`);
    } catch (refusal) {
      fault = `It could not be put on the shelf: ${(refusal as Error).message} Nothing is lost; try again.`;
      busy = false;
    }
  }

  /** Something is held over the page. */
  let over = $state(false);

  async function drop(event: DragEvent) {
    over = false;
    const file = event.dataTransfer?.files[0];
    if (!file) return;
    event.preventDefault();
    await take(file);
  }

  async function take(file: File | undefined) {
    if (!file) return;
    near = true;
    paste.text = (await file.text()).slice(0, mostText);
  }

  const example = `Porridge loaf

3 1/2 cups bread flour
1 1/4 cups warm water
2 tbsp honey
1 1/2 tsp salt
1 packet instant yeast`;
</script>

<svelte:window
  ondragover={(e) => {
    if (!e.dataTransfer?.types.includes('Files')) return;
    e.preventDefault();
    over = true;
  }}
  ondragleave={(e) => e.relatedTarget === null && (over = false)}
  ondrop={drop}
/>

<section
  class="bowl p-4 {over ? 'outline-4 outline-offset-2 outline-rim outline-dashed' : ''}"
  aria-labelledby="paste-title"
>
  <h2 id="paste-title">Paste a recipe</h2>
  <div class="mt-2 grid gap-4 lg:grid-cols-2">
    <div class="grid content-start gap-3">
      <label class="quiet" for="recipe"
        >One ingredient a line, in cups, spoons, ounces or grams.</label
      >
      <textarea
        id="recipe"
        class="field field-sizing-content max-h-96 w-full leading-normal {folded
          ? 'min-h-11'
          : 'min-h-32'}"
        onfocus={() => (near = true)}
        maxlength={mostText}
        placeholder={folded ? 'Paste a recipe here' : example}
        bind:value={paste.text}></textarea>
      <div class="flex-wrap gap-3 {folded ? 'hidden' : 'flex'}">
        <label class="quiet grid gap-1"
          >It is for
          <select
            class="field text-base text-ink"
            value={paste.view.style}
            onchange={(e) => (paste.said = e.currentTarget.value as StyleId)}
          >
            {#each styleIds as id (id)}<option value={id}>{styles[id].name}</option>{/each}
          </select>
        </label>
        <label class="knob touch cursor-pointer self-end"
          >From a file …
          <input
            class="sr-only"
            type="file"
            accept=".json,.jsonld,.csv,.md,.txt,.html,.htm,text/*,application/json"
            onchange={(e) => {
              void take(e.currentTarget.files?.[0]);
              e.currentTarget.value = '';
            }}
          /></label
        >
        {#if paste.view.byVolume}
          <label class="quiet grid gap-1"
            >Cup
            <select class="field text-base text-ink" bind:value={paste.measures.cup}>
              {#each Object.keys(cupMillilitres) as cup (cup)}
                <option value={cup}>{cupNames[cup as keyof typeof cupNames]}</option>
              {/each}
            </select>
          </label>
          <label class="quiet grid gap-1"
            >Tablespoon
            <select class="field text-base text-ink" bind:value={paste.measures.tablespoon}>
              {#each Object.keys(tablespoonMillilitres) as spoon (spoon)}
                <option value={spoon}>{spoonNames[spoon as keyof typeof spoonNames]}</option>
              {/each}
            </select>
          </label>
          <label class="quiet grid gap-1"
            >Flour goes into the cup
            <select class="field text-base text-ink" bind:value={paste.measures.fill}>
              {#each fills as fill (fill)}<option value={fill}>{fillNames[fill]}</option>{/each}
            </select>
          </label>
        {/if}
      </div>
    </div>

    <div class="content-start gap-3 {folded ? 'hidden' : 'grid'}" aria-live="polite">
      {#if paste.own}
        <p>
          <b>“{paste.own.name}”</b>: a formula as it was taken out, with its corrections, steps and
          notes.
        </p>
        <div class="flex flex-wrap items-center gap-3">
          <button class="knob knob-act" type="button" disabled={busy} onclick={put}
            >Put it on the shelf</button
          >
          {#if fault}<span class="text-act" role="alert">{fault}</span>{/if}
        </div>
      {:else if paste.view.read}
        {#if paste.view.read.recipes.length > 1}
          <label class="grid gap-1"
            ><span
              >There are <b>{paste.view.read.recipes.length} recipes</b> in it; one goes on the bench
              at a time. It is</span
            >
            <select class="field" bind:value={paste.which}>
              {#each paste.view.read.recipes as title, i (i)}<option value={i}>{title}</option
                >{/each}
            </select>
          </label>
        {/if}
        <Level level={paste.view.level} window={paste.view.window} />
        {#if paste.view.verdict}
          <p><b>{paste.view.verdict.state}.</b> {say(paste.view.verdict.says)}</p>
          {#if paste.view.likely}
            <p class="quiet">
              Taken for {styles[paste.view.likely.style].inSentence}, {paste.view.likely.because}.
              Is it another bread? Say so under “It is for”.
            </p>
          {/if}
        {:else if !paste.judged}
          <p class="quiet">One moment …</p>
        {:else}
          <p>No flour has been read yet, so that the level cannot be told.</p>
        {/if}
        <ul class="grid gap-0.5 text-sm" aria-label="What was read">
          {#each shown as row, i (`${row.line} ${i}`)}
            {#if row.as === 'unread'}
              <li data-testid="unread">
                <AskRow
                  text={row.text}
                  {household}
                  {pantry}
                  onanswer={(answer, learned) => answerRow(row.text, answer, learned)}
                />
              </li>
            {:else}
              <li class="row">
                <span class="quiet break-words">{row.text}</span>
                <span>
                  {#if row.as === 'outside'}
                    <span class="quiet">outside the dough</span>
                  {:else if row.as === 'reference'}
                    <span class="quiet">is in already</span>
                  {:else if row.as === 'heading' || row.as === 'title'}
                    <b>{row.as === 'title' ? 'title' : 'a part'}</b>
                  {:else}
                    {#each paste.view.linesOf(row.lines ?? []) as line (line.id)}
                      <span class="read"
                        ><b>{asMass(line.grams)}</b>
                        {pantry.ingredient(line.ingredient).name}{line.percent
                          ? ` · ${line.percent} %`
                          : ''}</span
                      >
                    {/each}
                  {/if}
                </span>
              </li>
            {/if}
          {/each}
        </ul>
        {#if keptRows > 0}
          <p class="quiet">
            {keptRows}
            {keptRows === 1 ? 'line' : 'lines'} of method and notes are kept with it.
          </p>
        {/if}
        {#if paste.view.read.assumptions.length > 0}
          <ul class="quiet grid gap-1">
            {#each paste.view.read.assumptions as a (a.line + a.text)}<li>
                Line {a.line}: {say(a.text)}.
              </li>{/each}
          </ul>
        {/if}
        {#each paste.twins as twin (twin.id)}
          <p>
            This text is on the shelf already:
            <a class="link" href="/bench/{twin.id}">{twin.name}</a>.
          </p>
        {/each}
        <div class="flex flex-wrap items-center gap-3">
          {#if paste.view.mightLackFlour}
            <p class="font-semibold text-act">
              What was not read may be the main flour: the level stands on what was.
            </p>
          {/if}
          <button class="knob knob-act" type="button" disabled={busy} onclick={put}>
            {busy ? 'Putting it there …' : 'Put it on the bench'}
          </button>
          {#if fault}<span class="text-act" role="alert">{fault}</span>{/if}
        </div>
      {:else}
        <p class="quiet">
          It is read as you paste: grams, baker's percentages, and how the dough will feel. What
          cannot be read is shown with its line; nothing is guessed.
        </p>
        <p>
          <button class="knob" type="button" onclick={() => (paste.text = example)}
            >Try this example</button
          >
        </p>
      {/if}
    </div>
  </div>
</section>

<style>
  .row {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    gap: 0.75rem;
    padding: 0.15rem 0;
    border-top: 1px solid var(--line);
  }
  .read {
    display: block;
  }
</style>
