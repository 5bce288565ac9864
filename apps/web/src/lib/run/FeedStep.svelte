<script lang="ts">
  import type { RunStep } from '@tender-crumb/core/lead';
  import { sumGrams } from '@tender-crumb/core/quantity';
  import type { Stirred } from '@tender-crumb/core/starter';
  import { asMass } from '../ui/writing.ts';
  import type { Run } from './run.svelte.ts';

  let { run, step, feeding }: { run: Run; step: RunStep; feeding: Stirred | undefined } = $props();

  const jar = $derived(step.stage === undefined ? undefined : run.view.jarOf(step.stage));
  const parts = $derived(
    feeding
      ? ([
          ['starter', feeding.seed],
          ['flour', feeding.flour],
          ['water', feeding.water],
        ] as const)
      : [],
  );
  const wanted = $derived(sumGrams(run.view.planned.filter((l) => l.stage === step.stage)));
</script>

{#if feeding}
  <ol class="grid gap-2" aria-label="What it is fed with">
    {#each parts as [name, grams] (name)}
      <li class="bowl flex items-baseline justify-between px-4 py-2">
        <span class="text-xl font-semibold">{name}</span>
        <b class="figure">{asMass(grams)}</b>
      </li>
    {/each}
  </ol>
  <p class="quiet mt-2">
    It gives {asMass(wanted)} for the dough, and some to keep.{jar
      ? ` It goes into the record of ${jar.name} too.`
      : ''}
  </p>
{:else}
  <p class="text-lg">
    {asMass(wanted)} of ripe starter needed. How to feed it comes with the times.
  </p>
{/if}

<style>
  .figure {
    font-size: 2.5rem;
    line-height: 1;
  }
</style>
