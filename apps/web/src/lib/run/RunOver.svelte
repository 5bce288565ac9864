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
      {data.bake.finishedAt ? 'What this bake taught' : 'Saved here'}
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
          The room and the bags of that day were not saved. We used the first that were.
        </p>
      {/if}
    {:else if !data.bake.finishedAt}
      <p class="text-lg">
        Your result is kept in this browser. It goes into the book when the server is back.
      </p>
    {:else}
      <p>Working out what this bake taught.</p>
    {/if}
    {#if mending}
      <OutcomeStep
        bake="{data.bake.id}/mended"
        dough={run.view.doughGrams}
        before={run.view.state.outcome}
        says="Save"
        onfinish={mend}
      />
    {/if}
    <Photos {run} step="taste" label="Result" />
    <p class="flex flex-wrap gap-3">
      <a class="knob knob-act min-h-14" href="/bench/{data.bake.formulaId}">To the bench</a>
      <a class="knob min-h-14" href="/book?formula={data.bake.formulaId}">To the book</a>
      <button class="knob min-h-14" type="button" onclick={() => (mending = !mending)}
        >Edit the result</button
      >
      <button class="knob min-h-14" type="button" onclick={() => run.takeBack('finished')}
        >Not finished yet</button
      >
    </p>
  </section>
{:else if run.view.state.abandonedAt}
  <section class="bowl grid gap-4 p-5" aria-labelledby="given-up">
    <h2 id="given-up" class="text-xl">This bake was cancelled</h2>
    <p class="text-lg">Your notes stay. The book learns nothing from this bake.</p>
    <p class="flex flex-wrap gap-3">
      <button class="knob knob-act min-h-14" type="button" onclick={() => run.takeBack('abandoned')}
        >Carry on with this bake</button
      >
      <a class="knob min-h-14" href="/bake">To Bake day</a>
    </p>
  </section>
{/if}
