<script lang="ts">
  import { stateAt } from '@tender-crumb/core/dough';
  import { nothingLearned, type Belief } from '@tender-crumb/core/belief';
  import type { Household } from '@tender-crumb/core/household';
  import type { Lesson, NextTime } from '@tender-crumb/core/learn';
  import type { StyleId } from '@tender-crumb/core/style';
  import { lessonViewOf } from '@tender-crumb/core/view';
  import Level from '../level/Level.svelte';
  import { asMass, asPoints, say } from '../ui/writing.ts';

  let {
    lesson,
    style,
    household,
    belief = nothingLearned,
    next,
    size = 'bench',
  }: {
    lesson: Lesson;
    style: StyleId;
    household: Household;
    /** What is known now, of its bread. */
    belief?: Belief;
    /** What the same formula would do now, where that is looked at. */
    next?: NextTime;
    size?: 'tiny' | 'bench';
  } = $props();

  const view = $derived(lessonViewOf(lesson, style, household, belief));
</script>

<div class="grid gap-2">
  <div>
    <span class="quiet">Forecast{lesson.felt === undefined ? '' : ', and felt'}</span>
    <Level level={lesson.mixed} window={view.window} felt={lesson.felt} {size} label="Before" />
  </div>
  {#if next}
    <div>
      <span class="quiet">Next time, as the formula stands: </span>
      <span class="text-sm font-semibold">{say(next.says)}</span>
      <Level level={next} window={view.window} {size} label="Next time" />
    </div>
  {/if}
  <p class="text-sm leading-snug">
    {#if lesson.felt === undefined}
      The dough was not felt, so there was nothing to learn.
    {:else}
      It felt {stateAt(lesson.felt).felt ?? stateAt(lesson.felt).short} ({asPoints(lesson.felt)}).
      The forecast was {asPoints(lesson.mixed.points)}{view.added.length > 0
        ? `, with ${view.added.map((a) => `${asMass(a.grams)} of ${a.name}`).join(' and ')} added`
        : ''}.
      {#if view.main}
        We now think {view.named.says} <b>{view.named.text(view.main.after.value)}</b> (it was
        {view.named.text(view.main.before.value)}).
        <a class="link" href="/book/learned?of={encodeURIComponent(view.main.key)}">The evidence</a>
      {/if}
    {/if}
  </p>
</div>
