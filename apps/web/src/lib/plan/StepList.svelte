<script lang="ts">
  import Check from '@lucide/svelte/icons/check';
  import LockOpen from '@lucide/svelte/icons/lock-open';
  import Pin from '@lucide/svelte/icons/pin';
  import Undo2 from '@lucide/svelte/icons/undo-2';
  import type { Planning } from './planning.svelte.ts';
  import { foldsText, partText } from '@tender-crumb/core/process';
  import type { TimedStep } from '@tender-crumb/core/schedule';
  import { fieldOf, momentOfField, timeText } from './when.ts';
  import { asWarmth, say } from '../ui/writing.ts';

  let { planning }: { planning: Planning } = $props();

  const zone = $derived(planning.data.zone);
  const several = $derived(planning.data.plans.length > 1);
  const time = (iso: string) => timeText(iso, zone, planning.now);
  /** A step is moved by so much at a tap, minutes. */
  const nudge = 15;
  /** The step whose times are being changed. */
  let open = $state('');

  const move = (step: TimedStep, minutes: number) =>
    planning.hold(step, new Date(Date.parse(step.start) + minutes * 60_000).toISOString());

  let moment = $state('');
  let fault = $state('');
  function show(step: TimedStep) {
    open = open === step.id ? '' : step.id;
    moment = fieldOf(step.start, zone);
    fault = '';
  }
  /** A step begins at a time that was typed. */
  function begin(event: SubmitEvent, step: TimedStep) {
    event.preventDefault();
    const at = momentOfField(moment, zone);
    const past = at !== undefined && Date.parse(at) < planning.now.getTime();
    fault = at === undefined ? 'Which day, and what time?' : past ? 'That time has passed.' : '';
    if (at !== undefined && !past) void planning.hold(step, at);
  }

  /** The bake that was begun of a plan: it is led on a page of its own, and said there what is done. */
  const led = (step: TimedStep) => planning.planOf(step.bake)?.bakeId;

  /** Which bread, how warm, what ends it, and how unsure that is. */
  const detail = (step: TimedStep, done: boolean): string =>
    [
      several ? planning.nameOf(step.bake) : '',
      step.oven ? `in ${step.oven}` : '',
      step.celsius === undefined ? '' : `at ${asWarmth(step.celsius)}`,
      step.until ?? '',
      step.timer ? `all in, its timer at ${step.timer}` : '',
      done
        ? ''
        : step.doubt > 0
          ? `most likely ${time(step.soonest)} to ${time(step.latest)}`
          : step.earliest === step.start
            ? ''
            : `from ${time(step.earliest)} on`,
    ]
      .filter(Boolean)
      .join(' · ');

  /** On a narrow page so many are shown, from the first that is not done on. */
  const atHand = 4;
  let all = $state(false);
  const first = $derived(
    Math.max(
      0,
      planning.steps.findIndex((s) => !planning.isDone(s)),
    ),
  );

  const nights = {
    late: 'This may still be rising at bedtime or when you leave. If so, put it in the fridge.',
    early: 'This may be ready before you are up or back. Check it first thing.',
  } as const;

  /** Its parts one after another, and its folds. */
  const midway = ({ parts = [], folds }: TimedStep): string =>
    [...parts.map((p) => say(partText(p))), ...(folds ? [foldsText(folds)] : [])].join(' · ');
</script>

<ol class="grid" class:all aria-label="Do this at">
  {#each planning.steps as step, i (step.id)}
    {@const done = planning.isDone(step)}
    {@const begun = planning.isBegun(step)}
    {@const held = planning.isHeld(step)}
    {@const current = !done && (begun || step.id === planning.next?.id)}
    <li
      class="grid grid-cols-[minmax(0,6rem)_minmax(0,1fr)_auto] items-center gap-x-3 border-t border-line py-1"
      class:text-soft={done}
      class:aside={done || i >= first + atHand}
    >
      <button
        class="touch flex items-center gap-1 text-left text-lg font-bold tabular-nums hover:underline"
        class:text-rim={!done}
        type="button"
        aria-expanded={open === step.id}
        aria-label="{time(step.start)}, {step.label}: change"
        onclick={() => show(step)}
        >{time(step.start)}{#if held}<Pin size={14} aria-label="held fast" />{/if}</button
      >
      <div class="min-w-0">
        <p class="font-semibold">
          {step.label}
          {#if done}<span class="quiet">done</span>{:else if begun}<span class="quiet"
              >under way</span
            >{/if}
        </p>
        {#if detail(step, done)}<p class="quiet">{detail(step, done)}</p>{/if}
        {#if !done && step.night}<p class="text-act">{nights[step.night]}</p>{/if}
        {#if !done && midway(step)}<p class="quiet">{midway(step)}</p>{/if}
        {#if step.says && open === step.id}<p class="quiet italic">{step.says}</p>{/if}
      </div>
      <div class="no-print">
        {#if current && led(step)}
          <a class="knob touch" href="/bake/{led(step)}" aria-label="{step.label}: to this bake"
            >Open</a
          >
        {:else if current}
          <button
            class="knob touch"
            type="button"
            aria-label="{step.label}: done"
            onclick={() => void planning.done(step)}><Check size={16} /> Done</button
          >
        {/if}
      </div>
      {#if open === step.id}
        <div class="no-print col-start-2 col-end-4 flex flex-wrap gap-1 py-1">
          {#if led(step)}
            <p class="quiet py-2">
              This bake is led on <a class="link" href="/bake/{led(step)}">its own page</a>: what
              you tap there moves the plan.
            </p>
          {/if}
          {#if (done || begun) && !led(step)}
            <button class="knob touch" type="button" onclick={() => void planning.undo(step)}
              ><Undo2 size={16} /> Undo</button
            >
          {/if}
          {#if !done}
            {#if !begun}
              <button class="knob touch" type="button" onclick={() => void move(step, -nudge)}
                >{nudge} min earlier</button
              >
              <button class="knob touch" type="button" onclick={() => void move(step, nudge)}
                >{nudge} min later</button
              >
              <form class="flex items-center gap-1" onsubmit={(e) => begin(e, step)} novalidate>
                <label class="quiet flex items-center gap-1"
                  >Begin at
                  <input
                    class="field text-base text-ink"
                    type="datetime-local"
                    bind:value={moment}
                  />
                </label>
                <button class="knob touch" type="submit">Set</button>
              </form>
              {#if fault}<p class="basis-full text-act" role="alert">{fault}</p>{/if}
              {#if held}
                <button
                  class="knob touch"
                  type="button"
                  onclick={() => void planning.hold(step, undefined)}
                  ><LockOpen size={16} /> Let it move</button
                >
              {:else}
                <button
                  class="knob touch"
                  type="button"
                  onclick={() => void planning.hold(step, step.start)}
                  ><Pin size={16} /> Keep this time</button
                >
              {/if}
              {#if !led(step)}
                <button class="knob touch" type="button" onclick={() => void planning.begin(step)}
                  >Start now</button
                >
              {/if}
            {/if}
            {#if !current && !led(step)}
              <button class="knob touch" type="button" onclick={() => void planning.done(step)}
                ><Check size={16} /> Done</button
              >
            {/if}
          {/if}
        </div>
      {/if}
    </li>
  {/each}
</ol>
{#if !all && planning.steps.length > atHand}
  <button class="rest knob no-print mt-2 min-h-11" type="button" onclick={() => (all = true)}
    >All {planning.steps.length} steps</button
  >
{/if}

<style>
  .rest {
    display: none;
  }
  /* On a phone: what is next, what is then; the rest is asked for. */
  @media screen and (max-width: 700px) {
    ol:not(.all) > .aside {
      display: none;
    }
    .rest {
      display: inline-flex;
    }
  }
</style>
