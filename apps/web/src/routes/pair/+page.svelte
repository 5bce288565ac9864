<script lang="ts">
  import { onMount } from 'svelte';
  import type { PageProps } from './$types';

  let { data, form }: PageProps = $props();

  const fault = $derived(form?.fault as { code?: string; name?: string } | undefined);
  // svelte-ignore state_referenced_locally
  let code = $state(form?.code ?? '');
  // svelte-ignore state_referenced_locally
  let name = $state(form?.name ?? '');

  onMount(() => {
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
  <p class="mt-2 text-lg">
    This device is not known here yet. Enter the code that stands where the program was started, or
    in the Pantry of a device that is in already. Once is enough.
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
    What was typed on this device and not sent yet is kept here and goes out when it is in.
  </p>
</section>

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
