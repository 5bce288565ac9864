<script lang="ts">
  import { goto } from '$app/navigation';
  import { nanoid } from 'nanoid';
  import { draftEntry } from '../sync/kinds.ts';
  import { mustSay } from '../sync/said.ts';
  import type { Bench } from './bench.svelte.ts';
  import SideBySide from './SideBySide.svelte';
  import { whoAndWhen } from './when.ts';

  let { bench }: { bench: Bench } = $props();

  const newId = nanoid();
  let fault = $state('');
  /** Further down the page one types on and does not see it. */
  let seen = $state(true);

  function watch(banner: HTMLElement) {
    const observer = new IntersectionObserver(([entry]) => (seen = entry!.isIntersecting));
    observer.observe(banner);
    return () => observer.disconnect();
  }

  async function keepAsNew() {
    fault = '';
    const mine = { ...bench.formula, name: `${bench.formula.name} (my copy)`.slice(0, 200) };
    try {
      // Under an id of ours: pressed twice, or answered and not heard, it is one formula.
      await mustSay(draftEntry({ id: newId, version: 0, draft: newId, formula: mine }));
    } catch (refusal) {
      fault = `It is not kept as a new one yet: ${(refusal as Error).message} Both are still here.`;
      return;
    }
    await goto(`/bench/${newId}`, { invalidateAll: true });
  }
</script>

{#if bench.saver.conflict}
  {@const theirs = bench.saver.conflict}
  <section
    id="conflict"
    {@attach watch}
    class="bowl mb-3 grid scroll-mt-2 gap-3 border-act bg-act-tint p-4"
    role="alert"
    aria-labelledby="conflict-title"
  >
    <div>
      <h2 id="conflict-title">This recipe was also changed on another device</h2>
      <p>Both versions are kept. Which one do you want?</p>
    </div>
    <div class="overflow-x-auto rounded bg-enamel p-2">
      <SideBySide
        theirs={theirs.formula}
        mine={bench.formula}
        theirTitle="Theirs: {whoAndWhen(theirs.device, theirs.updatedAt)}"
        mineTitle="Yours: here, now"
        pantry={bench.view.pantry}
      />
    </div>
    <div class="flex flex-wrap items-center gap-3">
      <button class="knob" type="button" onclick={() => bench.adoptTheirs()}>Show theirs</button>
      <button class="knob" type="button" onclick={() => bench.saver.insist(bench.formula)}
        >Put mine on top</button
      >
      <button class="knob knob-act" type="button" onclick={keepAsNew}
        >Keep mine as a new formula</button
      >
      {#if fault}<span class="text-act">{fault}</span>{/if}
    </div>
  </section>
  {#if !seen}
    <a
      class="knob knob-act no-print fixed inset-x-4 bottom-4 z-10 mx-auto max-w-md"
      href="#conflict">Changed on another device: compare both</a
    >
  {/if}
{:else if bench.saver.state === 'refused' || bench.saver.state === 'waiting'}
  <p class="bowl mb-3 bg-act-tint p-3" role="alert">{bench.saver.why}</p>
{/if}
