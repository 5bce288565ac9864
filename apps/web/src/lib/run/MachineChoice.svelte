<script lang="ts">
  import { type CourseNoted } from '@tender-crumb/core/bake';
  import { courseReady } from '@tender-crumb/core/lead';
  import {
    courseIds,
    courses,
    timerFor,
    type Course,
    type MachineFix,
  } from '@tender-crumb/core/course';
  import { isRefused } from '@tender-crumb/core/quantity';
  import { minutesUntil } from '@tender-crumb/core/schedule';
  import {
    bakeShift,
    crusts,
    machineSizes,
    programmeMinutes,
    type CrustId,
    type MachineSizeId,
  } from '@tender-crumb/core/machine';
  import { standIns } from '../devices/stand-ins.svelte.ts';
  import { asMass, say } from '../ui/writing.ts';
  import type { Run } from './run.svelte.ts';

  let {
    run,
    course,
    now,
    time,
  }: { run: Run; course: Course; now: Date; time: (iso: string) => string } = $props();

  const { machine } = $derived(course);
  const ends = $derived(courseReady(now.toISOString(), course));
  let fault = $state('');
  const timer = $derived(run.view.timerAt(now.toISOString()));

  function choose(edit: Partial<CourseNoted>) {
    if (!run.view.machine) return;
    const next: CourseNoted = {
      machine: run.view.machine.id,
      programme: course.programme.id,
      kind: course.kind,
      size: course.size,
      crust: course.crust,
      ...(course.delay === undefined ? {} : { delay: course.delay }),
      ...edit,
    };
    run.say('course', next);
  }
  /** A course changes what the first programme is. */
  function goes(kind: CourseNoted['kind']) {
    const uses = {
      whole: ['plain'],
      dough: ['dough', 'knead'],
      'by-eye': ['knead', 'dough'],
    } as const;
    const programme =
      machine.programmes.find((p) => (uses[kind] as readonly string[]).includes(p.use)) ??
      course.programme;
    choose({ kind, programme: programme.id });
  }
  function mend(fix: MachineFix) {
    fault = '';
    if (fix.kind === 'size') choose({ size: fix.size });
    else if (fix.kind === 'programme') choose({ programme: fix.programme });
    else if (fix.kind === 'course') goes(fix.course);
    else if (fix.kind === 'no-delay') choose({ delay: 0 });
    else if (fix.kind === 'instead') fault = run.takeInstead(fix.line, fix.choice, fix.label) ?? '';
    else run.scaleTo(fix.share, () => choose({ size: fix.size }));
  }
  /** Set by when the bread is to be ready: what the machine's timer shows is worked out. */
  let wanted = $state('');
  let late = $state('');
  function readyBy(clock: string) {
    wanted = clock;
    const minutes = minutesUntil(clock, now, run.household.zone);
    if (minutes === undefined) return;
    const set = timerFor(course, minutes);
    late = isRefused(set) ? set.refused.says : '';
    if (!isRefused(set)) choose({ delay: set.delay });
  }
  const why = $derived(run.view.wants?.why);
</script>

<section class="grid gap-2" aria-labelledby="machine">
  <details class="border-b border-line pb-1">
    <summary class="flex min-h-14 flex-wrap items-baseline gap-x-2 text-lg">
      <b id="machine">{run.view.machine?.name}: {course.programme.label}</b>
      <span>{machineSizes[course.size].label}, crust {crusts[course.crust].label}</span>
      <span
        >started now, {course.kind === 'whole' ? 'ready' : 'dough ready'} about
        <b class="text-2xl tabular-nums">{time(ends)}</b></span
      >
      <span class="link text-base">another</span>
    </summary>
    <p class="quiet mt-1">{courses[course.kind].says}</p>
    <div class="mt-2 flex flex-wrap gap-3">
      <label class="quiet grid gap-1"
        >It goes
        <select
          class="field min-h-14 text-base text-ink"
          value={course.kind}
          onchange={(e) => goes(e.currentTarget.value as CourseNoted['kind'])}
        >
          {#each courseIds as id (id)}<option value={id}>{courses[id].label}</option>{/each}
        </select>
      </label>
      <label class="quiet grid gap-1"
        >Programme
        <select
          class="field min-h-14 text-base text-ink"
          value={course.programme.id}
          onchange={(e) => choose({ programme: e.currentTarget.value })}
        >
          {#each machine.programmes as p (p.id)}
            <option value={p.id}
              >{p.label}, {programmeMinutes(p, bakeShift(machine, course.size, course.crust))} min</option
            >
          {/each}
        </select>
      </label>
      <label class="quiet grid gap-1"
        >Size
        <select
          class="field min-h-14 text-base text-ink"
          value={course.size}
          onchange={(e) => choose({ size: e.currentTarget.value as MachineSizeId })}
        >
          {#each machine.sizes as id (id)}
            <option value={id}
              >{machineSizes[id].label}: {asMass(machineSizes[id].flour[0])} to {asMass(
                machineSizes[id].flour[1],
              )} of flour</option
            >
          {/each}
        </select>
      </label>
      <label class="quiet grid gap-1"
        >Crust
        <select
          class="field min-h-14 text-base text-ink"
          value={course.crust}
          onchange={(e) => choose({ crust: e.currentTarget.value as CrustId })}
        >
          {#each machine.crusts as id (id)}<option value={id}>{crusts[id].label}</option>{/each}
        </select>
      </label>
    </div>
  </details>
  {#if why}<p>{why}</p>{/if}
  {#if course.kind !== 'by-eye'}
    <div class="flex flex-wrap items-end gap-3">
      <label class="quiet grid gap-1"
        >Ready at
        <input
          class="field min-h-14 text-lg text-ink"
          type="time"
          value={wanted}
          onchange={(e) => readyBy(e.currentTarget.value)}
        /></label
      >
      {#if timer}
        <p class="text-lg">
          Set its timer to <b class="text-2xl tabular-nums">{timer.shows}</b>
          <span class="quiet block"
            >hours and minutes: it starts at {time(timer.begins)}, is ready at {time(
              timer.ready,
            )}{timer.warmUntil ? `, and keeps it warm until ${time(timer.warmUntil)}` : ''}</span
          >
        </p>
        <button
          class="knob min-h-14"
          type="button"
          onclick={() => {
            wanted = '';
            choose({ delay: 0 });
          }}>Begin now</button
        >
      {/if}
    </div>
    {#if late}<p class="text-act" role="alert">{late}</p>{/if}
  {/if}
  {#each run.view.findings as finding (finding.id)}
    <div class="border-l-4 border-act pl-3" role="status">
      <p>{say(finding.says)}</p>
      <div class="mt-1 flex flex-wrap gap-2">
        {#each finding.fixes as fix (fix.label)}
          <button class="knob min-h-14" type="button" onclick={() => mend(fix)}>{fix.label}</button>
        {/each}
      </div>
    </div>
  {/each}
  {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
  {#if standIns.on && !standIns.hasMachine}
    <p class="quiet">The practice machine starts with “All in, machine started”.</p>
  {/if}
</section>
