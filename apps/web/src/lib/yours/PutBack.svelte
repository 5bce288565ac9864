<script lang="ts">
  import { Incoming } from './incoming.svelte.ts';

  const incoming = new Incoming();
  const day = new Intl.DateTimeFormat('en-GB', { dateStyle: 'long', timeStyle: 'short' });
  const madeAt = $derived(
    incoming.look && !Number.isNaN(Date.parse(incoming.look.madeAt))
      ? day.format(new Date(incoming.look.madeAt))
      : 'an unknown day',
  );
</script>

<section class="bowl grid content-start gap-3 p-5" aria-labelledby="put-back">
  <h2 id="put-back" class="text-xl">Restore, or bring in another kitchen</h2>
  <p>
    We check the file on a copy of your kitchen first. Then you see what is new, what you have and
    what differs. Nothing of yours is removed.
  </p>
  <p>
    <label class="knob min-h-11"
      >Pick the file
      <input
        class="sr-only"
        type="file"
        accept=".zip,application/zip"
        onchange={(e) => {
          const [file] = e.currentTarget.files ?? [];
          e.currentTarget.value = '';
          if (file) void incoming.send(file);
        }}
      /></label
    >
  </p>
  {#if incoming.sent !== undefined}
    <p role="status">
      Sending it … <progress max="1" value={incoming.sent} aria-label="Sent so far"></progress>
    </p>
  {:else if incoming.looking || incoming.taking}
    {@const { doing, done, total } = incoming.working ?? { doing: 'Looking into it', done: 0 }}
    <p class="flex flex-wrap items-center gap-3" role="status">
      <span
        >{doing}{done > 0
          ? `: ${done.toLocaleString('en')}${total ? ` of ${total.toLocaleString('en')}` : ''}`
          : ' …'}</span
      >
      <button class="knob min-h-11" type="button" onclick={() => void incoming.stop()}>Stop</button>
    </p>
  {/if}
  {#if incoming.fault}<p role="alert" class="font-semibold text-act">{incoming.fault}</p>{/if}
  {#if incoming.look}
    <div class="grid gap-3 rounded-md bg-sunk p-3" role="region" aria-label="What is in the file">
      <p>Taken out on <b>{madeAt}</b>.</p>
      {#if incoming.look.things.length === 0}
        <p>There is nothing in it.</p>
      {:else}
        <div class="overflow-x-auto">
          <table>
            <thead class="quiet text-left"
              ><tr
                ><th class="pr-4 font-normal"></th><th class="pr-4 text-right font-normal">new</th
                ><th class="pr-4 text-right font-normal">the same</th><th
                  class="pr-4 text-right font-normal">differs</th
                ></tr
              ></thead
            >
            <tbody>
              {#each incoming.look.things as thing (thing.table)}
                <tr class="border-t border-line align-top">
                  <td class="py-0.5 pr-4">{thing.says}</td>
                  <td class="py-0.5 pr-4 text-right font-semibold">{thing.fresh || ''}</td>
                  <td class="py-0.5 pr-4 text-right">{thing.same || ''}</td>
                  <td class="py-0.5 pr-4 text-right {thing.other ? 'font-semibold text-act' : ''}"
                    >{thing.other || ''}</td
                  >
                </tr>
                {#if thing.others.length > 0 || thing.orphans > 0}
                  <tr
                    ><td class="quiet pb-1" colspan="4"
                      >{thing.others.join(', ')}{thing.other > thing.others.length ? ' …' : ''}
                      {thing.orphans > 0
                        ? `${thing.orphans} belong to nothing here, and stay out.`
                        : ''}</td
                    ></tr
                  >
                {/if}
              {/each}
            </tbody>
          </table>
        </div>
      {/if}
      {#if incoming.look.passedOver}
        <p>The list of devices in this older file is skipped. Your devices stay.</p>
      {/if}
      {#if incoming.conflicts}
        <fieldset class="grid gap-1">
          <legend class="font-semibold">If both have the same name</legend>
          <label class="flex min-h-11 items-center gap-2"
            ><input type="radio" value="ours" bind:group={incoming.stays} /> what is here stays</label
          >
          <label class="flex min-h-11 items-center gap-2"
            ><input type="radio" value="theirs" bind:group={incoming.stays} /> what is in the file takes
            its place; of a formula it becomes the newest version</label
          >
        </fieldset>
      {/if}
      <p class="flex flex-wrap gap-2">
        {#if incoming.nothingNew}
          <span>All of it is here already.</span>
        {:else}
          <button
            class="knob knob-act min-h-11"
            type="button"
            disabled={incoming.taking}
            onclick={() => incoming.take()}
            >{incoming.taking ? 'Taking it in …' : 'Take it in'}</button
          >
        {/if}
        <button class="knob min-h-11" type="button" onclick={() => incoming.leave()}
          >Leave it</button
        >
      </p>
    </div>
  {/if}
  {#if incoming.came !== undefined}
    <p role="status" class="font-semibold">
      {incoming.came === 0
        ? 'Everything was here already.'
        : `${incoming.came} ${incoming.came === 1 ? 'thing' : 'things'} added. The book learns again with them.`}
    </p>
  {/if}
</section>
