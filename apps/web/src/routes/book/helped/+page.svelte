<script lang="ts">
  import { effectText, outcomes, type Effect } from '@tender-crumb/core/book';
  import { styles } from '@tender-crumb/core/style';
  import { trying, type Asked } from '@tender-crumb/core/formula';
  import { capital } from '@tender-crumb/core/quantity';
  import { nanoid } from 'nanoid';
  import { goto } from '$app/navigation';
  import { draftEntry } from '$lib/sync/kinds.ts';
  import { mustSay } from '$lib/sync/said.ts';
  import { refresh } from '$lib/ui/refresh.ts';
  import BreadPicker from '$lib/book/BreadPicker.svelte';
  import FindBread from '$lib/book/FindBread.svelte';
  import WindowDots from '$lib/book/WindowDots.svelte';
  import Either from '$lib/ui/Either.svelte';
  import { asPoints, say } from '$lib/ui/writing.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();

  const { there, result, looks, style, wanted } = $derived(data);
  const outcome = $derived(result?.outcome);
  const judge = (by: string) =>
    goto(`/book/helped?${new URLSearchParams({ formula: data.bread ?? '', by })}`, {
      keepFocus: true,
      noScroll: true,
    });

  const asked = $derived(data.head?.formula.asked);
  let fault = $state('');

  /** Asks beforehand whether a change helps, or ends that. */
  async function ask(trial: Pick<Asked, 'key' | 'says' | 'from' | 'to'> | undefined) {
    if (!data.head || !data.bread || !outcome) return;
    const asked = trial && { ...trial, by: outcome, askedOn: data.today ?? '' };
    const formula = trying(data.head.formula, asked);
    fault = '';
    try {
      await mustSay(
        draftEntry({ id: data.bread, version: data.head.version, draft: nanoid(), formula }),
      );
      await refresh();
    } catch (refusal) {
      fault = `Not kept: ${(refusal as Error).message}`;
    }
  }

  /** How far a verdict goes, as somebody would say it who knows how few bakes it rests on. */
  const sentence = ({ conclusion, with: times, without, together }: Effect): string => {
    const few = Math.min(times, without);
    const rests = `${times} with it, ${without} without`;
    const also = together.join(' and ');
    const it = also === '' ? 'It' : `It, or ${also},`;
    const tied = also === '' || few < 3 ? '' : ' We cannot tell which.';
    const says: Record<Effect['conclusion'], string> = {
      helped: `${it} helped (${rests}).`,
      hurt: `${it} made it worse (${rests}).`,
      'perhaps helped': `${it} may have helped, or it was chance (${rests}).`,
      'perhaps hurt': `${it} may have made it worse, or it was chance (${rests}).`,
      'no telling': few < 3 ? `Too few to tell (${rests}).` : `No clear difference (${rests}).`,
    };
    return conclusion === 'no telling' ? says[conclusion] : says[conclusion] + tied;
  };
</script>

<svelte:head><title>What helped · Tender Crumb</title></svelte:head>

<div class="mb-3 flex flex-wrap items-center justify-between gap-3">
  <h1>What helped?</h1>
  {#if data.bread}<BreadPicker
      breads={data.breads}
      find={data.find}
      bread={data.bread}
      to={(id) => `/book/helped?formula=${id}`}
    />{/if}
</div>

{#if !data.bread && data.find}
  <FindBread find={data.find} shown={0} total={0} />
  <p class="bowl mt-3 p-6">No bread of that name was baked here.</p>
{:else if !data.bread}
  <p class="bowl p-6">Bake a bread a few times to see what each change did.</p>
{:else}
  <div class="grid items-start gap-4 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
    <section class="bowl grid gap-3 p-4" aria-labelledby="changes">
      <div class="flex flex-wrap items-center justify-between gap-2">
        <h2 id="changes" class="text-lg">What you changed</h2>
        {#if there.length > 1 && outcome}
          <Either
            label="By what it is judged"
            value={outcome}
            choices={there.map((id) => [id, outcomes[id].says] as const)}
            onpick={(id) => void judge(id)}
          />
        {/if}
      </div>
      {#if !result || !outcome}
        <p>
          This needs two bakes with a result. The book has {data.bakes}.
        </p>
      {:else if result.effects.length === 0}
        <p>These {result.bakes} bakes were made alike.</p>
      {:else}
        <ul class="grid gap-3">
          {#each result.effects as effect (effect.key)}
            <li class="grid gap-0.5 border-t border-line pt-2">
              <p>
                <b>{say(`${effect.says} ${effect.to}`)}</b>
                <span class="quiet">instead of {say(effect.from)}</span>
              </p>
              <p class={effect.conclusion === 'no telling' ? 'quiet' : 'font-semibold'}>
                {say(sentence(effect))}
              </p>
              <p class="quiet">
                {capital(effectText(outcome, effect.effect, effect.giveOrTake))}{effect.alike ===
                  undefined || effect.conclusion === 'no telling'
                  ? ''
                  : `. Chance alone looks as clear in ${effect.alike < 1 ? 'less than 1' : effect.alike} of 100 books`}.
              </p>
            </li>
          {/each}
        </ul>
        <p class="quiet">
          From {result.bakes} bakes, all changes weighed together. We look again at {result.nextLook}
          bakes: looking too often finds causes by chance.
        </p>
      {/if}
    </section>
    <div class="grid gap-4">
      {#if asked && data.turn}
        {@const answer = result?.effects.find((e) => e.key === asked.key)}
        <section class="bowl grid gap-2 p-4" aria-labelledby="asked">
          <h2 id="asked" class="text-lg">You are trying: {say(`${asked.says} ${asked.to}`)}</h2>
          <p class="text-lg font-semibold">
            Next bake: {data.turn.next === 'with'
              ? say(`${asked.says} ${asked.to}`)
              : say(`${asked.says} ${asked.from}, as usual`)}.
          </p>
          <p>
            {data.turn.left} more {data.turn.left === 1 ? 'bake' : 'bakes'}, with and without in
            turn.
          </p>
          {#if answer}
            <p class={answer.conclusion === 'no telling' ? 'quiet' : 'font-semibold'}>
              So far: {say(sentence(answer))}{answer.alike === undefined
                ? ''
                : ` Chance alone looks as clear in ${answer.alike < 1 ? 'less than 1' : answer.alike} of 100 books.`}
            </p>
          {/if}
          <div>
            <button class="knob" type="button" onclick={() => ask(undefined)}>End the trial</button>
          </div>
          {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
        </section>
      {:else if result?.trial}
        <section class="bowl grid gap-1 p-4" aria-labelledby="trial">
          <h2 id="trial" class="text-lg">What to try next</h2>
          <p class="text-lg">{say(result.trial.says)}</p>
          <p class="quiet">
            One bake makes this about {Math.round(100 * result.trial.narrows)} % surer, more than any
            other.
          </p>
          {#if data.head}
            <p>
              Best in turn: with it, without it, until you have {result.nextLook} bakes.
            </p>
            <div>
              <button class="knob" type="button" onclick={() => ask(result.trial?.asks)}
                >Try it in turn</button
              >
            </div>
            {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
          {/if}
        </section>
      {/if}
      {#if style && wanted}
        <section class="bowl grid gap-2 p-4" aria-labelledby="window">
          <h2 id="window" class="text-lg">Your window for this bread</h2>
          <WindowDots {looks} window={wanted.window} usual={wanted.style} />
          <p>
            {#if wanted.looks === 0}
              No loaf with a result yet. The usual window of {styles[style].inSentence} is
              {asPoints(wanted.style[0])} to {asPoints(wanted.style[1])}.
            {:else}
              <b>{asPoints(wanted.window[0])} to {asPoints(wanted.window[1])}</b>, by
              {wanted.looks}
              {wanted.looks === 1 ? 'loaf' : 'loaves'}. Usual for {styles[style].inSentence}:
              {asPoints(wanted.style[0])} to {asPoints(wanted.style[1])}.
            {/if}
          </p>
        </section>
      {/if}
    </div>
  </div>
{/if}
