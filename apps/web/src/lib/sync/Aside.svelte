<script lang="ts">
  import { Dialog } from 'bits-ui';
  import { copyText } from '../ui/copy.ts';
  import { clashText } from './clash-words.ts';
  import type { SetAside } from './entry.ts';
  import { outbox } from './here.ts';
  import { kindOf } from './kinds.ts';
  import { sync } from './sync.svelte.ts';

  const standing = $derived(sync.standing);
  const clashing = $derived(standing.aside.every((one) => one.clashes));
  let said = $state('');

  function asideSays(all: readonly SetAside[]): string {
    const clashes = all.filter((one) => one.clashes).length;
    const refused = all.length - clashes;
    return [
      ...(clashes > 0
        ? [
            clashes === 1
              ? 'Two devices say different things'
              : `Two devices say different things, ${clashes} times`,
          ]
        : []),
      ...(refused > 0
        ? [refused === 1 ? '1 thing was refused' : `${refused} things were refused`]
        : []),
    ].join(', ');
  }

  const moment = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });
  const saysOf = ({ entry }: SetAside) =>
    kindOf(entry)?.says(entry.body) ?? 'Something that an earlier version kept';

  async function copy({ entry }: SetAside) {
    said = (await copyText(JSON.stringify(entry.body, null, 2)))
      ? 'Copied as text.'
      : 'This browser blocks copying.';
  }
</script>

<Dialog.Root>
  <Dialog.Trigger class="knob">{asideSays(standing.aside)}: look</Dialog.Trigger>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-black/45" />
    <Dialog.Content
      class="bowl fixed top-1/2 left-1/2 z-50 max-h-[88vh] w-[min(38rem,94vw)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto p-5"
    >
      <Dialog.Title class="text-xl font-bold"
        >{clashing
          ? 'Two devices say different things'
          : 'What the kitchen would not take'}</Dialog.Title
      >
      <Dialog.Description class="quiet">
        {clashing
          ? 'Theirs was saved first. Yours is kept here until you decide.'
          : 'It is kept in this browser until you decide; nothing behind it was held up.'}
      </Dialog.Description>
      <p class="quiet min-h-5" role="status">{said}</p>
      <ul class="grid gap-3">
        {#each standing.aside as one (one.id)}
          <li class="grid gap-2 border-t border-line pt-2">
            <span
              ><b>{saysOf(one)}</b>
              <span class="quiet">{moment.format(new Date(one.entry.at))}</span></span
            >
            {#if one.clashes}
              <dl class="grid gap-2">
                {#each one.clashes.map(clashText) as { place, mine, theirs } (place)}
                  <div class="grid grid-cols-[auto_1fr] gap-x-3">
                    <dt class="col-span-2 font-semibold">{place}</dt>
                    <dt class="quiet">mine</dt>
                    <dd>{mine}</dd>
                    <dt class="quiet">theirs</dt>
                    <dd>{theirs}</dd>
                  </div>
                {/each}
              </dl>
            {:else}
              <span>{one.why}</span>
            {/if}
            <span class="flex flex-wrap gap-2">
              {#if kindOf(one.entry)}
                <button class="knob" type="button" onclick={() => void outbox().again(one)}
                  >{one.clashes ? 'Keep mine' : 'Send it again'}</button
                >
              {/if}
              <button class="knob" type="button" onclick={() => void copy(one)}>Copy as text</button
              >
              <button class="knob" type="button" onclick={() => void outbox().throwAway(one.id)}
                >{one.clashes ? 'Keep theirs' : 'Throw it away'}</button
              >
            </span>
          </li>
        {/each}
      </ul>
      <Dialog.Close class="knob mt-4">Close</Dialog.Close>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
