<script lang="ts">
  import CloudOff from '@lucide/svelte/icons/cloud-off';
  import { page } from '$app/state';
  import { later } from '../ui/later.ts';
  import { outbox } from './here.ts';
  import { pairAddress } from './pair-address.ts';
  import { sync } from './sync.svelte.ts';

  const standing = $derived(sync.standing);
  const things = $derived(sync.waiting === 1 ? '1 thing waits' : `${sync.waiting} things wait`);

  const aside = later(() => import('./Aside.svelte'));
</script>

{#if sync.isStuck || standing.storage !== 'kept' || standing.aside.length > 0}
  <div class="no-print border-b-2 border-act bg-act-tint">
    <div
      class="mx-auto flex max-w-[88rem] flex-wrap items-center gap-x-4 gap-y-1 px-4 py-2"
      role="status"
      data-testid="sync"
    >
      {#if sync.isStuck}
        <span class="inline-flex items-center gap-2">
          <CloudOff size={20} aria-hidden="true" />
          {#if standing.unpaired}
            <span
              ><b>This device is locked out.</b>
              {standing.unpaired === 'forgotten'
                ? 'It was forgotten in the Pantry.'
                : `${things} in this browser until it is.`}</span
            >
          {:else}
            <span
              ><b>{standing.why ? 'The kitchen cannot store just now.' : 'The server is away.'}</b>
              {things} in this browser and {sync.waiting === 1 ? 'goes' : 'go'} out by {sync.waiting ===
              1
                ? 'itself'
                : 'themselves'}.
              {standing.why}</span
            >
          {/if}
        </span>
        {#if standing.unpaired}
          <a
            class="knob"
            href={pairAddress(standing.unpaired, page.url.pathname)}
            data-sveltekit-reload>Come in again</a
          >
        {:else}
          <button class="knob" type="button" onclick={() => void outbox().tryNow()}>Try now</button>
        {/if}
      {/if}
      {#if standing.storage === 'memory'}
        <span
          ><b>This browser cannot keep what you type.</b> Do not close the page before it says Saved.</span
        >
      {:else if standing.storage === 'full'}
        <span
          ><b>This browser has no room left.</b> Do not close the page before it says Saved.</span
        >
      {/if}
      {#if standing.aside.length > 0}
        {#await aside() then { default: Aside }}<Aside />{/await}
      {/if}
    </div>
  </div>
{/if}
