<script lang="ts">
  import { machineClock, type RunStep } from '@tender-crumb/core/lead';
  import { keptWarm, type Course } from '@tender-crumb/core/course';
  import { machineStageKinds, spansOf, bakeShift } from '@tender-crumb/core/machine';
  import { scaleLinear } from 'd3-scale';
  import { standIns } from '../devices/stand-ins.svelte.ts';
  import AddIns from './AddIns.svelte';
  import type { Run } from './run.svelte.ts';

  let {
    run,
    step,
    course,
    now,
    time,
  }: { run: Run; step: RunStep; course: Course; now: Date; time: (iso: string) => string } =
    $props();

  const spans = $derived(
    spansOf(course.programme, bakeShift(course.machine, course.size, course.crust)).filter(
      (s) => s.kind !== 'warm',
    ),
  );
  const whole = $derived(spans.at(-1)?.to ?? 1);
  const x = $derived(scaleLinear().domain([0, whole]).range([0, 100]));
  const times = $derived(run.view.courseTimes!);
  const reading = $derived(standIns.machine.reading);
  const clock = $derived(
    step.begunAt
      ? machineClock(step.begunAt, course, run.view.state.power, now.toISOString())
      : undefined,
  );
  const minute = $derived(reading?.minute ?? clock?.minute ?? 0);
  const stage = $derived(spans.find((s) => minute < s.to) ?? spans.at(-1));
  const at = (m: number) => (clock ? time(clock.at(m)) : `${m} min in`);
  const cut = $derived(clock?.cut ?? false);

  // What the machine says of its power goes into the book by itself.
  $effect(() => {
    if (!reading) return;
    if (!reading.running && reading.stage === 'has no power' && !cut)
      run.say('power', { what: 'cut', minute: Math.round(minute) });
    if (reading.running && cut) run.say('power', { what: 'back' });
  });
</script>

<div class="grid gap-4">
  <figure
    class="grid gap-1"
    aria-label="The programme: now {stage ? machineStageKinds[stage.kind].label : ''}"
  >
    <div class="bar">
      {#each spans as s, i (i)}
        <div
          class="part"
          class:turns={machineStageKinds[s.kind].turns}
          class:bakes={s.kind === 'bake'}
          class:past={s.to <= minute}
          style:left="{x(s.from)}%"
          style:width="{x(s.to) - x(s.from)}%"
          title="{machineStageKinds[s.kind].label}, {s.minutes} min"
        >
          {#if x(s.to) - x(s.from) > 11}<span>{s.kind}</span>{/if}
        </div>
      {/each}
      <div class="needle" style:left="{Math.min(100, x(minute))}%"></div>
    </div>
    <figcaption class="text-xl">
      {#if step.standing === 'ahead'}
        It has not been started.
      {:else if cut}
        <b>The power is out.</b>
      {:else if clock && minute <= 0 && times.delay > 0}
        It waits, and begins at <b>{at(0)}</b>.
      {:else if minute >= whole}
        It is done, since <b>{at(whole)}</b>.
      {:else}
        It {stage ? machineStageKinds[stage.kind].label : 'is done'}:
        <b>minute {Math.max(1, Math.ceil(minute))}</b> of {whole}.
      {/if}
    </figcaption>
  </figure>
  <AddIns
    {run}
    when={times.signal === undefined
      ? 'After a quarter of an hour of kneading:'
      : `At its signal, ${at(times.signal)}:`}
  />
  <ul class="grid gap-1 text-lg">
    {#if times.still !== undefined}
      <li><b>{at(times.still)}</b> the paddle has stopped: take it out now if you like</li>
    {/if}
    <li>
      <b>{at(times.first)}</b>
      {course.kind === 'whole' ? 'the loaf is done' : 'switch it off, or take the dough out'}
    </li>
    {#if keptWarm(course) > 0}
      <li><b>{at(times.first + keptWarm(course))}</b> it keeps it warm until then</li>
    {/if}
  </ul>
  {#if step.standing === 'under-way'}
    <div class="flex flex-wrap gap-2">
      {#if cut}
        <button
          class="knob knob-act min-h-14"
          type="button"
          onclick={() => run.say('power', { what: 'back' })}>The power is back</button
        >
        <p class="basis-full">
          After more than a few minutes it forgets its programme. Start “dough” or “bake” for the
          rest, or go on by hand.
        </p>
      {:else}
        <button
          class="knob min-h-14"
          type="button"
          onclick={() => run.say('power', { what: 'cut', minute: Math.round(minute) })}
          >The power went out</button
        >
      {/if}
    </div>
  {/if}
</div>

<style>
  .bar {
    position: relative;
    height: 4rem;
    overflow: hidden;
    border: 2px solid var(--rim);
    border-radius: 4px 4px 14px 14px;
    background: var(--sunk);
  }
  .part {
    position: absolute;
    inset-block: 0;
    display: grid;
    place-items: center;
    overflow: hidden;
    border-right: 1px solid var(--line);
    font-size: 0.8rem;
    font-weight: 600;
  }
  .turns {
    background: repeating-linear-gradient(
      45deg,
      color-mix(in oklab, var(--rim), transparent 70%) 0 3px,
      transparent 3px 9px
    );
  }
  .bakes {
    background: var(--act-tint);
  }
  .past {
    color: var(--soft);
  }
  .needle {
    position: absolute;
    inset-block: 0;
    width: 4px;
    margin-left: -2px;
    background: var(--act);
  }
</style>
