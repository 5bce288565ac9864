<script lang="ts">
  import type { RunStep, Sentence, SentenceLed } from '@tender-crumb/core/lead';
  import TriangleAlert from '@lucide/svelte/icons/triangle-alert';
  import type { TimedStep } from '@tender-crumb/core/schedule';
  import { hoursText } from '@tender-crumb/core/quantity';
  import { untilText } from '../plan/when.ts';
  import Explain from '../ui/Explain.svelte';
  import { glossary, type GlossaryWord } from '../ui/glossary.ts';
  import { asWarmth, say } from '../ui/writing.ts';
  import type { Run } from './run.svelte.ts';
  import StepParts from './StepParts.svelte';

  let {
    run,
    step,
    timed,
    recipe = [],
    now,
    time,
  }: {
    run: Run;
    step: RunStep;
    timed: TimedStep | undefined;
    /** The recipe's sentences beside the plan. */
    recipe?: readonly SentenceLed[] | undefined;
    now: Date;
    time: (iso: string) => string;
  } = $props();

  const isExplained = (word: string | undefined): word is GlossaryWord =>
    word !== undefined && word in glossary;

  const sentences = $derived<readonly Sentence[]>(run.view.sentences(step));
  const sign = $derived(run.view.sign(step));
  const hours = $derived(timed ? timed.minutes / 60 : 0);
  const cautions = $derived(run.view.cautions(step, hours));
  const gates = $derived(run.view.gates(step, now.toISOString()));
  const outside = $derived(run.view.outsideAt(step));
  const note = $derived(run.lastNotes[step.id]);
  /** A part of what is timed has no time of its own: a look into the machine has the kneading's. */
  const isPart = $derived(step.kind === 'weigh' || step.kind === 'check');
  const lookAt = $derived(step.kind === 'check' ? run.view.lookAt : undefined);
  /** Why a sentence that stands here is not gone by. */
  const changed = (words: string) =>
    recipe.find(({ says, led }) => led === 'changed' && says === words)?.why;
  const over = $derived(step.standing === 'done' || step.standing === 'skipped');
  /** Sentences of a guided step that were read. */
  const read = $derived(Math.min(run.view.state.read[step.id] ?? 0, sentences.length - 1));
  const guided = $derived(run.view.state.guided === true);
  /** Where somebody only looks on, there is nothing else to read: all of it stands there. */
  const first = $derived(['check', 'programme'].includes(step.kind) ? sentences.length : 1);
  const shown = $derived(guided ? sentences.slice(0, read + 1) : sentences.slice(0, first));
  const more = $derived(guided ? [] : sentences.slice(first));
</script>

<div class="grid gap-3">
  {#if over}
    <p class="quiet">
      {step.standing === 'skipped' ? 'Skipped' : 'Done'}{step.doneAt
        ? ` at ${time(step.doneAt)}`
        : ''}
    </p>
  {:else if lookAt}
    <p class="when">
      <span class="quiet">look at</span>
      <b class="figure">{time(lookAt.from)}</b>
      <span class="quiet">to {time(lookAt.to)}</span>
    </p>
  {:else if timed && !isPart}
    <p class="when">
      {#if step.standing === 'under-way'}
        <span class="quiet">done about</span>
        <b class="figure">{time(timed.end)}</b>
        <span class="quiet">{untilText(timed.end, now)}</span>
        {#if timed.doubt > 0}
          <span class="quiet basis-full"
            >most likely {time(timed.soonest)} to {time(timed.latest)}</span
          >
        {/if}
      {:else}
        <span class="quiet">from</span>
        <b class="figure">{time(timed.start)}</b>
        <span class="quiet">{untilText(timed.start, now)}</span>
        {#if timed.minutes > 0}
          <span class="quiet basis-full"
            >about {hoursText(hours)}{timed.celsius === undefined
              ? ''
              : `, at ${asWarmth(timed.celsius)}`}</span
          >
        {/if}
      {/if}
    </p>
  {/if}

  {#each gates as gate (gate.id)}
    <p class="gate" role="status">{say(gate.says)}</p>
  {/each}
  {#if (step.parts || step.folds) && !over}
    <StepParts {step} pace={step.kind === 'bake' ? run.view.bread.ovenPace : 1} {now} {time} />
  {/if}

  {#if guided}
    <ol class="grid gap-2" aria-live="polite">
      {#each shown as sentence, i (i)}
        <li class:latest={i === read} class:earlier={i < read}>
          <span>{say(sentence.says)}</span>
          {#if i === read && isExplained(sentence.word)}
            <span class="quiet block">What is <Explain word={sentence.word} />?</span>
          {/if}
          {#if i === read && sentence.why}<span class="quiet block">{say(sentence.why)}</span>{/if}
        </li>
      {/each}
    </ol>
    {#if read < sentences.length - 1}
      <div>
        <button
          class="knob knob-act min-h-14 text-lg"
          type="button"
          onclick={() => run.say('read', { step: step.id, count: read + 1 })}>Next sentence</button
        >
      </div>
    {/if}
  {:else}
    <p class="does">{say(shown[0]?.says ?? '')}</p>
    {#if shown[0]?.why}<p class="quiet">{say(shown[0].why)}</p>{/if}
    {#each shown.slice(1) as sentence, i (i)}
      <p class="text-lg">{say(sentence.says)}</p>
      {#if sentence.why}<p class="quiet">{say(sentence.why)}</p>{/if}
    {/each}
  {/if}
  {#each run.view.words.get(step.kind) ?? [] as words, i (i)}
    <p class="italic">“{words}”</p>
    {#if changed(words) && !over}<p class="quiet">Changed: {say(changed(words)!)}</p>{/if}
  {/each}
  {#if outside.length > 0}
    <div>
      <p class="quiet">Ready beside it</p>
      <ul class="grid gap-1 text-lg" aria-label="Ready beside it">
        {#each outside as { id, says } (id)}<li>{says}</li>{/each}
      </ul>
    </div>
  {/if}
  {#if sign && !over}<p><b>Until</b> {say(sign)}</p>{/if}
  {#if more.length > 0}
    <details>
      <summary class="link inline-flex min-h-11 items-center">How</summary>
      <ul class="mt-1 grid list-disc gap-1.5 pl-5">
        {#each more as sentence, i (i)}
          <li>
            {say(sentence.says)}
            {#if sentence.why}<span class="quiet block">{say(sentence.why)}</span>{/if}
          </li>
        {/each}
      </ul>
    </details>
  {/if}
  {#if run.trial && step.kind === 'weigh' && !over}
    <p class="border-l-4 border-act pl-3 text-lg font-semibold">{say(run.trial)}</p>
  {/if}
  {#if note}
    <p class="border-l-4 border-rim pl-3"><b>Last time:</b> {note}</p>
  {/if}
  {#if cautions.length > 0 && !over}
    <ul class="grid gap-1.5" aria-label="Mind this">
      {#each cautions as { id, text } (id)}
        <li class="flex gap-2 text-sm">
          <TriangleAlert class="mt-0.5 shrink-0 text-act" size={16} aria-hidden="true" />
          <span>{say(text)}</span>
        </li>
      {/each}
    </ul>
  {/if}
</div>

<style>
  .gate {
    padding: 0.6rem 0.8rem;
    border-left: 4px solid var(--act);
    border-radius: 3px;
    background: var(--act-tint);
    font-size: 1.15rem;
    font-weight: 600;
  }
  .when {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 0 0.5rem;
  }
  .figure {
    font-size: min(2.75rem, 15vw);
    line-height: 1.05;
  }
  .does {
    font-size: clamp(1.25rem, 1rem + 1vw, 1.5rem);
    font-weight: 600;
    line-height: 1.25;
  }
  .latest {
    font-size: 1.5rem;
    font-weight: 600;
    line-height: 1.3;
  }
  .latest .quiet {
    font-size: 1.05rem;
    font-weight: 450;
  }
  .earlier {
    color: var(--soft);
  }
</style>
