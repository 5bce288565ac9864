<script lang="ts">
  import { settingsOf } from '@tender-crumb/core/household';
  import { capital } from '@tender-crumb/core/quantity';
  import {
    calls,
    lessons,
    practiceDoughs,
    type Call,
    type LessonId,
    type Sign,
  } from '@tender-crumb/core/practice';
  import { styles } from '@tender-crumb/core/style';
  import { page } from '$app/state';
  import Level from '$lib/level/Level.svelte';
  import CourseCurve from '$lib/practice/CourseCurve.svelte';
  import MovingDough from '$lib/practice/MovingDough.svelte';
  import { Practice } from '$lib/practice/practice.svelte.ts';
  import { saidOfHouse } from '$lib/sync/said.ts';
  import { settledHouse } from '$lib/sync/settled-house.ts';
  import Either from '$lib/ui/Either.svelte';
  import { refresh } from '$lib/ui/refresh.ts';
  import { asPoints } from '$lib/ui/writing.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();

  const practice = new Practice(() => data.called);
  const round = $derived(practice.round);
  const choices = $derived(Object.entries(calls[round.lesson]) as Array<[Call, string]>);
  const window = $derived(styles[practiceDoughs[round.dough].style].window);
  const tests: Record<Sign['test'], string> = {
    eye: 'To look at',
    finger: 'The finger',
    knock: 'To hear',
    windowpane: 'The windowpane',
    poke: 'The poke',
    volume: 'Its height',
    skin: 'Its skin',
  };
  const leaning = $derived(practice.leaning);
  let said = $state('');
  const household = $derived(settledHouse(data.household));

  async function feed() {
    if (!leaning.lean) return;
    const touch = leaning.lean.touch;
    const { says } = await saidOfHouse(settingsOf(household), {
      figures: { ...household.figures, touch },
    });
    said = says;
  }
  async function forget() {
    await practice.forget();
    await refresh();
  }

  function key(event: KeyboardEvent) {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if ((event.target as HTMLElement).closest('input, textarea, select')) return;
    const at = Number(event.key) - 1;
    if (!practice.call && choices[at]) practice.say(choices[at][0]);
    else if (practice.call && event.key === 'n') practice.next();
  }
  // Frames are counted where somebody measures them.
  const measured = $derived(page.url.searchParams.has('frames'));
  const frames: number[] = [];
  const onframe = (ms: number) => {
    if (measured) {
      frames.push(ms);
      (globalThis as { practiceFrames?: number[] }).practiceFrames = frames;
    }
  };
</script>

<svelte:window onkeydown={key} />
<svelte:head><title>Practice · Book · Tender Crumb</title></svelte:head>

<div class="mb-3 flex flex-wrap items-center justify-between gap-3">
  <h1>Practice <span class="quiet">no flour is wasted here</span></h1>
  <Either
    label="What to practise on"
    value={practice.lesson}
    choices={Object.entries(lessons) as Array<[LessonId, string]>}
    onpick={(lesson) => practice.pick(lesson as LessonId)}
  />
</div>

<div class="grid items-start gap-4 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
  <section class="bowl grid gap-3 p-5" aria-label="The dough">
    <p class="text-lg">
      {capital(practiceDoughs[round.dough].says)}, <b>minute {round.minute}</b>
      {round.lesson === 'knead' ? 'of kneading' : 'since it was shaped'}
    </p>
    <div class="grid items-center gap-4 sm:grid-cols-2">
      <MovingDough {round} {onframe} />
      <dl class="grid gap-1">
        {#each round.signs as sign (sign.test)}
          <dt class="quiet">{tests[sign.test]}</dt>
          <dd class="mb-1 text-lg leading-snug">{sign.says}</dd>
        {/each}
      </dl>
    </div>
    {#if !practice.judged}
      <div class="grid gap-2 sm:grid-cols-2" role="group" aria-label="What do you do?">
        {#each choices as [call, label], i (call)}
          <button class="knob knob-large" type="button" onclick={() => practice.say(call)}
            ><kbd class="quiet hidden sm:inline">{i + 1}</kbd> {label}</button
          >
        {/each}
      </div>
    {:else}
      <div role="status" class="grid gap-2">
        <p class="text-2xl font-bold {practice.judged.right ? '' : 'text-act'}">
          {practice.judged.right
            ? 'Right.'
            : `Better: ${calls[round.lesson][practice.judged.best as never]}.`}
        </p>
        <p class="text-lg">{practice.judged.says}</p>
      </div>
      <button class="knob knob-act knob-large" type="button" onclick={() => practice.next()}
        >Another one <kbd class="hidden sm:inline">n</kbd></button
      >
      <div class="grid items-center gap-4 sm:grid-cols-2">
        {#if round.lesson === 'knead'}
          <Level
            level={{
              points: round.truth,
              low: round.truth - 0.5,
              high: round.truth + 0.5,
              early: round.now,
            }}
            {window}
            label="Where it really stands"
          />
        {/if}
        <CourseCurve {round} />
      </div>
    {/if}
  </section>

  <section class="bowl grid content-start gap-2 p-5" aria-labelledby="leaning">
    <h2 id="leaning" class="text-lg">Where your judgement leans</h2>
    {#if leaning.rounds === 0}
      <p class="quiet">
        Look at the dough, read the tests, and say what you would do. After some rounds you see
        whether you lean to water or to flour.
      </p>
    {:else}
      <p class="text-2xl font-bold">{leaning.right} of {leaning.rounds} right</p>
      <p>{leaning.says}</p>
      {#if leaning.lean}
        <p class="quiet">
          Doughs in the bowl are called looser by {asPoints(leaning.lean.mean)} points than they are,
          give or take {leaning.lean.error.toFixed(1)}, over {leaning.lean.of}.
        </p>
      {/if}
      {#if leaning.early !== undefined && Math.abs(leaning.early) > 0.2}
        <p>
          {leaning.early > 0
            ? 'You bake too early: loaves look riper to you than they are.'
            : 'You bake too late: loaves look less ripe to you than they are.'}
        </p>
      {/if}
      {#if leaning.lean}
        <p class="quiet">
          The book goes by your finger. It can be told of this lean; else it finds your touch by
          itself, from real bakes.
        </p>
        <p class="flex flex-wrap gap-2">
          <button class="knob" type="button" onclick={feed}>Tell the book of it</button>
          <button class="knob" type="button" onclick={forget}>Begin anew</button>
        </p>
      {/if}
      {#if said}<p role="status">{said}</p>{/if}
    {/if}
  </section>
</div>
