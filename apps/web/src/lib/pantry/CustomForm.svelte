<script lang="ts">
  import type { Custom } from '@tender-crumb/core/household';
  import { untrack } from 'svelte';
  import { numberIn } from './faults.ts';

  let { custom, onkeep }: { custom: Custom | undefined; onkeep: (of: Custom | undefined) => void } =
    $props();

  // What is typed stays, whatever else of the page is fetched anew meanwhile.
  let called = $state(untrack(() => custom?.name ?? ''));
  let typed = $state(
    untrack(() => ({
      fromFlour: custom ? String(custom.fromFlour) : '',
      grams: custom ? String(custom.grams) : '',
    })),
  );
  const amounts = [
    { of: 'fromFlour', label: 'From flour, g' },
    { of: 'grams', label: 'Set aside, g' },
  ] as const;
  let fault = $state('');

  function keep() {
    fault = '';
    if (called.trim() === '') {
      if (custom) onkeep(undefined);
      return;
    }
    if (typed.fromFlour.trim() === '' || typed.grams.trim() === '') return;
    const [from, aside] = [numberIn(typed.fromFlour), numberIn(typed.grams)];
    if (!from || !aside || from < 100 || from > 50_000 || aside < 1 || aside > 5000) {
      fault = 'Flour from 100 g to 50 kg, dough set aside from 1 g to 5 kg.';
      return;
    }
    onkeep({ name: called.trim().slice(0, 60), fromFlour: from, grams: aside });
  }
</script>

<section class="grid gap-2" aria-labelledby="custom">
  <h2 id="custom">A piece set aside by custom</h2>
  <p class="quiet">
    Some households set a piece of dough aside once a batch has so much flour. We remind you when
    you divide the dough.
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
    {#each amounts as amount (amount.label)}
      <label class="quiet grid gap-1"
        >{amount.label}
        <input
          class="field w-28 text-right text-base text-ink"
          inputmode="numeric"
          bind:value={() => typed[amount.of], (text) => (typed[amount.of] = text)}
          onchange={keep}
        />
      </label>
    {/each}
  </div>
  {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
</section>
