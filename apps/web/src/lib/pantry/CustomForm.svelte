<script lang="ts">
  import type { Custom } from '@tender-crumb/core';
  import { untrack } from 'svelte';
  import { numberIn } from './faults.ts';

  let { custom, onkeep }: { custom: Custom | undefined; onkeep: (of: Custom | undefined) => void } =
    $props();

  // What is typed stays, whatever else of the page is fetched anew meanwhile.
  let called = $state(untrack(() => custom?.name ?? ''));
  let fromFlour = $state(untrack(() => (custom ? String(custom.fromFlour) : '')));
  let grams = $state(untrack(() => (custom ? String(custom.grams) : '')));
  let fault = $state('');

  function keep() {
    fault = '';
    if (called.trim() === '') {
      if (custom) onkeep(undefined);
      return;
    }
    if (fromFlour.trim() === '' || grams.trim() === '') return;
    const [from, aside] = [numberIn(fromFlour), numberIn(grams)];
    if (!from || !aside || from < 100 || from > 50_000 || aside < 1 || aside > 5000) {
      fault = 'From how much flour, 100 g to 50 kg, and how much is set aside, 1 g to 5 kg?';
      return;
    }
    onkeep({ name: called.trim().slice(0, 60), fromFlour: from, grams: aside });
  }
</script>

<section class="grid gap-2" aria-labelledby="custom">
  <h2 id="custom">A piece set aside by custom</h2>
  <p class="quiet">
    Some households set a piece of dough aside once a batch has so much flour. Whether, from how
    much and how much of it, yours decides; you are reminded when it is divided.
  </p>
  <div class="flex flex-wrap items-end gap-2">
    <label class="quiet grid flex-1 basis-40 gap-1"
      >What it is called
      <input
        class="field text-base text-ink"
        maxlength="60"
        placeholder="none here"
        bind:value={called}
        onchange={keep}
      />
    </label>
    <label class="quiet grid gap-1"
      >From flour, g
      <input
        class="field w-28 text-right text-base text-ink"
        inputmode="numeric"
        bind:value={fromFlour}
        onchange={keep}
      />
    </label>
    <label class="quiet grid gap-1"
      >Set aside, g
      <input
        class="field w-24 text-right text-base text-ink"
        inputmode="numeric"
        bind:value={grams}
        onchange={keep}
      />
    </label>
  </div>
  {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
</section>
