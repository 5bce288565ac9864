<script lang="ts">
  import { deed as needing } from '../sync/deeds.ts';
  import { refresh } from '../ui/refresh.ts';

  interface Copy {
    readonly name: string;
    readonly reason: 'nightly' | 'by-hand' | 'before-change' | 'replaced';
    readonly at: string;
    readonly bytes: number;
    readonly bakes: number;
    readonly formulas: number;
    readonly newest?: string;
  }

  let { copies, bakes }: { copies: readonly Copy[]; bakes: number } = $props();

  const reasons: Record<Copy['reason'], string> = {
    nightly: 'of the night',
    'by-hand': 'made by hand',
    'before-change': 'before the program changed',
    replaced: 'what stood here before',
  };
  const moment = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });
  const size = (bytes: number) =>
    bytes < 1024 ** 2 ? `${Math.ceil(bytes / 1024)} kB` : `${(bytes / 1024 ** 2).toFixed(1)} MB`;
  let asked = $state<Copy>();
  let busy = $state(false);
  let said = $state('');
  let fault = $state('');

  async function deed(work: () => Promise<unknown>, says: string) {
    busy = true;
    fault = '';
    said = '';
    try {
      await work();
      said = says;
      asked = undefined;
      await refresh();
    } catch (refusal) {
      fault = (refusal as Error).message;
    } finally {
      busy = false;
    }
  }
</script>

<section class="bowl grid content-start gap-3 p-5" aria-labelledby="copies">
  <h2 id="copies" class="text-xl">Copies</h2>
  <p>
    A copy is made every night, on this machine. We keep seven days, five weeks and twelve months. A
    disk that dies takes them along: take it all out now and then, and keep that elsewhere.
  </p>
  <p>
    <button
      class="knob min-h-11"
      type="button"
      disabled={busy}
      onclick={() => deed(() => needing('make-copy'), 'A copy was made.')}>Make a copy now</button
    >
  </p>
  {#if said}<p role="status">{said}</p>{/if}
  {#if fault}<p role="alert" class="font-semibold text-act">{fault}</p>{/if}
  {#if copies.length === 0}
    <p class="quiet">None yet. The first is made a minute after the start.</p>
  {:else}
    <ul class="grid max-h-96 gap-1 overflow-y-auto">
      {#each copies as copy (copy.name)}
        <li class="flex flex-wrap items-center justify-between gap-2 border-t border-line py-1">
          <span
            ><b>{moment.format(new Date(copy.at))}</b>
            <span class="quiet"
              >{reasons[copy.reason]}, {copy.bakes} bakes, {copy.formulas} formulas, {size(
                copy.bytes,
              )}</span
            ></span
          >
          <button
            class="knob"
            type="button"
            disabled={busy}
            onclick={() => {
              said = '';
              asked = copy;
            }}>Restore</button
          >
        </li>
      {/each}
    </ul>
  {/if}
  {#if asked}
    {@const copy = asked}
    <div
      class="grid gap-2 rounded-md bg-act-tint p-3"
      role="alertdialog"
      aria-label="Put a copy back"
    >
      <p>
        <b>{bakes} bakes</b> as they stand now are replaced by the
        <b>{copy.bakes} bakes and {copy.formulas} formulas</b> of {moment.format(
          new Date(copy.at),
        )}{copy.newest ? `; its newest bake is of ${moment.format(new Date(copy.newest))}` : ''}.
        What stands here now becomes a copy itself, so that there is a way back.
      </p>
      <p class="flex flex-wrap gap-2">
        <button
          class="knob knob-act min-h-11"
          type="button"
          disabled={busy}
          onclick={() =>
            deed(() => needing('put-back', { body: { name: copy.name } }), 'It is put back.')}
          >{busy ? 'Restoring …' : 'Restore'}</button
        >
        <button class="knob min-h-11" type="button" onclick={() => (asked = undefined)}
          >Leave it</button
        >
      </p>
    </div>
  {/if}
</section>
