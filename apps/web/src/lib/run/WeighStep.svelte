<script lang="ts">
  import {
    gramsTyped,
    measureText,
    mostGrams,
    numberTyped,
    tooLittleFor,
    totals,
    type RunStep,
    type WeighingItem,
  } from '@tender-crumb/core';
  import Check from '@lucide/svelte/icons/check';
  import { standIns } from '../devices/stand-ins.svelte.ts';
  import Level from '../level/Level.svelte';
  import PanDrawing from '../drawing/PanDrawing.svelte';
  import { asMass, asMassNumber, asWarmth, say, writing } from '../ui/writing.ts';
  import type { Run } from './run.svelte.ts';
  import { Weigher } from './weigher.svelte.ts';

  let {
    run,
    step,
    water,
  }: {
    run: Run;
    step: RunStep;
    /** How warm what is poured is to be. */
    water?: { readonly name: string; readonly celsius: number } | undefined;
  } = $props();

  const items = $derived(run.itemsOf(step));
  const next = $derived(items.find((i) => !run.state.weighed.has(i.id)));
  const isIn = $derived(new Set(items.filter((i) => run.state.weighed.has(i.id)).map((i) => i.id)));
  const inside = $derived(
    items.reduce((sum, i) => sum + (run.state.weighed.get(i.id)?.grams ?? 0), 0),
  );

  let editing = $state<string | undefined>();
  let missing = $state<string | undefined>();
  let typed = $state('');
  let fault = $state('');

  const weigher = new Weigher(standIns.scale);
  const bySpoon = $derived(
    next !== undefined && weigher.listens && tooLittleFor(next.grams, standIns.scale.step),
  );
  $effect(() => {
    const grams = weigher.hear(step.standing === 'done' || bySpoon ? undefined : next);
    if (grams !== undefined && next) run.weigh(next, grams, true);
  });
  const live = $derived(weigher.listens ? weigher.now : undefined);
  const shownOver = $derived(
    live?.standing === 'over' && next ? run.overPour(next, live.grams) : undefined,
  );
  /** What was weighed by hand and missed its mark: said once, at the last of them. */
  const lastOff = $derived.by(() => {
    const last = items.findLast((i) => run.state.weighed.has(i.id));
    const grams = last && run.state.weighed.get(last.id)?.grams;
    const planned = last && run.planned.find((l) => l.id === last.lines[0]);
    if (!last || grams === undefined || !planned || last.id !== planned.id) return undefined;
    const lines = run.lines.map((l) => (l.id === planned.id ? planned : l));
    return { item: last, over: run.overPour(last, grams, lines) };
  });

  const bowls = $derived(run.household.pans.filter((p) => p.grams !== undefined));
  let bowlId = $state('');
  const bowl = $derived(bowls.find((b) => b.id === bowlId));

  function tick(item: WeighingItem) {
    if (run.state.weighed.has(item.id)) run.unweigh(item);
    else run.weigh(item);
  }

  function other(item: WeighingItem) {
    editing = item.id;
    typed = asMassNumber(run.state.weighed.get(item.id)?.grams ?? item.grams);
    fault = '';
  }

  function enter(event: SubmitEvent, item: WeighingItem) {
    event.preventDefault();
    const number = numberTyped(typed, writing());
    const grams = number === undefined ? NaN : gramsTyped(number, writing());
    if (!(grams >= 0 && grams <= mostGrams)) {
      fault = say('A weight, such as 402 or 8.5');
      return;
    }
    run.weigh(item, grams, true);
    editing = undefined;
  }

  const inMeasure = (item: WeighingItem) =>
    item.ingredient === 'starter'
      ? undefined
      : measureText(item.grams, run.ingredient(item.ingredient), run.household.measures);

  const batches = [0.5, 1, 2] as const;
  const begun = $derived(isIn.size > 0);
  const share = $derived(run.state.batch ?? 1);
  const custom = $derived(run.household.custom);
  const flour = $derived(totals(run.planned)?.flourGrams ?? 0);
</script>

<div class="grid gap-3">
  {#if live && next}
    <section class="bowl grid gap-1 p-4" aria-label="On the scale">
      <p class="text-lg"><b>{next.name}</b> {say(next.hint ?? '')}</p>
      {#if live.standing === 'lifted'}
        <p class="live">the bowl is off</p>
        <p>Put it back: it goes on where it was.</p>
      {:else if bySpoon}
        <p class="live">{asMass(next.grams)}</p>
        <p>
          So little this scale does not show: by the spoon{inMeasure(next)
            ? `, ${inMeasure(next)}`
            : ''}.
        </p>
      {:else if live.standing === 'waiting'}
        <p class="live">waiting for the scale to rest</p>
      {:else}
        <p class="live" aria-live="off">
          {asMassNumber(Math.max(0, live.grams))}<span class="of"
            >{` of ${asMass(next.grams)}`}</span
          >
        </p>
        <progress max={next.grams} value={Math.min(next.grams, Math.max(0, live.grams))}></progress>
        {#if inside > 0}
          <p class="quiet">
            In already: {items
              .filter((i) => isIn.has(i.id))
              .map((i) => `${i.name} ${asMass(run.state.weighed.get(i.id)!.grams)}`)
              .join(', ')}
          </p>
        {/if}
      {/if}
      {#if live.standing === 'over' && !bySpoon}
        <p class="font-semibold text-act" role="alert">
          {asMass(live.grams - next.grams)} over.
          {shownOver ? say(shownOver.says) : 'So little is not felt.'}
        </p>
      {/if}
      <div class="flex flex-wrap gap-2">
        {#if bySpoon}
          <button class="knob knob-act min-h-14" type="button" onclick={() => run.weigh(next)}
            >It is in</button
          >
        {:else if live.standing === 'over'}
          {#if shownOver?.fix}
            {@const { line, name, grams } = shownOver.fix}
            <button
              class="knob knob-act min-h-14"
              type="button"
              onclick={() => {
                run.moreOf(line, grams, `${asMass(live.grams - next.grams)} over on ${next.name}`);
                run.weigh(next, live.grams, true);
              }}>{asMass(grams)} more {name}</button
            >
          {/if}
          <button
            class="knob min-h-14"
            type="button"
            onclick={() => run.weigh(next, live.grams, true)}>Leave it</button
          >
        {:else if live.grams > 0 && live.standing !== 'lifted'}
          <button
            class="knob min-h-14"
            type="button"
            onclick={() => run.weigh(next, live.grams, true)}>That is all of it</button
          >
        {/if}
        <button class="knob min-h-14" type="button" onclick={() => weigher.again()}
          >Count from here</button
        >
      </div>
    </section>
  {/if}

  {#if water && step.kind === 'weigh'}
    <p class="text-lg first-letter:uppercase">
      {water.name} at <b class="text-2xl tabular-nums">{asWarmth(water.celsius)}</b>, for a dough of {asWarmth(
        run.view.bread.dough,
      )}.
    </p>
  {/if}
  <ol class="items" aria-label="To weigh">
    {#each items as item (item.id)}
      {@const weighed = run.state.weighed.get(item.id)}
      {@const isNext = next?.id === item.id}
      <li class:done={weighed} class:next={isNext}>
        <button
          class="tick"
          type="button"
          aria-pressed={weighed !== undefined}
          onclick={() => tick(item)}
        >
          <span class="box" aria-hidden="true"
            >{#if weighed}<Check size={26} strokeWidth={3} />{/if}</span
          >
          <span class="what">
            <span class="name">{item.name}</span>
            <span class="quiet"
              >{say([inMeasure(item), item.hint].filter(Boolean).join(' · '))}</span
            >
          </span>
          <span class="amount">{asMass(weighed?.grams ?? item.grams)}</span>
        </button>
        {#if editing === item.id}
          <form class="other" onsubmit={(e) => enter(e, item)}>
            <!-- svelte-ignore a11y_autofocus -->
            <input
              class="field min-h-14 w-24 text-right text-lg"
              inputmode="decimal"
              aria-label="Grams of {item.name} on the scale"
              aria-invalid={fault ? 'true' : undefined}
              bind:value={typed}
              autofocus
            />
            <button class="knob min-h-14" type="submit">it is</button>
            {#if fault}<span class="text-act" role="alert">{fault}</span>{/if}
          </form>
        {:else}
          <span class="sides">
            <button
              class="edit"
              type="button"
              onclick={() => other(item)}
              aria-label="The scale shows another amount of {item.name}">other</button
            >
            {#if !weighed && !item.whole && item.lines.length === 1}
              <button
                class="edit"
                type="button"
                aria-expanded={missing === item.id}
                onclick={() => (missing = missing === item.id ? undefined : item.id)}
                aria-label="There is no {item.name}">none left</button
              >
            {/if}
          </span>
        {/if}
        {#if missing === item.id}
          <div class="instead">
            {#each run.choices(item).slice(0, 8) as choice (choice.id)}
              <button
                class="knob min-h-14"
                type="button"
                onclick={() => {
                  fault = run.takeInstead(item.lines[0]!, choice.id, choice.label) ?? '';
                  if (!fault) missing = undefined;
                }}>{choice.label}</button
              >
            {:else}
              <p class="quiet">Nothing here takes the place of {item.name}.</p>
            {/each}
            {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
          </div>
        {/if}
      </li>
    {/each}
  </ol>

  {#if lastOff?.over}
    <div class="flex flex-wrap items-center gap-2" role="status">
      <p class="basis-full">{lastOff.item.name}: {say(lastOff.over.says)}</p>
      {#if lastOff.over.fix}
        {@const { line, name, grams } = lastOff.over.fix}
        <button
          class="knob min-h-14"
          type="button"
          onclick={() => run.moreOf(line, grams, `for ${lastOff.item.name}`)}
          >{asMass(grams)} more {name}</button
        >
      {/if}
    </div>
  {/if}
  {#each run.state.instead as change (change.event)}
    <p class="flex flex-wrap items-center gap-2">
      <span>{change.says}</span>
      <button class="knob min-h-14" type="button" onclick={() => run.retract(change.event)}
        >Not so</button
      >
    </p>
  {/each}

  <div class="grid items-start gap-3 sm:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
    <PanDrawing
      {items}
      weighed={isIn}
      next={next?.id}
      label={inside > 0 ? `${asMass(inside)} are in` : 'nothing is in yet'}
    />
    <div class="grid gap-3">
      {#if step.kind === 'weigh' && run.level && begun}
        <div>
          <p class="quiet">
            With what is in so far as it was weighed, and the rest as it is wanted:
          </p>
          <Level level={run.level} window={run.window} label="Where the dough will stand" />
        </div>
      {/if}
      {#if bowls.length > 0}
        <label class="quiet grid gap-1"
          >It stands in
          <select class="field min-h-14 text-base text-ink" bind:value={bowlId}>
            <option value="">a bowl that was tared</option>
            {#each bowls as b (b.id)}<option value={b.id}>{b.name}, {asMass(b.grams!)}</option
              >{/each}
          </select>
        </label>
        {#if bowl}
          <p>
            With {bowl.name} a scale that was not tared shows
            <b class="tabular-nums">{asMass(bowl.grams! + inside)}</b>{next
              ? ', then '
              : ''}{#if next}<b class="tabular-nums">{asMass(bowl.grams! + inside + next.grams)}</b
              >{/if}.
          </p>
        {/if}
      {/if}
      {#if step.kind === 'weigh' && !begun}
        <div class="flex flex-wrap items-center gap-2" role="group" aria-label="How much of it">
          {#each batches as of (of)}
            <button
              class="knob min-h-14"
              type="button"
              aria-pressed={share === of}
              onclick={() => run.say('batch', { share: of })}
              >{of === 0.5 ? 'Half of it' : of === 1 ? 'As written' : 'Twice'}</button
            >
          {/each}
        </div>
      {/if}
      {#if custom && flour >= custom.fromFlour}
        <p class="border-l-4 border-rim pl-3">
          {custom.name}: with {asMass(flour)} of flour, {asMass(custom.grams)} of dough are set aside
          when it is divided.
        </p>
      {/if}
      {#if run.atSignal.length > 0 && step.kind === 'weigh'}
        <p class="quiet">
          Weighed beside it, for later: {run.atSignal
            .map((i) => `${i.name} ${asMass(i.grams)}`)
            .join(', ')}.
        </p>
      {/if}
    </div>
  </div>
</div>

<style>
  .live {
    font-size: 3.25rem;
    font-weight: 750;
    line-height: 1;
  }
  .of {
    font-size: 1.5rem;
    color: var(--soft);
  }
  progress {
    width: 100%;
    height: 1rem;
    overflow: hidden;
    appearance: none;
    border: 1.5px solid var(--rim);
    border-radius: 2px 2px 8px 8px;
    background: var(--sunk);
  }
  progress::-webkit-progress-bar {
    background: var(--sunk);
  }
  progress::-webkit-progress-value {
    background: var(--rim);
  }
  progress::-moz-progress-bar {
    background: var(--rim);
  }
  .items {
    display: grid;
    gap: 0.35rem;
  }
  li {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    border: 1.5px solid var(--line);
    border-radius: 3px 3px 14px 14px;
    background: var(--enamel);
  }
  li.next {
    border: 3px solid var(--act);
  }
  li.done {
    background: var(--sunk);
  }
  .tick {
    display: grid;
    flex: 1;
    grid-template-columns: 2.6rem minmax(0, 1fr) auto;
    align-items: center;
    gap: 0.75rem;
    min-height: 3.9rem;
    padding: 0.25rem 0.8rem;
    text-align: left;
  }
  .box {
    display: grid;
    width: 2.4rem;
    height: 2.4rem;
    place-items: center;
    border: 2.5px solid var(--rim);
    border-radius: 4px 4px 12px 12px;
    color: var(--rim);
  }
  .done .box {
    background: var(--rim);
    color: var(--on-rim);
  }
  .what {
    display: grid;
  }
  .name {
    font-size: 1.25rem;
    font-weight: 650;
    line-height: 1.2;
  }
  .amount {
    font-size: 2.5rem;
    font-weight: 700;
    line-height: 1;
    white-space: nowrap;
  }
  .done .amount {
    color: var(--soft);
  }
  .sides {
    display: grid;
    grid-auto-flow: column;
  }
  .edit {
    min-width: 3.5rem;
    min-height: 3.5rem;
    color: var(--soft);
    text-decoration: underline;
    text-underline-offset: 3px;
  }
  .other,
  .instead {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem;
    align-items: center;
    padding: 0 0.8rem 0.4rem;
  }
  .instead {
    flex-basis: 100%;
  }
  @media (max-width: 520px) {
    li {
      display: grid;
    }
    .tick {
      gap: 0.5rem;
      padding: 0.35rem 0.5rem 0;
    }
    .name {
      font-size: 1.15rem;
    }
    .sides {
      justify-content: end;
    }
  }
</style>
