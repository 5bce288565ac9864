<script lang="ts">
  import { hoursText } from '@tender-crumb/core/quantity';
  import { hoursToPeak } from '@tender-crumb/core/starter';
  import { asMass } from '../ui/writing.ts';
  import type { Run } from './run.svelte.ts';

  let { run, stage, time }: { run: Run; stage: string; time: (iso: string) => string } = $props();

  const fed = $derived(run.view.fedLast(stage));
  const hours = $derived(fed && hoursToPeak(fed));
</script>

{#if fed}
  <p class="text-lg">
    Fed {time(fed.at)} with {asMass(fed.seed)} of starter, {asMass(fed.flour)} of flour and
    {asMass(fed.water)} of water.
  </p>
  {#if hours === undefined}
    <p class="quiet mt-2">Tap when it is highest: the time goes to its feedings.</p>
    <button class="knob mt-2 min-h-14" type="button" onclick={() => run.peaked(stage)}
      >It stands highest now</button
    >
  {:else}
    <p class="mt-2">It stood highest after {hoursText(hours)}.</p>
  {/if}
{/if}
