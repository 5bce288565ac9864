<script lang="ts">
  import { weighedGrams } from '@tender-crumb/core/hands';
  import { type RunStep } from '@tender-crumb/core/lead';
  import { warmsFirst } from '@tender-crumb/core/course';
  import { totals } from '@tender-crumb/core/formula';
  import { usualBaker } from '@tender-crumb/core/household';
  import { standIns } from '../devices/stand-ins.svelte.ts';
  import Level from '../level/Level.svelte';
  import PanDrawing from '../drawing/PanDrawing.svelte';
  import { asMass, asWarmth, say } from '../ui/writing.ts';
  import type { Run } from './run.svelte.ts';
  import ScaleCard from './ScaleCard.svelte';
  import WarmthNote from './WarmthNote.svelte';
  import WeighRow from './WeighRow.svelte';

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

  const items = $derived(run.view.itemsOf(step));
  const next = $derived(items.find((i) => !run.view.state.weighed.has(i.id)));
  const isIn = $derived(
    new Set(items.filter((i) => run.view.state.weighed.has(i.id)).map((i) => i.id)),
  );
  const inside = $derived(weighedGrams(items, run.view.state));

  /** What was weighed by hand and missed its mark: said once, at the last of them. */
  const lastOff = $derived.by(() => {
    const last = items.findLast((i) => run.view.state.weighed.has(i.id));
    const grams = last && run.view.state.weighed.get(last.id)?.grams;
    const planned = last && run.view.planned.find((l) => l.id === last.lines[0]);
    if (!last || grams === undefined || !planned || last.id !== planned.id) return undefined;
    const lines = run.view.lines.map((l) => (l.id === planned.id ? planned : l));
    return { item: last, over: run.view.overPour(last, grams, lines) };
  });

  const bowls = $derived(run.household.pans.filter((p) => p.grams !== undefined));
  let bowlId = $state('');
  const bowl = $derived(bowls.find((b) => b.id === bowlId));

  const batches = [0.5, 1, 2] as const;
  const begun = $derived(isIn.size > 0);
  const share = $derived(run.view.state.batch ?? 1);
  const custom = $derived(run.household.custom);
  const flour = $derived(totals(run.view.planned)?.flourGrams ?? 0);
  /** Its flour is of a sack that nobody has baked with yet. */
  const newSack = $derived(run.view.state.sack === 'new');
</script>

<div class="grid gap-3">
  {#if next && standIns.scale.reading}
    <ScaleCard {run} {items} item={next} listens={step.standing !== 'done'} />
  {/if}

  {#if run.view.bread.mixings && step.kind === 'weigh'}
    <p class="text-lg">
      In <b>{run.view.bread.mixings.count} mixings</b>, {asMass(run.view.bread.mixings.flour)} of flour
      each: the mixer takes no more. The small figures are for one.
    </p>
  {/if}
  {#if water && step.kind === 'weigh' && !(run.view.course && warmsFirst(run.view.course))}
    <div class="flex flex-wrap items-end justify-between gap-x-4 gap-y-2">
      <!-- Once it is mixed the bread's own warmth is known, and no water is wanted for that. -->
      {#if run.view.state.warmth.dough === undefined}
        <p class="text-lg first-letter:uppercase">
          {water.name} at <b class="text-2xl tabular-nums">{asWarmth(water.celsius)}</b>, for a
          dough of {asWarmth(run.view.bread.dough)}.
        </p>
      {/if}
      <WarmthNote {run} places={['water']} liquid={water.name} />
    </div>
  {/if}
  {#if step.kind === 'weigh' && run.view.byCup && run.household.bakers.length > 1}
    <div class="flex flex-wrap items-center gap-2" role="group" aria-label="Who fills the cups">
      <span class="quiet">Cups filled by</span>
      {#each run.household.bakers as { id, name } (id)}
        <button
          class="knob min-h-14"
          type="button"
          aria-pressed={(run.view.state.baker ?? usualBaker) === id}
          onclick={() => run.bakedBy(id)}>{name}</button
        >
      {/each}
    </div>
  {/if}
  <ol class="items" aria-label="To weigh">
    {#each items as item (item.id)}
      <WeighRow {run} {item} next={next?.id === item.id} />
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
  {#each run.view.state.instead as change (change.event)}
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
      label={inside > 0 ? `${asMass(inside)} in` : 'empty'}
    />
    <div class="grid gap-3">
      {#if step.kind === 'weigh' && run.view.level && begun}
        <div>
          <p class="quiet">With what you weighed so far:</p>
          <Level
            level={run.view.level}
            window={run.view.window}
            label="Where the dough will stand"
          />
        </div>
      {/if}
      {#if bowls.length > 0}
        <label class="quiet grid gap-1"
          >Bowl
          <select class="field min-h-14 text-base text-ink" bind:value={bowlId}>
            <option value="">tared to zero</option>
            {#each bowls as b (b.id)}<option value={b.id}>{b.name}, {asMass(b.grams!)}</option
              >{/each}
          </select>
        </label>
        {#if bowl}
          <p>
            With {bowl.name}, the scale shows
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
              >{of === 0.5 ? 'Half' : of === 1 ? 'As written' : 'Double'}</button
            >
          {/each}
          <button
            class="knob min-h-14"
            type="button"
            aria-pressed={newSack}
            onclick={() => run.say('sack', { sense: newSack ? 'neither' : 'new' })}
            >New sack of flour</button
          >
        </div>
      {/if}
      {#if custom && flour >= custom.fromFlour}
        <p class="border-l-4 border-rim pl-3">
          {custom.name}: set {asMass(custom.grams)} of dough aside when you divide it.
        </p>
      {/if}
      {#if run.view.atSignal.length > 0 && step.kind === 'weigh'}
        <p class="quiet">
          Weigh separately, for later: {run.view.atSignal
            .map((i) => `${i.name} ${asMass(i.grams)}`)
            .join(', ')}.
        </p>
      {/if}
    </div>
  </div>
</div>

<style>
  .items {
    display: grid;
    gap: 0.35rem;
  }
</style>
