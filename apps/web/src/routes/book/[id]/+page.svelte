<script lang="ts">
  import { judgements } from '@tender-crumb/core/bake';
  import { devices } from '@tender-crumb/core/machine';
  import { hoursText } from '@tender-crumb/core/quantity';
  import { keptBakeOf } from '@tender-crumb/core/view';
  import { goto } from '$app/navigation';
  import { nanoid } from 'nanoid';
  import { beginBake } from '$lib/sync/begin.ts';
  import { deed } from '$lib/sync/deeds.ts';
  import BakedBeside from '$lib/book/BakedBeside.svelte';
  import CostCard from '$lib/book/CostCard.svelte';
  import { differs } from '$lib/book/differs.ts';
  import { tellBake } from '$lib/book/events.ts';
  import PhotoStrip from '$lib/book/PhotoStrip.svelte';
  import SackQuestion from '$lib/book/SackQuestion.svelte';
  import Taught from '$lib/book/Taught.svelte';
  import WentWrong from '$lib/book/WentWrong.svelte';
  import Level from '$lib/level/Level.svelte';
  import CodeDialog from '$lib/ui/CodeDialog.svelte';
  import { asWarmth, say } from '$lib/ui/writing.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();

  const day = new Intl.DateTimeFormat('en-GB', {
    weekday: 'long',
    day: 'numeric',
    month: 'long',
    year: 'numeric',
    timeZone: 'UTC',
  });
  const view = $derived(keptBakeOf(data));
  const record = $derived(view.record);
  const room = $derived(record.circumstances.kitchen.room);
  const notes = $derived(Object.entries(record.state.notes));
  const minutes = (of: number) => hoursText(of / 60);
  let fault = $state('');

  async function again() {
    try {
      const { formulaId, formulaVersion, method } = data.bake;
      const { household, belief, head } = data;
      // What was baked then is known here where it is what stands on the shelf.
      const formula = head?.version === formulaVersion ? head?.formula : undefined;
      const { bake } = await beginBake(
        { id: nanoid(), formulaId, formulaVersion, method },
        { household, belief, ...(formula ? { formula } : {}) },
      );
      await goto(`/bake/${bake.id}`);
    } catch (refusal) {
      fault = `Not begun: ${(refusal as Error).message}`;
    }
  }
  async function tell(...[kind, of]: [string, unknown]) {
    try {
      fault = '';
      await tellBake(data.bake.id, kind as never, of as never);
    } catch (refusal) {
      fault = `Not kept: ${(refusal as Error).message}`;
    }
  }
  async function away() {
    try {
      await deed('drop-bake', { of: data.bake.id });
      await goto('/book');
    } catch (refusal) {
      fault = `Not taken out: ${(refusal as Error).message}`;
    }
  }
  let leaving = $state(false);
  let codeOpen = $state(false);
</script>

<svelte:head><title>{record.name}, {record.circumstances.day} · Tender Crumb</title></svelte:head>

<div class="mb-3 flex flex-wrap items-start justify-between gap-3">
  <div>
    <h1>{record.name}</h1>
    <p class="quiet">
      {day.format(new Date(record.startedAt))}, {devices[record.method].label}{view.by
        ? `, by ${view.by}`
        : ''}{data.bake.formulaVersion ? `, version ${data.bake.formulaVersion}` : ''}
    </p>
  </div>
  <div class="no-print flex flex-wrap gap-2">
    <button class="knob knob-act" type="button" onclick={again}>Bake this one again</button>
    <a class="knob" href="/book/helped?formula={record.bread}">What helped</a>
    <a class="knob" href="/bake/{record.id}">Edit</a>
    <a class="knob" href="/api/v1/bakes/{record.id}/sheet" download>As Markdown</a>
    <a class="knob" href="/api/v1/bakes/{record.id}/sheet?as=formula" download>As a formula file</a>
    <button class="knob" type="button" onclick={() => (codeOpen = true)}>As a code</button>
  </div>
</div>
<CodeDialog
  bind:open={codeOpen}
  text={codeOpen ? view.asText() : ''}
  title="{record.name}, as baked on {day.format(new Date(record.startedAt))}"
/>
{#if fault}<p role="alert" class="mb-2 font-semibold text-act">{fault}</p>{/if}

<div class="grid items-start gap-4 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
  <div class="grid gap-4">
    <section class="bowl grid gap-3 p-4" aria-labelledby="outcome">
      <h2 id="outcome" class="text-xl">
        {record.state.outcome?.stars
          ? judgements[record.state.outcome.stars - 1]
          : 'Nobody judged it'}
      </h2>
      {#if record.state.outcome}
        {@const { words, note, crumb = [], crust = [], taste = [] } = record.state.outcome}
        <p>{[...words, ...crumb, ...crust, ...taste].join(', ')}</p>
        {#if note}<p class="break-words whitespace-pre-line">{note}</p>{/if}
      {/if}
      {#if record.lesson}
        <Level
          level={record.lesson.mixed}
          window={view.wanted.window}
          usual={view.wanted.looks > 0 ? view.wanted.style : undefined}
          felt={record.lesson.felt}
          label="Forecast and feel"
        />
      {/if}
      {#if view.changed}
        <p>
          <b>Since the bake before{view.changed.length === 0 ? ' it was made alike.' : ':'}</b>
          {#if view.changed.length > 0}
            {view.changed.slice(0, 6).map(differs).join('; ')}.
          {/if}
          {#if view.before}<a
              class="link touch"
              href="/book/compare?of={view.before.id},{record.id}">Side by side</a
            >{/if}
        </p>
      {/if}
      {#if record.lesson}
        <SackQuestion
          lesson={record.lesson}
          answer={record.state.sack}
          household={data.household}
          ontell={(sense) => tell('sack', { sense })}
        />
      {/if}
      {#if record.lesson?.odd || record.state.counts === false}
        <p class="rounded-md bg-act-tint p-3">
          {#if record.state.counts === false}
            Set aside: the book learns nothing from this bake.
            <button class="knob" type="button" onclick={() => tell('counts', { counts: true })}
              >Let it count again</button
            >
          {:else}
            <b>Odd:</b> so far from its forecast that it taught less.
            <button class="knob" type="button" onclick={() => tell('counts', { counts: false })}
              >Set it aside</button
            >
          {/if}
        </p>
      {/if}
      {#if view.next}<p>
          <b>Next time, as the formula stands:</b>
          {say(view.next.says)}
        </p>{/if}
    </section>
    <BakedBeside rows={view.beside} corrections={record.meant.taken} />
    <PhotoStrip {record} />
    <WentWrong {record} household={data.household} belief={data.belief} head={data.head} />
  </div>
  <div class="grid gap-4">
    <section class="bowl grid content-start gap-2 p-4" aria-labelledby="times">
      <h2 id="times">Times</h2>
      <table class="w-full">
        <thead class="quiet text-left"
          ><tr
            ><th class="font-normal"></th><th class="font-normal">planned</th><th
              class="font-normal">actual</th
            ></tr
          ></thead
        >
        <tbody>
          {#each view.times as row, i (i)}
            <tr
              ><td class="py-0.5 pr-3">{row.says}</td>
              <td class="py-0.5 pr-3"
                >{row.thought ? minutes(row.thought.middle) : ''}
                {#if row.thought}<span class="quiet"
                    >{minutes(row.thought.low)} to {minutes(row.thought.high)}</span
                  >{/if}</td
              >
              <td class="py-0.5 font-semibold">{row.took === undefined ? '' : minutes(row.took)}</td
              ></tr
            >
          {/each}
        </tbody>
      </table>
      <p class="first-letter:uppercase">
        {[
          record.state.warmth.water === undefined
            ? ''
            : `Water ${asWarmth(record.state.warmth.water)}`,
          record.state.warmth.dough === undefined
            ? ''
            : `dough ${asWarmth(record.state.warmth.dough)}`,
          record.state.warmth.air === undefined
            ? ''
            : `air around it ${asWarmth(record.state.warmth.air)}`,
          room.celsius === undefined ? '' : `room ${asWarmth(room.celsius)}`,
          room.humidity === undefined ? '' : `humidity ${Math.round(100 * room.humidity)}\u00a0%`,
        ]
          .filter(Boolean)
          .join(', ')}{record.circumstances.assumed ? ' (assumed)' : ''}
      </p>
      {#if record.state.core.length > 0}
        <p>
          In the middle {record.state.core.map((c) => asWarmth(c.celsius)).join(', ')}
        </p>
      {/if}
    </section>
    {#if view.bags.length > 0}
      <section class="bowl grid content-start gap-1 p-4" aria-labelledby="bags">
        <h2 id="bags">Bags</h2>
        <ul>
          {#each view.bags as bag (bag.id)}<li>
              <a class="link touch" href="/book?bag={bag.id}">{bag.name}</a>
              <span class="quiet">{bag.of}</span>
            </li>{/each}
        </ul>
      </section>
    {/if}
    {#if notes.length > 0}
      <section class="bowl grid content-start gap-1 p-4" aria-labelledby="notes">
        <h2 id="notes">Notes at its steps</h2>
        {#each notes as [step, text] (step)}
          <label class="grid gap-0.5"
            ><span class="quiet">{step.replaceAll('-', ' ')}</span>
            <textarea
              class="field min-h-11 w-full"
              rows="2"
              maxlength="4000"
              value={text}
              onchange={(e) => tell('note', { step, text: e.currentTarget.value })}></textarea>
          </label>
        {/each}
      </section>
    {/if}
    <CostCard
      cost={view.cost}
      money={data.household.money}
      onread={(kilowattHours) => tell('energy', { kilowattHours })}
    />
    <Taught lesson={record.lesson} household={data.household} />
    <section class="no-print grid gap-2">
      {#if leaving}
        <p role="alert">
          Delete this bake and its photos? The book forgets what it taught. The nightly copies keep
          it for a while.
        </p>
        <p class="flex gap-2">
          <button class="knob knob-act" type="button" onclick={away}>Take it out</button>
          <button class="knob" type="button" onclick={() => (leaving = false)}>Leave it</button>
        </p>
      {:else}
        <button class="knob justify-self-start" type="button" onclick={() => (leaving = true)}
          >Take it out of the book</button
        >
      {/if}
    </section>
  </div>
</div>
