<script lang="ts">
  import { onMount } from 'svelte';
  import { dropKeptPages } from '$lib/sync/closed.ts';
  import { outbox } from '$lib/sync/here.ts';
  import { sync } from '$lib/sync/sync.svelte.ts';
  import TrustHouse from '$lib/ui/TrustHouse.svelte';
  import { download } from '$lib/ui/download.ts';
  import type { PageProps } from './$types';

  let { data, form }: PageProps = $props();

  const fault = $derived(form?.fault as { code?: string; name?: string } | undefined);
  // svelte-ignore state_referenced_locally
  let code = $state(form?.code ?? '');
  // svelte-ignore state_referenced_locally
  let name = $state(form?.name ?? '');

  /** What a forgotten device has tapped and never sent: saved or declined before it comes in again. */
  const left = $derived(data.forgotten ? sync.waiting + sync.standing.aside.length : 0);
  let saved = $state(false);

  async function save() {
    download('tapped-and-not-sent.json', 'application/json', await outbox().asText());
    saved = true;
  }
  const clear = () => void outbox().clear();

  onMount(() => {
    void dropKeptPages();
    // The drawn code brings it along behind the address, where no server sees it.
    const brought = decodeURIComponent(location.hash.slice(1));
    if (brought && !code) code = brought;
    const kind = /iPad|Tablet|Android(?!.*Mobile)/i.test(navigator.userAgent)
      ? 'Tablet on the counter'
      : /Mobi/i.test(navigator.userAgent)
        ? 'Phone'
        : 'Laptop';
    name ||= kind;
  });
</script>

<svelte:head><title>Come in · Tender Crumb</title></svelte:head>

<section class="bowl mx-auto mt-6 max-w-xl p-6" aria-labelledby="pair-title">
  <h1 id="pair-title">Come into the kitchen</h1>
  {#if left > 0}
    <p class="mt-2 text-lg">
      <b>This device was forgotten in the Pantry.</b>
      {left === 1 ? 'One thing' : `${left} things`} that you tapped here never reached the kitchen. Save
      {left === 1 ? 'it' : 'them'} as a file, or throw {left === 1 ? 'it' : 'them'} away. Then this device
      can come in again.
    </p>
    <p class="mt-4 flex flex-wrap gap-3">
      <button class="knob knob-large" class:knob-act={!saved} type="button" onclick={save}
        >Save {left === 1 ? 'it' : 'them'} as a file</button
      >
      <button class="knob knob-large" class:knob-act={saved} type="button" onclick={clear}
        >{saved ? 'The file is saved: clear this device' : 'Throw away'}</button
      >
    </p>
  {:else}
    <p class="mt-2 text-lg">
      {data.forgotten
        ? 'This device was forgotten in the Pantry.'
        : 'This device is not known here yet.'} Enter the code, once. Find it where the program was started,
      or in the Pantry of a connected device.
    </p>
    <form class="mt-5 grid gap-4" method="post">
      <input type="hidden" name="to" value={data.to} />
      <label class="grid gap-1 text-lg font-semibold">
        Code
        <input
          class="field code w-full min-w-0"
          name="code"
          autocomplete="off"
          autocapitalize="characters"
          spellcheck="false"
          placeholder="ABCD-2345"
          maxlength="20"
          required
          bind:value={code}
          aria-invalid={fault?.code ? 'true' : undefined}
          aria-describedby={fault?.code ? 'code-fault' : undefined}
        />
        {#if fault?.code}<span id="code-fault" class="text-base text-act" role="alert"
            >{fault.code}</span
          >{/if}
      </label>
      <label class="grid gap-1 text-lg font-semibold">
        What this device is called
        <input
          class="field min-h-14 w-full min-w-0 text-lg font-normal"
          name="name"
          maxlength="40"
          required
          bind:value={name}
          aria-invalid={fault?.name ? 'true' : undefined}
          aria-describedby={fault?.name ? 'name-fault' : undefined}
        />
        {#if fault?.name}<span id="name-fault" class="text-base text-act" role="alert"
            >{fault.name}</span
          >{/if}
      </label>
      <div><button class="knob knob-act knob-large" type="submit">Come in</button></div>
    </form>
    <p class="quiet mt-5">
      What you typed on this device is kept, and goes out once it is connected.
    </p>
  {/if}
</section>

{#if data.trust}
  <section class="bowl mx-auto mt-4 max-w-xl p-6" aria-labelledby="trust-title">
    <h2 id="trust-title">Trust this house once</h2>
    <TrustHouse />
  </section>
{/if}

<style>
  .code {
    min-height: 4rem;
    font-size: 2rem;
    font-weight: 700;
    letter-spacing: 0.12em;
    text-transform: uppercase;
  }
  .code::placeholder {
    font-weight: 400;
    opacity: 0.5;
  }
</style>
