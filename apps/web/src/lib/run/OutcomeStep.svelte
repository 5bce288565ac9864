<script lang="ts">
  import { outcomeWords, type Outcome, type OutcomeWord } from '@tender-crumb/core';
  import { ToggleGroup } from 'bits-ui';
  import { onMount, untrack } from 'svelte';
  import { outbox } from '../sync/here.ts';
  import Either from '../ui/Either.svelte';

  let { bake, onfinish }: { bake: string; onfinish: (outcome: Outcome) => void } = $props();

  const judgements = ['poor', 'so-so', 'fair', 'good', 'as it should be'];
  let stars = $state('4');
  let words = $state<string[]>([]);
  let note = $state('');

  /** What is being written is kept as it is written: a closed page loses none of it. */
  const place = untrack(() => `outcome/${bake}`);
  let restored = $state(false);
  onMount(async () => {
    const kept = await outbox().keep.readText(place);
    if (isWritten(kept)) ({ stars, words, note } = kept);
    restored = true;
  });
  $effect(() => {
    const written = { stars, words: [...words], note };
    if (restored) void outbox().keep.keepText(place, written);
  });

  function isWritten(kept: unknown): kept is { stars: string; words: string[]; note: string } {
    const { stars, words, note } = (kept ?? {}) as Record<string, unknown>;
    return (
      /^[1-5]$/.test(String(stars)) &&
      typeof note === 'string' &&
      Array.isArray(words) &&
      words.every((w) => outcomeWords.includes(w as OutcomeWord))
    );
  }

  function finish(event: SubmitEvent) {
    event.preventDefault();
    onfinish({ stars: Number(stars), words: words as OutcomeWord[], note: note.trim() });
    restored = false;
    void outbox().keep.dropText(place);
  }
</script>

<form class="grid gap-5" onsubmit={finish}>
  <fieldset class="grid gap-2">
    <legend class="text-xl font-semibold">How did it come out?</legend>
    <Either
      label="How did it come out"
      size="large"
      value={stars}
      choices={judgements.map((judgement, i) => [String(i + 1), judgement])}
      onpick={(picked) => (stars = picked)}
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
      bind:value={words}
    >
      {#each outcomeWords as word (word)}
        <ToggleGroup.Item value={word}>{word}</ToggleGroup.Item>
      {/each}
    </ToggleGroup.Root>
  </fieldset>
  <label class="grid gap-2 text-xl font-semibold">
    In your own words
    <textarea class="field min-h-24 text-lg font-normal" maxlength="4000" bind:value={note}
    ></textarea>
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
