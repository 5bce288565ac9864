<script lang="ts">
  import {
    gramsTyped,
    measureText,
    mostGrams,
    numberTyped,
    type WeighingItem,
  } from '@tender-crumb/core';
  import Check from '@lucide/svelte/icons/check';
  import type { Run } from './run.svelte.ts';
  import { asMass, asMassNumber, say, writing } from '../ui/writing.ts';

  let { run, says }: { run: Run; says: string } = $props();

  let editing = $state<string | undefined>();
  let typed = $state('');
  let fault = $state('');

  function tick(item: WeighingItem) {
    if (run.state.weighed.has(item.id)) run.unweigh(item);
    else run.weigh(item);
  }

  function other(item: WeighingItem) {
    editing = item.id;
    typed = asMassNumber(run.state.weighed.get(item.id)?.grams ?? item.grams);
    fault = '';
  }

  function enter(event: SubmitEvent, item: WeighingItem) {
    event.preventDefault();
    const number = numberTyped(typed, writing());
    const grams = number === undefined ? NaN : gramsTyped(number, writing());
    if (!(grams <= mostGrams)) {
      fault = say('A weight, such as 402 or 8.5');
      return;
    }
    run.weigh(item, grams, true);
    editing = undefined;
  }

  const inMeasure = (item: WeighingItem) =>
    item.ingredient === 'starter'
      ? undefined
      : measureText(item.grams, run.ingredient(item.ingredient), run.household.measures);
</script>

<p class="quiet mb-3 text-base">{says}</p>
{#each run.stages as stage (stage.id)}
  {#if run.stages.length > 1}<h2 class="mt-4 mb-1">{stage.name}</h2>{/if}
  <ol class="items">
    {#each stage.items as item (item.id)}
      {@const weighed = run.state.weighed.get(item.id)}
      {@const next = run.nextItem?.id === item.id}
      <li class:done={weighed} class:next>
        <button
          class="tick"
          type="button"
          aria-pressed={weighed !== undefined}
          onclick={() => tick(item)}
        >
          <span class="box" aria-hidden="true"
            >{#if weighed}<Check size={30} strokeWidth={3} />{/if}</span
          >
          <span class="what">
            <span class="name">{item.name}</span>
            <span class="quiet"
              >{say([inMeasure(item), item.hint].filter(Boolean).join(' · '))}</span
            >
          </span>
          <span class="amount">{asMass(weighed?.grams ?? item.grams)}</span>
        </button>
        {#if editing === item.id}
          <form class="other" onsubmit={(e) => enter(e, item)}>
            <!-- svelte-ignore a11y_autofocus -->
            <input
              class="field w-24 text-right text-lg"
              inputmode="decimal"
              aria-label="Grams of {item.name} on the scale"
              aria-invalid={fault ? 'true' : undefined}
              bind:value={typed}
              autofocus
            />
            <button class="knob" type="submit">g it is</button>
            {#if fault}<span class="text-act" role="alert">{fault}</span>{/if}
          </form>
        {:else}
          <button
            class="edit"
            type="button"
            onclick={() => other(item)}
            aria-label="The scale shows another amount of {item.name}">other</button
          >
        {/if}
      </li>
    {/each}
  </ol>
{/each}
<div class="mt-4 flex flex-wrap items-center gap-4">
  <button class="knob knob-act knob-large" type="button" onclick={() => (run.step = 'check')}>
    {run.nextItem ? 'Go to the dough check' : 'All in: to the dough check'}
  </button>
  {#if run.nextItem}
    <span class="quiet text-base"
      >Not ticked off yet: {run.items.filter((i) => !run.state.weighed.has(i.id)).length}</span
    >
  {/if}
</div>

<style>
  .items {
    display: grid;
    gap: 0.4rem;
  }
  li {
    display: flex;
    align-items: center;
    border: 1.5px solid var(--line);
    border-radius: 3px 3px 14px 14px;
    background: var(--enamel);
  }
  li.next {
    border: 3px solid var(--act);
  }
  li.done {
    background: var(--sunk);
  }
  .tick {
    display: grid;
    flex: 1;
    grid-template-columns: 3rem minmax(0, 1fr) auto;
    align-items: center;
    gap: 0.75rem;
    min-height: 4.25rem;
    padding: 0.35rem 0.9rem;
    text-align: left;
  }
  .box {
    display: grid;
    width: 2.75rem;
    height: 2.75rem;
    place-items: center;
    border: 2.5px solid var(--rim);
    border-radius: 4px 4px 14px 14px;
    color: var(--rim);
  }
  .done .box {
    background: var(--rim);
    color: var(--on-rim);
  }
  .what {
    display: grid;
  }
  .name {
    font-size: 1.35rem;
    font-weight: 650;
    line-height: 1.2;
  }
  .amount {
    font-size: 2.5rem;
    font-weight: 700;
    line-height: 1;
    white-space: nowrap;
  }
  .done .amount {
    color: var(--soft);
  }
  .edit {
    min-width: 4rem;
    min-height: 3rem;
    color: var(--soft);
    text-decoration: underline;
    text-underline-offset: 3px;
  }
  .other {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem;
    align-items: center;
    padding-right: 0.8rem;
  }
  @media (max-width: 520px) {
    li {
      display: grid;
    }
    .tick {
      gap: 0.5rem;
      padding: 0.35rem 0.5rem 0;
    }
    .name {
      font-size: 1.2rem;
    }
    .edit {
      justify-self: end;
      padding-right: 0.6rem;
    }
    .other {
      justify-content: end;
      padding: 0 0.6rem 0.6rem;
    }
  }
</style>
