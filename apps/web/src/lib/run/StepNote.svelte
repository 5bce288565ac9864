<script lang="ts">
  import { untrack } from 'svelte';
  import { Written } from '../sync/written.svelte.ts';
  import type { Run } from './run.svelte.ts';

  let { run, step }: { run: Run; step: string } = $props();

  const written = new Written<{ text: string }>(
    untrack(() => `note/${run.id}/${step}`),
    untrack(() => ({ text: run.view.state.notes[step] ?? '' })),
  );
  const longest = 4000;
  const kept = $derived(run.view.state.notes[step] ?? '');
  let unfolded = $derived(kept !== '');

  function keep() {
    const text = written.fields.text.trim().slice(0, longest);
    if (text !== kept) run.say('note', { step, text });
  }
</script>

<details class="no-print" bind:open={unfolded}>
  <summary class="link inline-flex min-h-14 items-center">Note for next time</summary>
  <textarea
    class="field mt-1 min-h-16 w-full text-lg"
    aria-label="Note for next time"
    maxlength={longest}
    bind:value={written.fields.text}
    onchange={keep}></textarea>
</details>
