<script lang="ts">
  import { asMass } from '../ui/writing.ts';
  import type { Run } from './run.svelte.ts';

  let { run, when }: { run: Run; when: string } = $props();
</script>

<!-- What goes in once the dough has been felt: each ticked off by itself. -->
{#if run.view.atSignal.length > 0}
  <section class="grid gap-2" aria-label="What is added in">
    <p class="text-lg"><b>{when}</b></p>
    <div class="flex flex-wrap gap-2">
      {#each run.view.atSignal as item (item.id)}
        <button
          class="knob min-h-14 text-lg"
          type="button"
          aria-pressed={run.view.state.weighed.has(item.id)}
          onclick={() =>
            run.view.state.weighed.has(item.id) ? run.unweigh(item) : run.weigh(item)}
          >{item.name}, {asMass(item.grams)}{run.view.state.weighed.has(item.id)
            ? ': in'
            : ''}</button
        >
      {/each}
    </div>
  </section>
{/if}
