<script lang="ts">
  import { celsiusTyped, numberTyped } from '@tender-crumb/core/quantity';
  import { DateTime } from 'luxon';
  import { untrack } from 'svelte';
  import type { Planning } from './planning.svelte.ts';
  import { momentOfField } from './when.ts';
  import { say, writing } from '../ui/writing.ts';
  import { currentMs } from '../clock.ts';

  let {
    planning,
    breads,
    first,
  }: {
    planning: Planning;
    breads: ReadonlyArray<{ readonly id: string; readonly name: string }>;
    /** The bread that is offered first. */
    first?: string;
  } = $props();

  const zone = untrack(() => planning.data.zone);
  /** Tomorrow at one: when most people would like bread on the table. */
  const tomorrow = DateTime.fromMillis(currentMs())
    .setZone(zone)
    .plus({ days: 1 })
    .set({ hour: 13, minute: 0 })
    .toFormat("yyyy-MM-dd'T'HH:mm");

  let formula = $state(untrack(() => first ?? breads[0]?.id ?? ''));
  let wish = $state<'ready' | 'soon' | 'begin'>('ready');
  let moment = $state(tomorrow);
  let room = $state('');
  let ripe = $state(false);
  let fault = $state('');

  const wishes = [
    ['ready', 'On the table at'],
    ['begin', 'Begun at'],
    ['soon', 'As soon as it can be'],
  ] as const;

  async function add(event: SubmitEvent) {
    event.preventDefault();
    fault = '';
    const at = wish === 'soon' ? undefined : momentOfField(moment, zone);
    if (wish !== 'soon' && at === undefined) {
      fault = 'Enter a day and a time.';
      return;
    }
    if (at !== undefined && Date.parse(at) < currentMs() - 60_000) {
      fault = 'That time has passed. Choose a later one.';
      return;
    }
    const typed = room.trim() === '' ? undefined : numberTyped(room, writing());
    const celsius = typed === undefined ? undefined : celsiusTyped(typed, writing());
    if (room.trim() !== '' && (celsius === undefined || celsius < 0 || celsius > 45)) {
      fault = say('A kitchen of 0 to 45 °C: colder, nothing rises; hotter, it is no kitchen.');
      return;
    }
    await planning.add(formula, {
      ...(at === undefined ? {} : wish === 'ready' ? { readyBy: at } : { beginAt: at }),
      ...(celsius === undefined ? {} : { roomC: celsius }),
      ...(ripe ? { ripe } : {}),
    });
  }
</script>

<form class="grid gap-3" onsubmit={add} novalidate>
  <label class="quiet grid gap-1"
    >Bread
    <select class="field text-base text-ink" bind:value={formula}>
      {#each breads as { id, name } (id)}<option value={id}>{name}</option>{/each}
    </select>
  </label>
  <label class="quiet grid gap-1"
    >When
    <select class="field text-base text-ink" bind:value={wish}>
      {#each wishes as [id, label] (id)}<option value={id}>{label}</option>{/each}
    </select>
  </label>
  {#if wish !== 'soon'}
    <label class="quiet grid gap-1"
      >Day and time
      <input class="field text-base text-ink" type="datetime-local" bind:value={moment} />
    </label>
  {/if}
  <label class="quiet grid gap-1"
    >Kitchen then, °{writing().temperature}
    <input
      class="field w-28 text-right text-base text-ink"
      inputmode="decimal"
      placeholder={planning.data.household.room.celsius === undefined ? '22' : 'as it is'}
      bind:value={room}
    />
  </label>
  <label class="touch flex items-center gap-2">
    <input type="checkbox" bind:checked={ripe} />
    Starter or pre-ferment is ripe already
  </label>
  {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
  <p><button class="knob knob-act" type="submit" disabled={formula === ''}>Plan it</button></p>
</form>
