<script lang="ts">
  import { parseNumber, scaleTo, type ScaleTarget } from '@tender-crumb/core';
  import type { Bench } from './bench.svelte.ts';

  let { bench }: { bench: Bench } = $props();

  let target = $state<ScaleTarget>('dough');
  let text = $state('');
  let fault = $state('');

  function scale(event: SubmitEvent) {
    event.preventDefault();
    const grams = parseNumber(text);
    const scaled =
      grams && grams <= 100_000 ? scaleTo(bench.formula, target, grams, bench.pantry) : undefined;
    fault = scaled
      ? ''
      : grams
        ? 'The held lines alone weigh more than that, or nothing is left to scale.'
        : 'Grams wanted, such as 900.';
    if (!scaled) return;
    bench.edit(scaled);
    text = '';
  }
</script>

<form class="flex flex-wrap items-center gap-2" onsubmit={scale}>
  <label class="quiet" for="scale-target">Scale to</label>
  <input
    class="field w-20 text-right"
    inputmode="decimal"
    bind:value={text}
    aria-label="Grams wanted"
    aria-invalid={fault ? 'true' : undefined}
    aria-describedby={fault ? 'scale-fault' : undefined}
    placeholder="900"
  />
  <span class="quiet">g of</span>
  <select id="scale-target" class="field" bind:value={target}>
    <option value="dough">dough</option>
    <option value="flour">flour</option>
  </select>
  <button class="knob" type="submit">Scale</button>
  {#if fault}<span id="scale-fault" class="text-sm text-act" role="alert">{fault}</span>{/if}
</form>
