<script lang="ts">
  import { takeCorrection, type Formula } from '@tender-crumb/core/formula';
  import { gramsText, hoursText } from '@tender-crumb/core/quantity';
  import { keptBack, type TimedBake } from '@tender-crumb/core/schedule';
  import { fedAgo, fedAgoAt, fedAgoIds, fedAt, type FedAgo } from '@tender-crumb/core/starter';
  import { nanoid } from 'nanoid';
  import { question } from '../question.ts';
  import { draftEntry } from '../sync/kinds.ts';
  import { mustSay } from '../sync/said.ts';
  import { later } from '../ui/later.ts';
  import type { Planning } from './planning.svelte.ts';
  import RecipeMarks from './RecipeMarks.svelte';
  import { timeText } from './when.ts';
  import { asMass, asWarmth, say as said } from '../ui/writing.ts';

  const dinner = later(() => import('./DinnerMoved.svelte'));

  let {
    planning,
    bake,
    onchange,
  }: { planning: Planning; bake: TimedBake; onchange: () => Promise<unknown> } = $props();

  const plan = $derived(planning.planOf(bake.id));
  const steps = $derived(planning.steps.filter((s) => s.bake === bake.id));
  const ready = $derived(steps.at(-1)?.end);
  const begun = $derived(plan?.bakeId);
  let fault = $state('');

  const hasStarter = $derived(
    planning.data.formulas[bake.id]?.stages.some((s) => s.kind === 'starter') ?? false,
  );
  /** What was said of its last feeding. */
  const fed = $derived(plan?.fed ? fedAgoAt(plan.fed.at, planning.now.toISOString()) : '');
  async function say(ago: FedAgo | '') {
    await planning.change(bake.id, ({ fed: before, ...rest }) => {
      void before;
      if (ago === '') return rest;
      return { ...rest, fed: { at: fedAt(ago, planning.now.toISOString()), keptAt: 'fridge' } };
    });
  }

  /** Makes the formula's leaven fit the time that the plan has for its first rise. */
  async function take() {
    const { leaven } = bake;
    if (!plan || !leaven || !('changes' in leaven)) return;
    fault = '';
    try {
      const stored = await question<{ version: number; formula: Formula }>(
        `/api/v1/formulas/${plan.formulaId}`,
      );
      const rise = steps.find((s) => s.kind === 'first-rise');
      const formula = takeCorrection(stored.formula, {
        correction: `yeast:${leaven.ingredient}:rise`,
        reason: `${gramsText(leaven.grams)} of ${leaven.name} has the first rise ready in ${hoursText((rise?.minutes ?? 0) / 60)}`,
        basis: 'rise model, for the plan',
        changes: leaven.changes,
      });
      const { version } = stored;
      await mustSay(draftEntry({ id: plan.formulaId, version, draft: nanoid(), formula }));
      await onchange();
    } catch (refusal) {
      fault = `The formula was not changed: ${(refusal as Error).message}`;
    }
  }
</script>

<section class="bowl grid gap-2 p-3" aria-label={bake.name}>
  <div class="flex flex-wrap items-baseline justify-between gap-2">
    <h3 class="text-lg font-bold">{bake.name}</h3>
    {#if ready}
      <span class:text-act={bake.late}
        >{bake.late ? 'late: ' : ''}ready
        <b>{timeText(ready, planning.data.zone, planning.now)}</b></span
      >
    {/if}
  </div>
  {#if planning.data.trials?.[bake.id]}
    <p class="border-l-4 border-act pl-3 font-semibold">{said(planning.data.trials[bake.id]!)}</p>
  {/if}
  {#if bake.label}
    <p class="quiet">Rises {bake.label}: {bake.says}.</p>
  {/if}
  {#if bake.notWritten}<p class="text-act">{bake.notWritten}</p>{/if}
  {#if hasStarter && plan && !begun && !plan.ripe}
    <label class="no-print quiet flex flex-wrap items-center gap-2"
      >Starter last fed
      <select class="field text-base text-ink" bind:value={() => fed, say}>
        <option value="">{plan.fed ? 'as its jar says' : 'not said'}</option>
        {#each fedAgoIds as id (id)}<option value={id}>{fedAgo[id].label}</option>{/each}
      </select>
    </label>
  {/if}
  {#if bake.wakes}
    <p>
      The starter was last fed long ago: {bake.wakes === 1
        ? 'one feeding wakes'
        : 'two feedings wake'}
      it first.
    </p>
  {/if}
  {#each bake.feedings as { stage, feeding, by } (stage)}
    <p>
      Feed: <b>{asMass(feeding.seed)}</b> of starter, <b>{asMass(feeding.flour)}</b> of flour,
      <b>{asMass(feeding.water)}</b> of water; {asMass(keptBack)} stay in the jar{by === 'recipe'
        ? ', as in the recipe'
        : by === 'time'
          ? ', to fit the time'
          : ''}.
    </p>
  {/each}
  {#if bake.leaven && 'changes' in bake.leaven}
    <p>
      <b>{asMass(bake.leaven.grams)}</b> of {bake.leaven.name} in place of {asMass(
        bake.leaven.now,
      )}, to fit the time ({asMass(bake.leaven.low)} to {asMass(bake.leaven.high)} is fine).
      {#if bake.leaven.changes.length > 0 && !begun}
        <button class="knob touch" type="button" onclick={take}>Change the recipe</button>
      {/if}
    </p>
  {/if}
  {#if bake.water}
    <p>
      <span class="inline-block first-letter:uppercase">{bake.water.name}</span> at
      <b>{asWarmth(bake.water.celsius)}</b>{bake.water.beyond ? ', the most possible' : ''}.
    </p>
  {/if}
  {#if !begun}
    {#await dinner() then { default: DinnerMoved }}
      <DinnerMoved {planning} bake={bake.id} {ready} />
    {/await}
  {/if}
  {#if planning.recipes[bake.id]}<RecipeMarks sentences={planning.recipes[bake.id]!} />{/if}
  {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
  <p class="no-print flex flex-wrap gap-2">
    {#if begun}
      <a class="knob touch" href="/bake/{begun}">Open this bake</a>
    {:else if plan}
      <a class="knob touch" href="/bench/{plan.formulaId}">Open the recipe</a>
    {/if}
    {#if !begun}<button class="knob touch" type="button" onclick={() => void planning.drop(bake.id)}
        >Remove</button
      >{/if}
  </p>
</section>
