<script lang="ts">
  import {
    pantryIn,
    stateAt,
    windowFor,
    type Household,
    type Lesson,
    type NextTime,
    type StyleId,
  } from '@tender-crumb/core';
  import Level from '../level/Level.svelte';
  import { asMass, asPoints, say } from '../ui/writing.ts';

  let {
    lesson,
    style,
    household,
    next,
    size = 'bench',
  }: {
    lesson: Lesson;
    style: StyleId;
    household: Household;
    /** What the same formula would do now, where that is looked at. */
    next?: NextTime;
    size?: 'tiny' | 'bench';
  } = $props();

  const window = $derived(windowFor(style, lesson.dryness ?? 0, household.figures));
  const nameOf = (id: string) => pantryIn(household).ingredient(id).name;
  const bagName = (bag: string | undefined, of: string) =>
    household.bags.find((b) => b.id === bag)?.name ?? nameOf(of);
  const main = $derived(lesson.taught.find((t) => t.ingredient !== undefined));
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
        Now taken to drink: {bagName(main.bag, main.ingredient!)},
        <b>{main.after.value.toFixed(3)}</b> g a gram (was {main.before.value.toFixed(3)}; give or
        take {main.after.sd.toFixed(3)}).
      {/if}
    {/if}
  </p>
</div>
