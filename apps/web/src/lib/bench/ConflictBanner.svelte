<script lang="ts">
  import { goto } from '$app/navigation';
  import { api } from '../api.ts';
  import type { Bench } from './bench.svelte.ts';
  import { dropDraft } from './drafts.ts';

  let { bench }: { bench: Bench } = $props();

  async function keepAsNew() {
    const mine = { ...bench.formula, name: `${bench.formula.name} (my copy)`.slice(0, 200) };
    const { id } = await api<{ id: string }>('POST', '/api/v1/formulas', mine);
    dropDraft(bench.id);
    await goto(`/bench/${id}`, { invalidateAll: true });
  }
</script>

{#if bench.saver.state === 'conflict'}
  <div class="bowl mb-3 flex flex-wrap items-center gap-3 bg-act-tint p-3" role="alert">
    <p class="flex-1 basis-80">
      <b>This formula was changed somewhere else in the meantime.</b> Both versions are kept: theirs on
      the shelf, yours here and set aside.
    </p>
    <button class="knob" type="button" onclick={() => bench.adoptTheirs()}>Show theirs</button>
    <button class="knob" type="button" onclick={() => bench.saver.insist(bench.formula)}
      >Put mine on top</button
    >
    <button class="knob knob-act" type="button" onclick={keepAsNew}
      >Keep mine as a new formula</button
    >
  </div>
{:else if bench.saver.state === 'refused' || bench.saver.state === 'waiting'}
  <p class="bowl mb-3 bg-act-tint p-3" role="alert">{bench.saver.why}</p>
{/if}
