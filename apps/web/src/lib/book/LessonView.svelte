<script lang="ts">
  import { stateAt, windowIn } from '@tender-crumb/core/dough';
  import { nothingLearned, type Belief } from '@tender-crumb/core/belief';
  import { pantryIn, type Household } from '@tender-crumb/core/household';
  import { learnedName, type Lesson, type NextTime } from '@tender-crumb/core/learn';
  import type { StyleId } from '@tender-crumb/core/style';
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

  const window = $derived(
    windowIn(style, lesson.dryness ?? 0, { figures: household.figures, belief }).window,
  );
  const nameOf = (id: string) => pantryIn(household).ingredient(id).name;
  const main = $derived(lesson.taught.find((t) => t.ingredient !== undefined));
  const named = $derived(learnedName(main?.key ?? '', household));
</script>

<div class="grid gap-2">
  <div>
    <span class="quiet">Forecast{lesson.felt === undefined ? '' : ', and felt'}</span>
    <Level level={lesson.mixed} {window} felt={lesson.felt} {size} label="Before" />
  </div>
  {#if next}
    <div>
      <span class="quiet">Next time, as the formula stands: </span>
      <span class="text-sm font-semibold">{say(next.says)}</span>
      <Level level={next} {window} {size} label="Next time" />
    </div>
  {/if}
  <p class="text-sm leading-snug">
    {#if lesson.felt === undefined}
      Nobody felt the dough, so that nothing was learned from it.
    {:else}
      It felt {stateAt(lesson.felt).short} ({asPoints(lesson.felt)}), where {asPoints(
        lesson.mixed.points,
      )} was forecast{lesson.added.length > 0
        ? `, with ${lesson.added.map((a) => `${asMass(a.grams)} ${nameOf(a.ingredient)}`).join(' and ')} added`
        : ''}.
      {#if main}
        {named.says} <b>{named.text(main.after.value)}</b>, as is thought now (it was {named.text(
          main.before.value,
        )}). <a class="link" href="/book/learned?of={encodeURIComponent(main.key)}">The evidence</a>
      {/if}
    {/if}
  </p>
</div>
