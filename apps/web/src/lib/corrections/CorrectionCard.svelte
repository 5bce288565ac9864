<script lang="ts">
  import { certaintyWords, type Correction } from '@tender-crumb/core/correct';
  import { capital } from '@tender-crumb/core/quantity';
  import Check from '@lucide/svelte/icons/check';
  import type { Bench } from '../bench/bench.svelte.ts';
  import { asMass, say } from '../ui/writing.ts';

  let { correction, bench }: { correction: Correction; bench: Bench } = $props();

  const sure = $derived(certaintyWords(correction.certainty, bench.view.kitchen.coefficients));
  const point = () => (bench.pointedCorrection = correction.key);
  const unpoint = () => (bench.pointedCorrection = undefined);
</script>

<article
  class="correction"
  class:pointed={bench.pointedCorrection === correction.key}
  aria-label="Correction: {correction.kind}"
  onpointerenter={point}
  onpointerleave={unpoint}
  onfocusin={point}
  onfocusout={unpoint}
>
  <h3>
    <span class="amount">{correction.grams > 0 ? '+' : ''}{asMass(correction.grams)}</span>
    {correction.name}
    <span class="quiet">· {say(correction.spoons)}</span>
  </h3>
  <p>{say(correction.reason)}</p>
  <details class="quiet">
    <summary>{capital(sure)}. Why?</summary>
    <p class="mt-1">
      From {say(correction.basis)}. {say(correction.ifLeft)}
      {#if correction.restsOn}
        <a class="link no-print" href="/book/learned?of={encodeURIComponent(correction.restsOn)}"
          >Which bakes</a
        >
      {/if}
    </p>
  </details>
  <div class="decide no-print">
    <button class="knob knob-act" type="button" onclick={() => bench.take(correction)}>
      <Check size={18} aria-hidden="true" /> Take
    </button>
    <button class="knob" type="button" onclick={() => bench.leave(correction)}>Leave</button>
  </div>
</article>

<style>
  .correction {
    display: grid;
    gap: 0.35rem;
    padding: 0.7rem 0.9rem 0.8rem;
    border: 1.5px dashed var(--act);
    border-radius: 2px 2px 14px 14px;
    background: var(--act-tint);
    font-size: 0.925rem;
    line-height: 1.35;
  }
  .correction.pointed {
    border-style: solid;
  }
  h3 {
    font-weight: 650;
  }
  h3 {
    font-size: 1.1rem;
    line-height: 1.25;
  }
  .amount {
    font-size: 1.5rem;
  }
  .decide {
    display: flex;
    gap: 0.5rem;
    margin-top: 0.2rem;
  }
</style>
