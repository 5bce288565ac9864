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
  import HouseQuestion from '../ask/HouseQuestion.svelte';
  import Question from '../ask/Question.svelte';
  import Level from '../level/Level.svelte';
  import { saidOfHouse } from '../sync/said.ts';
  import { asMass, say } from '../ui/writing.ts';
  import { destinationWords } from './destinations.ts';
  import PageStrip from './PageStrip.svelte';
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
  /** A page’s source may have thousands of rows: the last of them are counted. */
  const mostShown = 160;
  const rows = $derived(view.ledger.filter((r) => r.to !== 'other'));
  const shown = $derived(rows.slice(0, mostShown));
  const asked = $derived(new Map(view.read?.unread.map((u) => [`${u.line} ${u.text}`, u])));
  function putAllIn() {
    for (const { text, might } of view.inMethod) if (might[0]) paste.answer(text, { is: might[0] });
  }
  const disagreement = {
    hydration: 'It says that its hydration is',
    dough: 'It says that the dough weighs',
    flour: 'It says that its flour weighs',
    pieces: 'Its pieces together would weigh',
  } as const;
  const amount = (value: number, unit: '%' | 'g') => (unit === 'g' ? asMass(value) : `${value} %`);
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
    <p aria-live="polite"><b>{view.verdict.state}.</b> {say(view.verdict.says)}</p>
    {#if view.likely && view.asksStyle}
      {@const likely = view.asksStyle}
      <Question kind="style" of="pasted">
        {#snippet children(later)}
          <p class="flex flex-wrap items-center gap-2">
            <span>Which bread is it?</span>
            {#each likely as style (style)}
              <button class="knob touch" type="button" onclick={() => (paste.said = style)}
                >{styles[style].name}</button
              >
            {/each}
            {@render later()}
          </p>
        {/snippet}
      </Question>
    {:else if view.likely}
      <p class="quiet">
        Taken for {styles[view.likely.style].inSentence}, {view.likely.because}. Is it another
        bread? Say so under “Type of bread”.
      </p>
    {/if}
  {:else if !paste.judged}
    <p class="quiet">One moment …</p>
  {:else}
    <p>No flour yet, so no level.</p>
  {/if}
  {#if view.byVolume}
    <HouseQuestion
      of="cup"
      {household}
      onanswer={({ change }) =>
        (paste.measures = { ...paste.measures, ...change(settingsOf(household)).measures })}
    />
  {/if}
  {#if view.read.sizes.length > 1}
    <label class="grid gap-1"
      ><span
        >It stands there in <b>{view.read.sizes.length} sizes</b>. The one that is baked is</span
      >
      <select
        class="field"
        value={paste.size ?? ''}
        onchange={(e) =>
          (paste.size = e.currentTarget.value === '' ? undefined : Number(e.currentTarget.value))}
      >
        <option value="">choose …</option>
        {#each view.read.sizes as name, i (i)}<option value={i}>{name}</option>{/each}
      </select>
    </label>
  {/if}
  {#each view.read.disagrees as d, i (i)}
    <p class="font-semibold text-act">
      {disagreement[d.what]}
      {amount(d.said, d.unit)}; what was read comes to {amount(d.read, d.unit)}.
    </p>
  {/each}
  {#if view.region}
    <p class="flex flex-wrap items-center gap-2">
      <span
        >It sounds {view.region.name} (“{view.region.because.slice(0, 3).join('”, “')}”). Cups,
        pints and spoons are different there.</span
      >
      <button class="knob" type="button" onclick={() => paste.measureAs(view.region!.measures)}
        >Measure as they do there</button
      >
    </p>
  {/if}
  {#if view.inMethod.length > 1}
    <p class="flex flex-wrap items-center gap-2">
      <span>{view.inMethod.length} amounts stand in the method alone.</span>
      <button class="knob knob-act" type="button" onclick={putAllIn}>Put them all in</button>
    </p>
  {/if}
  <p class="quiet" data-testid="ledger">
    {#each view.counts as { to, rows: n }, i (to)}{i > 0 ? ' · ' : ''}<span class="mark {to}"
        >{n} {destinationWords[to]}</span
      >{/each}
  </p>
  <ul class="grid text-sm" aria-label="What was read">
    {#each shown as row, i (`${row.line} ${i}`)}
      {@const question = asked.get(`${row.line} ${row.text}`)}
      {@const placed = view.placed.get(row.line)}
      {#if row.as === 'unread' && question?.code !== 'sizes'}
        <li class="py-1" data-testid="unread">
          {#if placed}<PageStrip {placed} />{/if}
          <Question kind="row" of={`${row.line} ${row.text}`}>
            {#snippet children(later)}
              <AskRow
                text={row.text}
                unread={question}
                {household}
                {pantry}
                {later}
                onanswer={(answer, learned) => answerRow(row.text, answer, learned)}
              />
            {/snippet}
            {#snippet otherwise(now)}
              <p class="flex flex-wrap items-center gap-2">
                <b class="mark question break-words">{row.text.slice(0, 300)}</b>
                <span class="quiet">not read yet</span>
                {@render now()}
              </p>
            {/snippet}
          </Question>
        </li>
      {:else}
        <li class="row" data-to={row.to}>
          {#if placed}<span class="col-span-3"><PageStrip {placed} /></span>{/if}
          <span class="break-words {row.as === 'title' || row.as === 'heading' ? 'font-bold' : ''}"
            >{#each row.pieces as piece, j (j)}{#if piece.to}<span class="mark {piece.to}"
                  >{piece.text}</span
                >{:else}{piece.text}{/if}{/each}</span
          >
          <span class="text-right">
            {#if row.to === 'dough'}
              {#each view.linesOf(row.lines) as line (line.id)}
                <span class="block"
                  ><b>{asMass(line.grams)}</b>
                  {pantry.ingredient(line.ingredient).name}{line.percent
                    ? ` · ${line.percent} %`
                    : ''}</span
                >
              {/each}
            {:else}
              <span class="quiet"
                >{row.as === 'title'
                  ? 'title'
                  : row.as === 'heading'
                    ? 'a part'
                    : destinationWords[row.to]}</span
              >
            {/if}
          </span>
          {#if paste.answers[row.text]}
            <button class="move" type="button" onclick={() => paste.forget(row.text)}
              >undo<span class="sr-only">: {row.text}</span></button
            >
          {:else if row.moves}
            <button
              class="move"
              type="button"
              title={row.moves === 'out' ? 'Not in the dough' : 'Into the dough'}
              onclick={() =>
                paste.answer(row.text, row.moves === 'out' ? { not: 'dough' } : { goes: 'dough' })}
              >{row.moves === 'out' ? 'take out' : 'put in'}<span class="sr-only">: {row.text}</span
              ></button
            >
          {:else}<span></span>{/if}
          {#each row.assumed as text, j (j)}
            <span class="quiet col-span-3">{say(text)}.</span>
          {/each}
        </li>
      {/if}
    {/each}
  </ul>
  {#if rows.length > mostShown}
    <p class="quiet">{rows.length - mostShown} more rows of notes and method are kept with it.</p>
  {/if}
  {#each paste.twins as twin (twin.id)}
    <p>
      You already have this recipe:
      <a class="link" href="/bench/{twin.id}">{twin.name}</a>.
    </p>
  {/each}
  <div class="flex flex-wrap items-center gap-3">
    {#if view.mightLackFlour}
      <p class="font-semibold text-act">
        The main flour may be missing: the level counts what was read.
      </p>
    {/if}
    <button class="knob knob-act" type="button" disabled={busy} onclick={onput}>
      {busy ? 'Opening it …' : 'Open this recipe'}
    </button>
    {#if fault}<span class="text-act" role="alert">{fault}</span>{/if}
  </div>
{/if}

<style>
  .row {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) 3.5rem;
    align-items: baseline;
    column-gap: 0.75rem;
    padding: 0.2rem 0;
    border-top: 1px solid var(--line);
  }
  .row[data-to='step'],
  .row[data-to='note'] {
    grid-template-columns: minmax(0, 1fr) auto 3.5rem;
    color: var(--soft);
  }
  /* Where an amount went, by the line under it as well as by its colour. */
  .mark {
    text-decoration: underline 2px solid var(--rim);
    text-underline-offset: 3px;
  }
  .mark.outside {
    text-decoration: underline 2px dashed var(--grain);
  }
  .mark.step,
  .mark.yield {
    text-decoration: underline 2px dotted var(--soft);
  }
  .mark.part {
    text-decoration: underline 3px double var(--water);
  }
  .mark.question {
    background: var(--act-tint);
    text-decoration: underline 2px wavy var(--act);
  }
  .mark.note {
    text-decoration: none;
  }
  .move {
    min-height: 1.75rem;
    color: var(--rim);
    text-align: right;
    text-decoration: underline;
    text-underline-offset: 2px;
  }
  @media (pointer: coarse) {
    .move {
      min-height: 2.75rem;
    }
  }
</style>
