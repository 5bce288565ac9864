<script lang="ts">
  import type { Household } from '@tender-crumb/core/household';
  import type { DeviceId } from '@tender-crumb/core/machine';
  import { ordersAsked, waysMade } from '@tender-crumb/core/process';
  import HouseQuestion from '../ask/HouseQuestion.svelte';
  import Either from '../ui/Either.svelte';

  let {
    household,
    device,
    size = 'small',
    onpick,
  }: {
    household: Household;
    device: DeviceId;
    size?: 'small' | 'large';
    onpick: (device: DeviceId) => void;
  } = $props();

  const ways = $derived(waysMade(household));
  const way = $derived(ways.find((w) => w.means.includes(device)));
</script>

<!-- How a dough is made: with hands, a mixer, a machine of the house. -->
<div class="flex flex-wrap items-center gap-2">
  <Either
    label="How it is made"
    {size}
    value={way?.device}
    choices={ways.map((w) => [w.device, w.label])}
    {onpick}
  />
  {#if way && way.means.length > 1}
    <Either
      label="The order it is loaded in"
      {size}
      value={device}
      choices={[...ordersAsked]}
      {onpick}
    />
  {/if}
</div>
{#if way && way.means.length > 1}
  <HouseQuestion of="machine" {household} {size} onanswer={({ makes }) => makes && onpick(makes)} />
{/if}
