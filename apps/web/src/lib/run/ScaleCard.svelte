<script lang="ts">
  import { tooLittleFor, type WeighingItem } from '@tender-crumb/core/hands';
  import { standIns } from '../devices/stand-ins.svelte.ts';
  import { asMass, asMassNumber, say } from '../ui/writing.ts';
  import type { Run } from './run.svelte.ts';
  import { Weigher } from './weigher.svelte.ts';

  let {
    run,
    items,
    item,
    listens,
  }: {
    run: Run;
    items: readonly WeighingItem[];
    /** What is being poured. */
    item: WeighingItem;
    listens: boolean;
  } = $props();

  const weigher = new Weigher(standIns.scale);
  const bySpoon = $derived(tooLittleFor(item.grams, standIns.scale.step));
  $effect(() => {
    const grams = weigher.hear(listens && !bySpoon ? item : undefined);
    if (grams !== undefined) run.weigh(item, grams, true);
  });
  const live = $derived(weigher.now);
  const shownOver = $derived(
    live.standing === 'over' ? run.view.overPour(item, live.grams) : undefined,
  );
  const measure = $derived(run.view.inMeasure(item));
  const there = $derived(items.filter((i) => run.view.state.weighed.has(i.id)));
</script>

<section class="bowl grid gap-1 p-4" aria-label="On the scale">
  <p class="text-lg"><b>{item.name}</b> {say(item.hint ?? '')}</p>
  {#if live.standing === 'lifted'}
    <p class="live">the bowl is off</p>
    <p>Put it back to go on.</p>
  {:else if bySpoon}
    <p class="live">{asMass(item.grams)}</p>
    <p>
      Too little for this scale: use the spoon{measure ? `, ${measure}` : ''}.
    </p>
  {:else if live.standing === 'waiting'}
    <p class="live">waiting for the scale to rest</p>
  {:else}
    <p class="live" aria-live="off">
      {asMassNumber(Math.max(0, live.grams))}<span class="of">{` of ${asMass(item.grams)}`}</span>
    </p>
    <progress max={item.grams} value={Math.min(item.grams, Math.max(0, live.grams))}></progress>
    {#if there.length > 0}
      <p class="quiet">
        In already: {there
          .map((i) => `${i.name} ${asMass(run.view.state.weighed.get(i.id)!.grams)}`)
          .join(', ')}
      </p>
    {/if}
  {/if}
  {#if live.standing === 'over' && !bySpoon}
    <p class="font-semibold text-act" role="alert">
      {asMass(live.grams - item.grams)} over.
      {shownOver ? say(shownOver.says) : 'So little is not felt.'}
    </p>
  {/if}
  <div class="flex flex-wrap gap-2">
    {#if bySpoon}
      <button class="knob knob-act min-h-14" type="button" onclick={() => run.weigh(item)}
        >Added</button
      >
    {:else if live.standing === 'over'}
      {#if shownOver?.fix}
        {@const { line, name, grams } = shownOver.fix}
        <button
          class="knob knob-act min-h-14"
          type="button"
          onclick={() => {
            run.moreOf(line, grams, `${asMass(live.grams - item.grams)} over on ${item.name}`);
            run.weigh(item, live.grams, true);
          }}>{asMass(grams)} more {name}</button
        >
      {/if}
      <button class="knob min-h-14" type="button" onclick={() => run.weigh(item, live.grams, true)}
        >Leave it</button
      >
    {:else if live.grams > 0 && live.standing !== 'lifted'}
      <button class="knob min-h-14" type="button" onclick={() => run.weigh(item, live.grams, true)}
        >That is all of it</button
      >
    {/if}
    <button class="knob min-h-14" type="button" onclick={() => weigher.again()}
      >Count from here</button
    >
  </div>
</section>

<style>
  .live {
    font-size: 3.25rem;
    font-weight: 750;
    line-height: 1;
  }
  .of {
    font-size: 1.5rem;
    color: var(--soft);
  }
  progress {
    width: 100%;
    height: 1rem;
    overflow: hidden;
    appearance: none;
    border: 1.5px solid var(--rim);
    border-radius: 2px 2px 8px 8px;
    background: var(--sunk);
  }
  progress::-webkit-progress-bar {
    background: var(--sunk);
  }
  progress::-webkit-progress-value {
    background: var(--rim);
  }
  progress::-moz-progress-bar {
    background: var(--rim);
  }
</style>
