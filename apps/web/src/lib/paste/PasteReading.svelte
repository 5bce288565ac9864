<script lang="ts">
  import {
    pantryIn,
    settingsOf,
    type Household,
    type Settings,
  } from '@tender-crumb/core/household';
  import type { Answer } from '@tender-crumb/core/reader';
  import { styles } from '@tender-crumb/core/style';
  import type { PasteView } from '@tender-crumb/core/view';
  import AskRow from '../ask/AskRow.svelte';
  import Level from '../level/Level.svelte';
  import { saidOfHouse } from '../sync/said.ts';
  import { asMass, say } from '../ui/writing.ts';
  import type { Paste } from './paste.svelte.ts';

  let {
    paste,
    view,
    household,
    busy,
    fault,
    onput,
  }: {
    paste: Paste;
    view: PasteView;
    household: Household;
    busy: boolean;
    fault: string;
    onput: () => void;
  } = $props();

  const pantry = $derived(pantryIn(household));
  /** Rows that say something of what goes in; the method and the notes are counted. */
  const aside = new Set(['step', 'note', 'yield', 'other']);
  const rows = $derived(view.read?.rows ?? []);
  const shown = $derived(rows.filter((r) => !aside.has(r.as)).slice(0, 120));
  const keptRows = $derived(rows.filter((r) => aside.has(r.as) && r.as !== 'other').length);
  function answerRow(text: string, answer: Answer, learned: Partial<Settings>) {
    paste.answer(text, answer);
    if (Object.keys(learned).length > 0) void saidOfHouse(settingsOf(household), learned);
  }
</script>

{#if view.read}
  {#if view.read.recipes.length > 1}
    <label class="grid gap-1"
      ><span
        >There are <b>{view.read.recipes.length} recipes</b> in it; one goes on the bench at a time. It
        is</span
      >
      <select class="field" bind:value={paste.which}>
        {#each view.read.recipes as title, i (i)}<option value={i}>{title}</option>{/each}
      </select>
    </label>
  {/if}
  <Level level={view.level} window={view.window} />
  {#if view.verdict}
    <p><b>{view.verdict.state}.</b> {say(view.verdict.says)}</p>
    {#if view.likely}
      <p class="quiet">
        Taken for {styles[view.likely.style].inSentence}, {view.likely.because}. Is it another
        bread? Say so under “It is for”.
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
              {#each view.linesOf(row.lines ?? []) as line (line.id)}
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
  {#if view.read.assumptions.length > 0}
    <ul class="quiet grid gap-1">
      {#each view.read.assumptions as a (a.line + a.text)}<li>
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
    {#if view.mightLackFlour}
      <p class="font-semibold text-act">
        What was not read may be the main flour: the level stands on what was.
      </p>
    {/if}
    <button class="knob knob-act" type="button" disabled={busy} onclick={onput}>
      {busy ? 'Putting it there …' : 'Put it on the bench'}
    </button>
    {#if fault}<span class="text-act" role="alert">{fault}</span>{/if}
  </div>
{/if}

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
