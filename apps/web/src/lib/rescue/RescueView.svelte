<script lang="ts">
  import { goto } from '$app/navigation';
  import {
    hoursText,
    numberTyped,
    stateAt,
    styleIds,
    styles,
    type Belief,
    type Formula,
    type Household,
    type StyleId,
  } from '@tender-crumb/core';
  import X from '@lucide/svelte/icons/x';
  import { nanoid } from 'nanoid';
  import { untrack } from 'svelte';
  import { api } from '../api.ts';
  import DoughDrawing from '../drawing/DoughDrawing.svelte';
  import IngredientPicker from '../sheet/IngredientPicker.svelte';
  import Either from '../ui/Either.svelte';
  import { asMass, say, writing } from '../ui/writing.ts';
  import Causes from './Causes.svelte';
  import { Rescuing, troubles } from './rescuing.svelte.ts';

  let {
    data,
  }: {
    data: {
      household: Household;
      belief: Belief;
      bake?: string;
      formula?: Formula;
      startedAt?: string;
    };
  } = $props();

  const rescue = untrack(() => new Rescuing(data.household, data.belief, data.formula));
  const drawn = [-12, -7, -2, 2, 6, 11, 16] as const;
  let fault = $state('');

  const since = untrack(() =>
    data.startedAt
      ? Math.max(0.5, Math.round((Date.now() - Date.parse(data.startedAt)) / 1_800_000) / 2)
      : undefined,
  );
  if (since !== undefined && since < 48) rescue.rise = { ...rescue.rise, hours: since };

  function grams(i: number, text: string) {
    const value = numberTyped(text, writing());
    if (value === undefined || !(value >= 0 && value <= 20_000)) {
      fault = 'About how many grams, such as 500?';
      return;
    }
    fault = '';
    rescue.change(i, { grams: value });
  }
  function hours(text: string) {
    const value = numberTyped(text, writing());
    if (value === undefined || !(value > 0 && value <= 96)) {
      fault = 'Hours since it was mixed, up to 96.';
      return;
    }
    fault = '';
    rescue.rise = { ...rescue.rise, hours: value };
  }

  /** Pressed twice it is kept once. */
  const id = nanoid();
  async function keep() {
    fault = '';
    try {
      if (data.bake) {
        await goto(`/bake/${data.bake}`);
        return;
      }
      await api('PUT', `/api/v1/formulas/${id}`, {
        version: 0,
        formula: rescue.formula,
        draft: id,
      });
      const { version } = await api<{ version: number }>('GET', `/api/v1/formulas/${id}`);
      await api('POST', '/api/v1/bakes', {
        id,
        formulaId: id,
        formulaVersion: version,
        method: 'hand',
      });
      const now = Date.now();
      const events = [
        { kind: 'step', data: { step: 'weigh', sense: 'done' } },
        { kind: 'step', data: { step: 'mix', sense: 'done' } },
        ...(rescue.felt === undefined
          ? []
          : [{ kind: 'felt', data: { points: rescue.felt, rested: rescue.rested } }]),
      ].map((e, i) => ({ id: `kept-${i}`, at: new Date(now + i).toISOString(), ...e }));
      await api('POST', `/api/v1/bakes/${id}/events`, { events });
      await goto(`/bake/${id}`);
    } catch (refusal) {
      fault = `It could not be kept: ${(refusal as Error).message}`;
    }
  }
</script>

<div class="mx-auto grid max-w-5xl gap-4">
  <h1 class="text-3xl">A dough in trouble</h1>
  <Either
    label="What is wrong"
    size="large"
    value={rescue.trouble}
    choices={troubles}
    onpick={(t) => (rescue.trouble = t)}
  />

  {#if rescue.trouble === 'over'}
    <div class="flex flex-wrap gap-4">
      <Either
        label="Where it is"
        size="large"
        value={rescue.over.where}
        choices={[
          ['bowl', 'in its bowl'],
          ['shaped', 'shaped'],
        ]}
        onpick={(where) => (rescue.over = { ...rescue.over, where })}
      />
      <Either
        label="Its leaven"
        size="large"
        value={rescue.over.leaven}
        choices={[
          ['yeast', 'yeast'],
          ['starter', 'starter'],
        ]}
        onpick={(leaven) => (rescue.over = { ...rescue.over, leaven })}
      />
      <Either
        label="It looks"
        size="large"
        value={rescue.over.looks}
        choices={[
          ['puffy', 'very puffy'],
          ['fallen', 'fallen in'],
          ['liquid', 'liquid'],
        ]}
        onpick={(looks) => (rescue.over = { ...rescue.over, looks })}
      />
      <Either
        label="It smells"
        size="large"
        value={rescue.over.smells}
        choices={[
          ['mild', 'mild'],
          ['of beer', 'of beer'],
          ['sharp', 'sharp, of vinegar'],
        ]}
        onpick={(smells) => (rescue.over = { ...rescue.over, smells })}
      />
    </div>
    <ol class="grid gap-3" aria-label="What can still be saved" aria-live="polite">
      {#each rescue.saves as { id: way, says, why }, i (way)}
        <li class="bowl p-4">
          <p class={i === 0 ? 'text-2xl font-semibold' : 'text-lg'}>{say(says)}</p>
          <p class="quiet">{say(why)}</p>
        </li>
      {/each}
    </ol>
  {:else}
    <div class="grid items-start gap-4 lg:grid-cols-[minmax(0,5fr)_minmax(0,3fr)]">
      <div class="grid gap-4">
        {#if rescue.trouble === 'feel'}
          <section aria-labelledby="looks">
            <h2 id="looks" class="text-lg">What does it look and feel like?</h2>
            <ul class="doughs mt-2">
              {#each drawn as points (points)}
                {@const state = stateAt(points, rescue.style)}
                <li>
                  <button
                    type="button"
                    aria-pressed={rescue.felt === points}
                    onclick={() => (rescue.felt = points)}
                  >
                    <DoughDrawing {points} kind="ball" label={state.says} />
                    <span>{state.short}</span>
                  </button>
                </li>
              {/each}
            </ul>
            <div class="mt-3">
              <Either
                label="When"
                size="large"
                value={rescue.rested ? 'rested' : 'mixed'}
                choices={[
                  ['mixed', 'just mixed'],
                  ['rested', 'it has rested 20 minutes'],
                ]}
                onpick={(when) => (rescue.rested = when === 'rested')}
              />
            </div>
          </section>
          {#if rescue.dough}
            <section class="bowl grid gap-3 p-4" aria-live="polite" aria-label="What to do now">
              <p class="text-2xl font-semibold first-letter:uppercase">
                {say(rescue.dough.advice.says)}
              </p>
              {#if rescue.dough.wait}<p class="text-lg">{say(rescue.dough.wait)}</p>{/if}
              {#if rescue.dough.causes.length > 0}<Causes causes={rescue.dough.causes} />{/if}
            </section>
          {/if}
        {:else}
          <section class="flex flex-wrap items-end gap-4" aria-label="How it is">
            <label class="quiet grid gap-1"
              >Hours since it was mixed
              <input
                class="field min-h-14 w-28 text-right text-lg"
                inputmode="decimal"
                value={rescue.rise.hours}
                onchange={(e) => hours(e.currentTarget.value)}
              /></label
            >
            <label class="quiet grid gap-1"
              >It stands at, °C
              <input
                class="field min-h-14 w-28 text-right text-lg"
                inputmode="decimal"
                placeholder="the room"
                value={rescue.rise.celsius ?? ''}
                onchange={(e) => {
                  const celsius = numberTyped(e.currentTarget.value, writing());
                  const { celsius: gone, ...rest } = rescue.rise;
                  void gone;
                  rescue.rise =
                    celsius !== undefined && celsius >= 0 && celsius <= 45
                      ? { ...rest, celsius }
                      : rest;
                }}
              /></label
            >
            <Either
              label="Its water was"
              size="large"
              value={rescue.rise.water}
              choices={[
                ['cold', 'water cold'],
                ['lukewarm', 'lukewarm'],
                ['hot', 'hot'],
                ['unknown', 'not known'],
              ]}
              onpick={(water) => (rescue.rise = { ...rescue.rise, water })}
            />
            <Either
              label="Its leaven is"
              size="large"
              value={rescue.rise.leaven}
              choices={[
                ['fresh', 'leaven fresh'],
                ['old', 'old, or hungry'],
                ['unknown', 'not known'],
              ]}
              onpick={(leaven) => (rescue.rise = { ...rescue.rise, leaven })}
            />
          </section>
          <section class="bowl grid gap-3 p-4" aria-live="polite" aria-label="What to do now">
            <ol class="grid gap-2">
              {#each rescue.noRise.now as says, i (says)}
                <li class={i === 0 ? 'text-2xl font-semibold' : 'text-lg'}>{say(says)}</li>
              {/each}
            </ol>
            {#if rescue.noRise.expected}
              {@const { low, high } = rescue.noRise.expected}
              <p class="quiet">
                Such a dough is risen after {hoursText(low)} to {hoursText(high)}, 8 times in 10.
              </p>
            {/if}
            <Causes causes={rescue.noRise.causes} />
          </section>
        {/if}
      </div>
      <section class="bowl grid gap-2 p-4" aria-labelledby="went-in">
        <h2 id="went-in" class="text-lg">
          {rescue.isKnown ? 'What went in' : 'What went in, roughly'}
        </h2>
        {#if rescue.isKnown}
          <p>{rescue.formula.name}: as it was weighed.</p>
        {:else}
          <label class="quiet grid gap-1"
            >It was to be
            <select
              class="field min-h-14 text-base text-ink"
              value={rescue.style}
              onchange={(e) => (rescue.style = e.currentTarget.value as StyleId)}
            >
              {#each styleIds as style (style)}<option value={style}>{styles[style].name}</option
                >{/each}
            </select>
          </label>
          <ul class="grid gap-1">
            {#each rescue.went as { ingredient, grams: of }, i (`${ingredient} ${i}`)}
              <li class="flex items-center gap-2">
                <span class="flex-1">{rescue.pantry.ingredient(ingredient).name}</span>
                <input
                  class="field min-h-11 w-24 text-right"
                  inputmode="decimal"
                  aria-label="Grams of {rescue.pantry.ingredient(ingredient).name}"
                  value={of}
                  onchange={(e) => grams(i, e.currentTarget.value)}
                />
                <span class="quiet">g</span>
                <button
                  class="knob touch px-2"
                  type="button"
                  aria-label="No {rescue.pantry.ingredient(ingredient).name}"
                  onclick={() => rescue.drop(i)}><X size={16} /></button
                >
              </li>
            {/each}
          </ul>
          <IngredientPicker
            pantry={rescue.pantry}
            label="Something else that went in"
            placeholder="Something else"
            onpick={(ingredient) => rescue.add(ingredient)}
          />
          <label class="flex min-h-11 items-center gap-2"
            ><input type="checkbox" class="size-5" bind:checked={rescue.sourdough} /> a starter
            raises it, about {asMass(100)}</label
          >
          <p class="quiet">
            By the handful is enough: how unsure that is, the answer takes into account.
          </p>
        {/if}
      </section>
    </div>
  {/if}
  {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
  <div>
    <button class="knob min-h-14 text-lg" type="button" onclick={keep}
      >{data.bake ? 'Back to the bake' : 'Go on with it as a bake'}</button
    >
  </div>
</div>

<style>
  .doughs {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(5rem, 1fr));
    gap: 0.4rem;
  }
  .doughs button {
    width: 100%;
    min-height: 5.4rem;
    padding: 0.9rem 0.35rem 0.3rem;
    border: 2px solid var(--line);
    border-radius: 3px 3px 12px 12px;
    background: var(--enamel);
    font-weight: 600;
  }
  .doughs button[aria-pressed='true'] {
    border-color: var(--rim);
    background: var(--sunk);
  }
</style>
