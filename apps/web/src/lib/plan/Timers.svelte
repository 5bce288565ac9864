<script lang="ts">
  import X from '@lucide/svelte/icons/x';
  import { nanoid } from 'nanoid';
  import { minutesIn } from '@tender-crumb/core/quantity';
  import { saidRow, type Settled } from '../sync/said.ts';
  import type { Timer } from '../server/store/timers.ts';
  import { refresh } from '../ui/refresh.ts';
  import { bell } from './bell.svelte.ts';
  import { timeText, untilText } from './when.ts';
  import { currentMs } from '../clock.ts';

  let { timers, now, zone }: { timers: readonly Timer[]; now: Date; zone: string } = $props();

  let name = $state('');
  let span = $state('');
  let fault = $state('');

  /** “45” is minutes; “1 h 30 min” and “2 hours” are what they say. */
  const minutes = (text: string): number | undefined =>
    /^\s*\d+(?:[.,]\d+)?\s*$/.test(text)
      ? Number(text.replace(',', '.'))
      : minutesIn(text.replace(/(\d)\s*h\s+/i, '$1 hour '))?.least;

  async function ask(what: () => Promise<Settled>) {
    fault = '';
    try {
      const { refused, waits, says } = await what();
      if (refused) throw new Error(says);
      if (!waits) await refresh();
      return true;
    } catch (refusal) {
      fault = `That was not written down: ${(refusal as Error).message}`;
      return false;
    }
  }

  async function set(event: SubmitEvent) {
    event.preventDefault();
    const length = minutes(span);
    if (length === undefined || !(length > 0) || length > 14 * 24 * 60) {
      fault = 'How long? Minutes, or “1 h 30 min”, up to two weeks.';
      return;
    }
    const dueAt = new Date(currentMs() + length * 60_000).toISOString();
    const timer = { name: name.trim() || 'Timer', dueAt };
    if (await ask(() => saidRow('timer', { id: nanoid(), row: timer }))) name = span = '';
  }
</script>

<section class="bowl no-print grid gap-2 p-4" aria-labelledby="timers">
  <h2 id="timers" class="text-lg font-bold">Timers</h2>
  {#if timers.length > 0}
    <ul>
      {#each timers as timer (timer.id)}
        {@const due = Date.parse(timer.dueAt) <= now.getTime()}
        <li class="flex items-center justify-between gap-2 border-t border-line py-1">
          <span class:text-act={due} class:font-bold={due}
            >{timer.name} · {timeText(timer.dueAt, zone, now)}
            <span class="quiet">{untilText(timer.dueAt, now)}</span></span
          >
          <button
            class="knob touch px-2"
            type="button"
            aria-label="Stop {timer.name}"
            onclick={() => void ask(() => saidRow('timer-off', { id: timer.id }))}
            ><X size={16} /></button
          >
        </li>
      {/each}
    </ul>
  {/if}
  <form class="flex flex-wrap items-end gap-2" onsubmit={set} novalidate>
    <label class="quiet grid flex-1 basis-28 gap-1"
      >What for
      <input class="field text-base text-ink" maxlength="80" bind:value={name} autocomplete="off" />
    </label>
    <label class="quiet grid gap-1"
      >Minutes
      <input class="field w-28 text-right text-base text-ink" bind:value={span} />
    </label>
    <button class="knob touch" type="submit">Set</button>
  </form>
  {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
  <p class="quiet flex flex-wrap items-center gap-2">
    {#if bell.on}
      Rings on this page.
      <button class="link touch" type="button" onclick={() => bell.silence()}>Be silent</button>
    {:else}
      <button class="knob touch" type="button" onclick={() => void bell.start()}
        >Let it ring here</button
      >
      The browser needs your OK to make a sound.
    {/if}
  </p>
</section>
