<script lang="ts">
  import { hoursText, numberTyped } from '@tender-crumb/core/quantity';
  import Either from '../ui/Either.svelte';
  import { say, writing } from '../ui/writing.ts';
  import Causes from './Causes.svelte';
  import type { Rescuing } from './rescuing.svelte.ts';

  let { rescue }: { rescue: Rescuing } = $props();

  let fault = $state('');

  function hours(text: string) {
    const value = numberTyped(text, writing());
    if (value === undefined || !(value > 0 && value <= 96)) {
      fault = 'Hours since mixing, up to 96.';
      return;
    }
    fault = '';
    rescue.rise = { ...rescue.rise, hours: value };
  }
</script>

<section class="flex flex-wrap items-end gap-4" aria-label="How it is">
  <label class="quiet grid gap-1"
    >Hours since it was mixed
    <input
      class="field min-h-14 w-28 text-right text-lg"
      inputmode="decimal"
      value={rescue.rise.hours}
      onchange={(e) => hours(e.currentTarget.value)}
    /></label
  >
  <label class="quiet grid gap-1"
    >It stands at, °C
    <input
      class="field min-h-14 w-28 text-right text-lg"
      inputmode="decimal"
      placeholder="the room"
      value={rescue.rise.celsius ?? ''}
      onchange={(e) => {
        const celsius = numberTyped(e.currentTarget.value, writing());
        const { celsius: gone, ...rest } = rescue.rise;
        void gone;
        rescue.rise =
          celsius !== undefined && celsius >= 0 && celsius <= 45 ? { ...rest, celsius } : rest;
      }}
    /></label
  >
  <Either
    label="Its water was"
    size="large"
    value={rescue.rise.water}
    choices={[
      ['cold', 'water cold'],
      ['lukewarm', 'lukewarm'],
      ['hot', 'hot'],
      ['unknown', 'not known'],
    ]}
    onpick={(water) => (rescue.rise = { ...rescue.rise, water })}
  />
  <Either
    label="Its leaven is"
    size="large"
    value={rescue.rise.leaven}
    choices={[
      ['fresh', 'leaven fresh'],
      ['old', 'old, or hungry'],
      ['unknown', 'not known'],
    ]}
    onpick={(leaven) => (rescue.rise = { ...rescue.rise, leaven })}
  />
</section>
<section class="bowl grid gap-3 p-4" aria-live="polite" aria-label="What to do now">
  <ol class="grid gap-2">
    {#each rescue.view.noRise.now as says, i (says)}
      <li class={i === 0 ? 'text-2xl font-semibold' : 'text-lg'}>{say(says)}</li>
    {/each}
  </ol>
  {#if rescue.view.noRise.expected}
    {@const { low, high } = rescue.view.noRise.expected}
    <p class="quiet">
      A dough like this has most likely risen after {hoursText(low)} to {hoursText(high)}.
    </p>
  {/if}
  <Causes causes={rescue.view.noRise.causes} />
</section>
{#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
