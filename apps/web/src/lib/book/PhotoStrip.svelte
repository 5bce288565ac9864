<script lang="ts">
  import type { BakeRecord } from '@tender-crumb/core/book';
  import { deed } from '../sync/deeds.ts';
  import { tellBake } from './events.ts';

  let { record }: { record: BakeRecord } = $props();

  const photos = $derived(record.state.photos);
  const source = (photo: string, size = '') => `/api/v1/bakes/${record.id}/photos/${photo}${size}`;
  let large = $state<string>();
  let fault = $state('');

  async function away(event: string, photo: string) {
    try {
      await tellBake(record.id, 'retracted', { event });
      await deed('drop-photo', { of: source(photo) });
      if (large === photo) large = undefined;
    } catch (refusal) {
      fault = `Not taken away: ${(refusal as Error).message}`;
    }
  }
</script>

{#if photos.length > 0}
  <section class="bowl grid gap-2 p-4" aria-labelledby="photos">
    <h2 id="photos">Photos</h2>
    <ul class="flex flex-wrap gap-3">
      {#each photos as { event, photo, step } (event)}
        <li class="grid gap-1">
          <button
            type="button"
            aria-label="Photo at {step}, larger"
            onclick={() => (large = large === photo ? undefined : photo)}
            ><img
              class="h-28 w-40 rounded object-cover"
              src={source(photo, '?size=small')}
              alt=""
              loading="lazy"
            /></button
          >
          <span class="flex items-center justify-between gap-2"
            ><span class="quiet">{step.replaceAll('-', ' ')}</span>
            <button
              class="knob no-print"
              type="button"
              aria-label="Take the photo at {step} away"
              onclick={() => away(event, photo)}>Away</button
            ></span
          >
        </li>
      {/each}
    </ul>
    {#if large}<img class="max-h-[70vh] rounded" src={source(large)} alt="" />{/if}
    {#if fault}<p role="alert" class="font-semibold text-act">{fault}</p>{/if}
  </section>
{/if}
