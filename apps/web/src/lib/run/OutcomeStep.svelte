<script lang="ts">
  import { judgements, outcomeWords, type Outcome } from '@tender-crumb/core';
  import { untrack } from 'svelte';
  import { Written } from '../sync/written.svelte.ts';
  import Either from '../ui/Either.svelte';
  import Some from '../ui/Some.svelte';

  let { bake, onfinish }: { bake: string; onfinish: (outcome: Outcome) => void } = $props();

  const written = new Written<{ stars: string; words: string[]; note: string }>(
    untrack(() => `outcome/${bake}`),
    { stars: '4', words: [], note: '' },
  );

  function finish(event: SubmitEvent) {
    event.preventDefault();
    const { stars, words, note } = written.fields;
    onfinish({
      stars: judgements[Number(stars) - 1] ? Number(stars) : 4,
      words: outcomeWords.filter((w) => words.includes(w)),
      note: note.trim(),
    });
    written.done();
  }
</script>

<form class="grid gap-5" onsubmit={finish}>
  <fieldset class="grid gap-2">
    <legend class="text-xl font-semibold">How did it come out?</legend>
    <Either
      label="How did it come out"
      size="large"
      value={written.fields.stars}
      choices={judgements.map((judgement, i) => [String(i + 1), judgement])}
      onpick={(picked) => (written.fields.stars = picked)}
    />
  </fieldset>
  <fieldset class="grid gap-2">
    <legend class="text-xl font-semibold"
      >What was it like? <span class="quiet">as many as fit</span></legend
    >
    <Some
      label="What was it like"
      choices={outcomeWords}
      bind:values={
        () => outcomeWords.filter((w) => written.fields.words.includes(w)),
        (picked) => (written.fields.words = picked)
      }
    />
  </fieldset>
  <label class="grid gap-2 text-xl font-semibold">
    In your own words
    <textarea
      class="field min-h-24 text-lg font-normal"
      maxlength="4000"
      bind:value={written.fields.note}></textarea>
  </label>
  <div class="flex flex-wrap items-center gap-3">
    <button class="knob knob-act knob-large" type="submit">Write it in the book</button>
  </div>
</form>
