<script lang="ts">
  import { gramsText, type Slip } from '@tender-crumb/core';
  import Check from '@lucide/svelte/icons/check';
  import type { Bench } from '../bench/bench.svelte.ts';

  let { slip, bench }: { slip: Slip; bench: Bench } = $props();

  const sure = $derived(
    slip.certainty > 0.9 ? 'very likely' : slip.certainty > 0.7 ? 'likely' : 'as likely as not',
  );
  const point = () => (bench.pointedSlip = slip.key);
  const unpoint = () => (bench.pointedSlip = undefined);
</script>

<article
  class="slip"
  class:pointed={bench.pointedSlip === slip.key}
  aria-label="Slip: {slip.kind}"
  onpointerenter={point}
  onpointerleave={unpoint}
  onfocusin={point}
  onfocusout={unpoint}
>
  <h3>
    <span class="amount">{slip.grams > 0 ? '+' : ''}{gramsText(slip.grams)}</span>
    {bench.pantry.ingredient(slip.ingredient).name}
    <span class="quiet">· {slip.spoons}</span>
  </h3>
  <p>{slip.reason}</p>
  <p class="quiet">
    <b>{sure}</b>, from {slip.basis}. Left alone: {slip.ifLeft.charAt(0).toLowerCase() +
      slip.ifLeft.slice(1)}
  </p>
  <div class="decide no-print">
    <button class="knob knob-act" type="button" onclick={() => bench.take(slip)}>
      <Check size={18} aria-hidden="true" /> Take
    </button>
    <button class="knob" type="button" onclick={() => bench.leave(slip)}>Leave</button>
  </div>
</article>

<style>
  .slip {
    display: grid;
    gap: 0.35rem;
    padding: 0.7rem 0.9rem 0.8rem;
    border: 1.5px dashed var(--act);
    border-radius: 2px 2px 14px 14px;
    background: var(--act-tint);
    font-size: 0.925rem;
    line-height: 1.35;
  }
  .slip.pointed {
    border-style: solid;
  }
  h3 {
    font-weight: 650;
  }
  .amount {
    font-size: 1.25rem;
  }
  .decide {
    display: flex;
    gap: 0.5rem;
    margin-top: 0.2rem;
  }
</style>
