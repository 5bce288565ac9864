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

  function keep() {
    const text = written.fields.text.trim().slice(0, longest);
    if (text !== kept) run.say('note', { step, text });
  }
</script>

<details class="no-print" open={kept !== ''}>
  <summary class="link inline-flex min-h-14 items-center"
    >A note for the next time, at this step</summary
  >
  <textarea
    class="field mt-1 min-h-16 w-full text-lg"
    aria-label="Note for the next time"
    maxlength={longest}
    bind:value={written.fields.text}
    onchange={keep}></textarea>
</details>
