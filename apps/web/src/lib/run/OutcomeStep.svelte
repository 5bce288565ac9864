<script lang="ts">
  import { outcomeWords, type Outcome } from '@tender-crumb/core';
  import { ToggleGroup } from 'bits-ui';
  import { untrack } from 'svelte';
  import { Written } from '../sync/written.svelte.ts';
  import Either from '../ui/Either.svelte';

  let { bake, onfinish }: { bake: string; onfinish: (outcome: Outcome) => void } = $props();

  const judgements = ['poor', 'so-so', 'fair', 'good', 'as it should be'];
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
    <ToggleGroup.Root
      type="multiple"
      class="choices"
      aria-label="What was it like"
      bind:value={written.fields.words}
    >
      {#each outcomeWords as word (word)}
        <ToggleGroup.Item value={word}>{word}</ToggleGroup.Item>
      {/each}
    </ToggleGroup.Root>
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

<style>
  form :global(.choices) {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem;
  }
  form :global(.choices button) {
    min-height: 3.25rem;
    padding: 0 1.1rem;
    border: 2px solid var(--rim);
    border-radius: 4px 4px 14px 14px;
    background: var(--enamel);
    color: var(--rim);
    font-size: 1.1rem;
    font-weight: 600;
  }
  form :global(.choices button[data-state='on']) {
    background: var(--rim);
    color: var(--on-rim);
  }
</style>
