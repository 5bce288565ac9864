<script lang="ts">
  import Undo2 from '@lucide/svelte/icons/undo-2';
  import type { Bench } from '../bench/bench.svelte.ts';
  import CorrectionCard from './CorrectionCard.svelte';
  import { asMass, say } from '../ui/writing.ts';
  import Explain from '../ui/Explain.svelte';

  let { bench }: { bench: Bench } = $props();

  /** As many taken ones are shown at once; a formula that has more shows the rest on request. */
  const takenAtOnce = 12;
  let all = $state(false);
  const taken = $derived(all ? bench.formula.taken : bench.formula.taken.slice(0, takenAtOnce));

  const signed = (grams: number) => `${grams > 0 ? '+' : ''}${asMass(grams)}`;
</script>

<section class="corrections" aria-labelledby="corrections-title">
  <h2 id="corrections-title"><Explain word="correction">Corrections</Explain></h2>
  {#if bench.takenOut}
    {@const { says, keeps } = bench.takenOut}
    <div class="gone no-print" role="status">
      <p>{say(says)}</p>
      <div class="flex flex-wrap gap-2">
        {#if keeps}
          <button class="knob" type="button" onclick={() => bench.take(keeps)}>
            {keeps.changes
              .map((c) => `${signed(c.grams)} ${bench.view.pantry.ingredient(c.ingredient).name}`)
              .join(', ')} keeps the dough as firm
          </button>
        {/if}
        <button class="knob" type="button" onclick={() => bench.undo()}>Bring it back</button>
      </div>
    </div>
  {/if}
  {#if bench.view.open.length === 0}
    <p class="quiet">
      {bench.view.evaluation ? 'Nothing to correct.' : 'Add some flour first.'}
    </p>
  {/if}
  <div class="cards">
    {#each bench.view.open as correction (correction.key)}
      <CorrectionCard {correction} {bench} />
    {/each}
  </div>

  {#if bench.formula.taken.length > 0}
    <h3 class="quiet">Taken</h3>
    <ul>
      {#each taken as one (one.id)}
        <li>
          <span>
            {one.changes
              .map((c) => `${signed(c.grams)} ${bench.view.pantry.ingredient(c.ingredient).name}`)
              .join(', ')}
          </span>
          <button
            class="knob no-print"
            type="button"
            aria-label="Undo {one.changes
              .map((c) => `${signed(c.grams)} ${bench.view.pantry.ingredient(c.ingredient).name}`)
              .join(', ')}"
            title={say(one.reason)}
            onclick={() => bench.giveBack(one.id)}
          >
            <Undo2 size={16} aria-hidden="true" /> Undo
          </button>
        </li>
      {/each}
    </ul>
    {#if taken.length < bench.formula.taken.length}
      <button class="knob no-print" type="button" onclick={() => (all = true)}
        >{bench.formula.taken.length - taken.length} more</button
      >
    {/if}
  {/if}

  {#if bench.view.left.length > 0}
    <h3 class="quiet">Left</h3>
    <ul>
      {#each bench.view.left as correction (correction.key)}
        <li>
          <span
            >{signed(correction.grams)}
            {bench.view.pantry.ingredient(correction.ingredient).name}</span
          >
          <button
            class="knob no-print"
            type="button"
            onclick={() => bench.reconsider(correction.key)}>Reconsider</button
          >
        </li>
      {/each}
    </ul>
  {/if}
</section>

<style>
  .gone {
    display: grid;
    gap: 0.4rem;
    border-left: 4px solid var(--rim);
    padding-left: 0.6rem;
  }
  .corrections {
    display: grid;
    gap: 0.6rem;
    align-content: start;
  }
  .cards {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(17rem, 100%), 1fr));
    align-items: start;
    gap: 0.6rem;
  }
  ul {
    display: grid;
    gap: 0.35rem;
  }
  li {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: 0.5rem;
    font-size: 0.925rem;
  }
</style>
