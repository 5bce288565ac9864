<script lang="ts">
  import { refresh } from '$lib/ui/refresh.ts';
  import { deed } from '$lib/sync/deeds.ts';
  import { rowEntry } from '$lib/sync/kinds.ts';
  import { mustSay } from '$lib/sync/said.ts';
  import TrustHouse from '$lib/ui/TrustHouse.svelte';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();

  let said = $state('');
  let fault = $state('');
  let busy = $state(false);
  let asked = $state<string | undefined>();

  const when = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });

  async function act(what: () => Promise<unknown>, says: string) {
    busy = true;
    fault = '';
    try {
      await what();
      await refresh();
      said = says;
    } catch (refusal) {
      said = '';
      fault = (refusal as Error).message;
    } finally {
      busy = false;
      asked = undefined;
    }
  }

  const forget = (id: string, name: string) =>
    act(() => deed('forget-device', { of: id }), `“${name}” is forgotten. There is a new code.`);
  const rename = (id: string, name: string) =>
    act(() => mustSay(rowEntry('device', { id, row: { name } })), 'Saved.');
</script>

<svelte:head><title>Tablets and phones · Pantry · Tender Crumb</title></svelte:head>

<h1>Tablets and phones</h1>
<p class="quiet min-h-6" role="status">
  {said}{#if fault}<span class="text-act">{fault}</span>{/if}
</p>

<div class="grid items-start gap-4 lg:grid-cols-2">
  <section class="bowl p-4" aria-labelledby="let-in">
    <h2 id="let-in">Let a tablet or phone in</h2>
    {#if data.addresses.length === 0}
      <p class="mt-2">
        Only this machine can use the program. To open it to the house, start it with <code
          >HOST=0.0.0.0</code
        >; the addresses and the code then stand here.
      </p>
    {:else}
      <div class="mt-2 flex flex-wrap items-center gap-5">
        {#if data.drawing}
          <img class="drawing" src={data.drawing} alt="Address and code, drawn for a camera" />
        {/if}
        <div class="grid flex-1 basis-56 gap-2">
          <p>Point the camera here, or open one of these and enter the code:</p>
          <ul>
            {#each data.addresses as address (address)}<li><code>{address}</code></li>{/each}
          </ul>
          <p class="code" data-testid="code">{data.code}</p>
          <button
            class="knob justify-self-start"
            type="button"
            disabled={busy}
            onclick={() => void act(() => deed('another-code'), 'The code is another one now.')}
            >Another code</button
          >
        </div>
      </div>
    {/if}
    <p class="quiet mt-3">
      Who has the code can see and change all. Do not share it outside the house.
    </p>
  </section>

  <section class="bowl p-4" aria-labelledby="known">
    <h2 id="known">Devices that are in</h2>
    {#if data.devices.length === 0}
      <p class="mt-2">None yet. This machine itself needs no code.</p>
    {:else}
      <ul class="mt-2">
        {#each data.devices as device (device.id)}
          <li class="grid gap-1 border-t border-line py-2">
            <div class="flex flex-wrap items-center justify-between gap-2">
              <input
                class="field flex-1 basis-40 font-semibold"
                aria-label="Name of {device.name}"
                maxlength="40"
                value={device.name}
                disabled={busy}
                onchange={(e) => void rename(device.id, e.currentTarget.value)}
              />
              {#if asked === device.id}
                <button
                  class="knob knob-act"
                  type="button"
                  disabled={busy}
                  onclick={() => void forget(device.id, device.name)}>Yes, forget it</button
                >
                <button class="knob" type="button" onclick={() => (asked = undefined)}>No</button>
              {:else}
                <button
                  class="knob"
                  type="button"
                  aria-label="Forget {device.name}"
                  onclick={() => (asked = device.id)}>Forget</button
                >
              {/if}
            </div>
            <span class="quiet"
              >{#if device.id === data.here}<b>this one</b>,&nbsp;{/if}in since {when.format(
                new Date(device.pairedAt),
              )}, last here {when.format(new Date(device.seenAt))}</span
            >
          </li>
        {/each}
      </ul>
      <p class="quiet mt-2">
        A forgotten device is locked out, even after a restore. It can still save what it has not
        sent.
      </p>
    {/if}
  </section>

  <section class="bowl p-4" aria-labelledby="home-screen">
    <h2 id="home-screen">On the home screen</h2>
    <p class="mt-2">
      Open this page on the tablet. In the browser’s menu choose <i>Add to home screen</i> or
      <i>Install app</i>. Tender Crumb then opens like an app, also while the server is away.
    </p>
    {#if data.trust}
      <p class="quiet mt-2">Trust the certificate of this house first.</p>
    {/if}
  </section>

  {#if data.written.length > 0}
    <section class="bowl p-4" aria-labelledby="written">
      <h2 id="written">Who wrote what lately</h2>
      <ul class="mt-2">
        {#each data.written as { by, what, at, times }, i (i)}
          <li class="flex flex-wrap justify-between gap-x-3 border-t border-line py-1.5">
            <span><b>{by}</b>: {what}{times > 1 ? `, ${times} times` : ''}</span>
            <span class="quiet">{when.format(new Date(at))}</span>
          </li>
        {/each}
      </ul>
    </section>
  {/if}

  {#if data.trust}
    <section class="bowl p-4" aria-labelledby="trust">
      <h2 id="trust">Trust this house once</h2>
      <TrustHouse />
    </section>
  {/if}
</div>

<style>
  .drawing {
    width: 11rem;
    padding: 0.25rem;
    border-radius: 6px;
    background: #fff;
  }
  .code {
    font-size: 2.5rem;
    font-weight: 700;
    letter-spacing: 0.08em;
    line-height: 1.1;
  }
</style>
