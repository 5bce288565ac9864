<script lang="ts">
  import Camera from '@lucide/svelte/icons/camera';
  import { deed } from '../sync/deeds.ts';
  import { outbox } from '../sync/here.ts';
  import { photoEntry } from '../sync/kinds.ts';
  import { sync } from '../sync/sync.svelte.ts';
  import { nanoid } from 'nanoid';
  import type { Run } from '../run/run.svelte.ts';
  import { takePhoto } from './take.ts';

  let { run, step, label }: { run: Run; step: string; label: string } = $props();

  const photos = $derived(run.view.state.photos.filter((p) => p.step === step));
  /** What waits in this browser is shown from here. */
  const waiting = $derived(
    new Set(
      sync.standing.waiting.filter((e) => e.kind === 'photo').map((e) => e.key.split('/').at(-1)),
    ),
  );
  let fault = $state('');
  let busy = $state(false);
  const here = $state<Record<string, string>>({});

  async function take(files: FileList | null) {
    fault = '';
    busy = true;
    for (const file of files ?? []) {
      const taken = await takePhoto(file);
      if ('refused' in taken) {
        fault = taken.refused;
        continue;
      }
      const photo = nanoid();
      here[photo] = URL.createObjectURL(new Blob([taken.bytes], { type: 'image/jpeg' }));
      await outbox().add(photoEntry({ bake: run.id, photo, step, bytes: taken.bytes }));
      run.say('photo', { photo, step });
    }
    busy = false;
  }

  async function away(event: string, photo: string) {
    run.retract(event);
    await deed('drop-photo', { of: `/api/v1/bakes/${run.id}/photos/${photo}` }).catch(
      () => undefined,
    );
  }
  const source = (photo: string) =>
    here[photo] ?? `/api/v1/bakes/${run.id}/photos/${photo}?size=small`;
</script>

<section class="no-print grid gap-2" aria-label="Photos: {label}">
  <div class="flex flex-wrap items-center gap-2">
    <label class="knob min-h-14">
      <Camera size={20} aria-hidden="true" />
      {busy ? 'Making it smaller …' : 'Photo'}
      <input
        class="sr-only"
        type="file"
        accept="image/*"
        capture="environment"
        multiple
        onchange={(e) => {
          void take(e.currentTarget.files);
          e.currentTarget.value = '';
        }}
      />
    </label>
    {#each photos as { event, photo, at } (event)}
      <figure class="relative">
        <a href="/api/v1/bakes/{run.id}/photos/{photo}" target="_blank" rel="noreferrer">
          <img
            class="h-20 rounded-b-xl border border-line"
            src={source(photo)}
            alt="{label}, {new Date(at).toLocaleString('en-GB')}"
          />
        </a>
        {#if waiting.has(photo)}<figcaption class="quiet">waits to be sent</figcaption>{/if}
        <button
          class="quiet touch underline"
          type="button"
          aria-label="Take this photo away"
          onclick={() => void away(event, photo)}>away</button
        >
      </figure>
    {/each}
  </div>
  {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
</section>
