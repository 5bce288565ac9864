<script lang="ts">
  import { goto } from '$app/navigation';
  import { dayOf, runOf, toBuy, toHave } from '@tender-crumb/core/lead';
  import { firstLoaves } from '@tender-crumb/core/exchange';
  import { hoursText } from '@tender-crumb/core/quantity';
  import { nanoid } from 'nanoid';
  import { beginBake } from '$lib/sync/begin.ts';
  import { draftEntry } from '$lib/sync/kinds.ts';
  import { mustSay } from '$lib/sync/said.ts';
  import Explain from '$lib/ui/Explain.svelte';
  import { asMass, say } from '$lib/ui/writing.ts';
  import type { PageProps } from './$types';
  import { tapped } from '$lib/clock.ts';

  let { data }: PageProps = $props();

  /** Those that somebody who never baked brings off: yeast, a bowl, an oven. */
  const names = ['White tin loaf', 'Plain rolls', 'Hearth loaf without kneading'];
  const offered = firstLoaves.filter((l) => names.includes(l.name));
  let chosen = $state(0);
  const loaf = $derived(offered[chosen]!);
  const run = $derived(
    runOf({
      id: 'first',
      formula: loaf,
      device: 'hand',
      events: [],
      household: data.household,
      belief: data.belief,
    }),
  );
  const day = $derived(dayOf(run.tasks));
  let fault = $state('');
  /** Pressed twice it is one loaf. */
  const id = nanoid();

  async function begin() {
    fault = '';
    try {
      const formulaId = `${id}-${chosen}`;
      await mustSay(draftEntry({ id: formulaId, version: 0, draft: formulaId, formula: loaf }));
      await beginBake(
        {
          id: formulaId,
          formulaId,
          draft: formulaId,
          method: 'hand',
          events: [{ id: 'guided', ...tapped(), kind: 'guided', data: { on: true } }],
        },
        { ...data, formula: loaf },
      );
      await goto(`/bake/${formulaId}`);
    } catch (refusal) {
      fault = `It could not begin: ${(refusal as Error).message}`;
    }
  }
</script>

<svelte:head><title>A first loaf · Tender Crumb</title></svelte:head>

<div class="mx-auto grid max-w-4xl gap-4">
  <p><a class="link touch" href="/bake">Bake day</a></p>
  <h1 class="text-3xl">A first loaf</h1>
  <p class="text-lg">
    Never baked? Choose one. We lead you step by step, from shopping to cutting.
  </p>
  <div class="flex flex-wrap gap-2" role="group" aria-label="Which bread">
    {#each offered as { name }, i (name)}
      <button
        class="knob min-h-14 text-lg"
        class:knob-act={i === chosen}
        type="button"
        aria-pressed={i === chosen}
        onclick={() => (chosen = i)}>{name}</button
      >
    {/each}
  </div>
  <div class="grid items-start gap-4 md:grid-cols-2">
    <section class="bowl p-4" aria-labelledby="buy">
      <h2 id="buy" class="text-xl">Buy this</h2>
      <ul class="mt-2 grid gap-2">
        {#each toBuy(loaf) as { name, grams, pack } (name)}
          <li class="flex items-baseline justify-between gap-3 border-t border-line pt-2">
            <span class="text-lg font-semibold"
              >{name}
              {#if pack}<span class="quiet block font-normal">{pack}</span>{/if}</span
            >
            <b class="text-2xl whitespace-nowrap">{asMass(grams)}</b>
          </li>
        {/each}
      </ul>
    </section>
    <section class="bowl grid gap-3 p-4" aria-labelledby="have">
      <h2 id="have" class="text-xl">Have this at hand</h2>
      <ul class="grid list-disc gap-1 pl-5 text-lg">
        {#each toHave(loaf) as thing (thing)}<li>{thing}</li>{/each}
      </ul>
      <p class="text-lg">
        It takes about <b>{hoursText(day.minutes / 60)}</b>, of which your hands work
        <b>{hoursText(day.hands / 60)}</b>. The rest it <Explain word="first rise">rises</Explain>,
        bakes and cools by itself.
      </p>
    </section>
  </div>
  <section class="bowl p-4" aria-labelledby="way">
    <h2 id="way" class="text-xl">The way there</h2>
    <ol class="mt-2 grid list-decimal gap-1 pl-6 text-lg">
      {#each run.steps as step (step.id)}
        <li><b>{step.label}</b>{step.until ? `: until ${say(step.until)}` : ''}</li>
      {/each}
    </ol>
    <p class="quiet mt-2">{say(loaf.notes ?? '')}</p>
  </section>
  <div>
    <button class="knob knob-act knob-large" type="button" onclick={begin}
      >Everything is here: begin</button
    >
  </div>
  {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
</div>
