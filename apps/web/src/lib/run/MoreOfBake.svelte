<script lang="ts">
  import DeviceDrawer from '../devices/DeviceDrawer.svelte';
  import DinnerMoved from '../plan/DinnerMoved.svelte';
  import type { Planning } from '../plan/planning.svelte.ts';
  import type { Run } from './run.svelte.ts';
  import { speech } from './speech.svelte.ts';

  /** What a bake’s page keeps folded: another time, practice devices, how it is led, giving it up. */
  let {
    run,
    planning,
    planId,
    readyAt,
  }: { run: Run; planning: Planning; planId: string; readyAt: string | undefined } = $props();

  let asked = $state(false);
</script>

<div class="mt-3 grid gap-3">
  <DinnerMoved
    {planning}
    bake={planId}
    ready={readyAt}
    large
    ontake={({ tells }) => tells.forEach((e) => run.say(e.kind, e.data))}
  />
  <DeviceDrawer />
  <div class="flex flex-wrap items-center gap-3">
    <button
      class="knob min-h-14"
      type="button"
      onclick={() => run.say('guided', { on: run.view.state.guided !== true })}
      >{run.view.state.guided ? 'Short instructions' : 'Lead me sentence by sentence'}</button
    >
    {#if speech.can}
      <button
        class="knob min-h-14"
        type="button"
        aria-pressed={speech.on}
        onclick={() => speech.turn()}>Read each step aloud</button
      >
    {/if}
    {#if asked}
      <span>Cancel this bake? Your notes stay.</span>
      <button class="knob knob-act min-h-14" type="button" onclick={() => run.giveUp()}
        >Yes, cancel it</button
      >
      <button class="knob min-h-14" type="button" onclick={() => (asked = false)}>No</button>
    {:else}
      <button class="knob min-h-14" type="button" onclick={() => (asked = true)}
        >Cancel this bake</button
      >
    {/if}
  </div>
</div>
