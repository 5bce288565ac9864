<script lang="ts">
  import type { Circumstances, Outcome } from '@tender-crumb/core/bake';
  import type { Formula } from '@tender-crumb/core/formula';
  import type { Belief } from '@tender-crumb/core/belief';
  import type { Household } from '@tender-crumb/core/household';
  import { nextTime, type Lesson } from '@tender-crumb/core/learn';
  import LessonView from '../book/LessonView.svelte';
  import SackQuestion from '../book/SackQuestion.svelte';
  import Photos from '../photo/Photos.svelte';
  import OutcomeStep from './OutcomeStep.svelte';
  import type { Run } from './run.svelte.ts';

  let {
    run,
    data,
  }: {
    run: Run;
    data: {
      bake: {
        id: string;
        formulaId: string;
        finishedAt?: string;
        lesson?: Lesson;
        circumstances: Circumstances;
      };
      formula: Formula;
      household: Household;
      belief: Belief;
    };
  } = $props();

  let mending = $state(false);
  function mend(outcome: Outcome) {
    run.say('outcome', outcome);
    mending = false;
  }
</script>

{#if run.view.state.finishedAt}
  <section class="bowl grid gap-4 p-5" aria-labelledby="taught">
    <h2 id="taught" class="text-xl">
      {data.bake.finishedAt ? 'What this bake taught' : 'Written down here'}
    </h2>
    {#if data.bake.lesson}
      <LessonView
        lesson={data.bake.lesson}
        style={data.formula.style}
        household={data.household}
        belief={data.belief}
        next={nextTime(data.formula, data.household, data.belief)}
      />
      <SackQuestion
        lesson={data.bake.lesson}
        answer={run.view.state.sack}
        household={data.household}
        ontell={(sense) => run.say('sack', { sense })}
      />
      {#if data.bake.circumstances.assumed}
        <p class="quiet">
          Nobody wrote down the room and the bags of that day: they are assumed to have been as they
          were when the program began to keep them.
        </p>
      {/if}
    {:else if !data.bake.finishedAt}
      <p class="text-lg">
        How it came out is kept in this browser and goes into the book when the server has it. What
        it taught then stands here.
      </p>
    {:else}
      <p>
        What it taught is being worked out, or there was nothing to learn: a formula without flour
        has no level.
      </p>
    {/if}
    {#if mending}
      <OutcomeStep
        bake="{data.bake.id}/mended"
        dough={run.view.doughGrams}
        before={run.view.state.outcome}
        says="Mend it in the book"
        onfinish={mend}
      />
    {/if}
    <Photos {run} step="taste" label="How it came out" />
    <p class="flex flex-wrap gap-3">
      <a class="knob knob-act min-h-14" href="/bench/{data.bake.formulaId}">To the bench</a>
      <a class="knob min-h-14" href="/book?formula={data.bake.formulaId}">To the book</a>
      <button class="knob min-h-14" type="button" onclick={() => (mending = !mending)}
        >Mend how it came out</button
      >
      <button class="knob min-h-14" type="button" onclick={() => run.takeBack('finished')}
        >It is not finished yet</button
      >
    </p>
  </section>
{:else if run.view.state.abandonedAt}
  <section class="bowl grid gap-4 p-5" aria-labelledby="given-up">
    <h2 id="given-up" class="text-xl">This bake was given up</h2>
    <p class="text-lg">
      What was weighed and felt stays written down; it teaches nothing, and stands no longer among
      what is being baked.
    </p>
    <p class="flex flex-wrap gap-3">
      <button class="knob knob-act min-h-14" type="button" onclick={() => run.takeBack('abandoned')}
        >Take it up again</button
      >
      <a class="knob min-h-14" href="/bake">To Bake day</a>
    </p>
  </section>
{/if}
