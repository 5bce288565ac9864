<script lang="ts">
  import type { WeighingItem } from '@tender-crumb/core/hands';
  import { gramsTyped, mostGrams, sumTyped } from '@tender-crumb/core/quantity';
  import Check from '@lucide/svelte/icons/check';
  import CircleOff from '@lucide/svelte/icons/circle-off';
  import Pencil from '@lucide/svelte/icons/pencil';
  import { asMass, asMassNumber, say, writing } from '../ui/writing.ts';
  import type { Run } from './run.svelte.ts';

  let { run, item, next }: { run: Run; item: WeighingItem; next: boolean } = $props();

  const { mixings } = $derived(run.view.bread);
  const one = $derived(run.view.inOneMixing(item));
  const weighed = $derived(run.view.state.weighed.get(item.id));
  /** How near is near enough, of what the dough hangs by. */
  const room = $derived(weighed || mixings ? undefined : run.view.roomFor(item));
  const enough = $derived(room && `${asMassNumber(room.from)} to ${asMass(room.to)} is fine`);
  let editing = $state(false);
  let missing = $state(false);
  let typed = $state('');
  let fault = $state('');

  function tick() {
    if (weighed) run.unweigh(item);
    else run.weigh(item);
  }
  function other() {
    editing = true;
    typed = asMassNumber(weighed?.grams ?? item.grams);
    fault = '';
  }
  function enter(event: SubmitEvent) {
    event.preventDefault();
    const number = sumTyped(typed, writing());
    const grams = number === undefined ? NaN : gramsTyped(number, writing());
    if (!(grams >= 0 && grams <= mostGrams)) {
      fault = say('A weight, such as 402, 8.5, or 1312-872');
      return;
    }
    run.weigh(item, grams, true);
    editing = false;
  }
</script>

<li class:done={weighed} class:next>
  <button class="tick" type="button" aria-pressed={weighed !== undefined} onclick={tick}>
    <span class="box" aria-hidden="true"
      >{#if weighed}<Check size={26} strokeWidth={3} />{/if}</span
    >
    <span class="what">
      <span class="name">{item.name}</span>
      <span class="quiet"
        >{say([run.view.inMeasure(item), item.hint, enough].filter(Boolean).join(' · '))}</span
      >
    </span>
    <span class="amount"
      >{asMass(weighed?.grams ?? item.grams)}
      {#if mixings && one}<span class="each">{mixings.count} × {asMass(one)}</span>{/if}</span
    >
  </button>
  {#if editing}
    <form class="other" onsubmit={enter}>
      <!-- svelte-ignore a11y_autofocus -->
      <input
        class="field min-h-14 w-24 text-right text-lg"
        inputmode="decimal"
        aria-label="Grams of {item.name} on the scale"
        aria-invalid={fault ? 'true' : undefined}
        bind:value={typed}
        autofocus
      />
      <button class="knob min-h-14" type="submit">OK</button>
      {#if fault}<span class="text-act" role="alert">{fault}</span>{/if}
    </form>
  {:else}
    <span class="sides">
      <button
        class="edit"
        type="button"
        onclick={other}
        aria-label="Different amount of {item.name}"
        title="Different amount"
        >{#if next}Different amount{:else}<Pencil size={20} aria-hidden="true" />{/if}</button
      >
      {#if !weighed && !item.whole && item.lines.length === 1}
        <button
          class="edit"
          type="button"
          aria-expanded={missing}
          onclick={() => (missing = !missing)}
          aria-label="I’ve run out of {item.name}"
          title="I’ve run out"
          >{#if next}I’ve run out{:else}<CircleOff size={20} aria-hidden="true" />{/if}</button
        >
      {/if}
    </span>
  {/if}
  {#if missing}
    <div class="instead">
      {#each run.view.choices(item).slice(0, 8) as choice (choice.id)}
        <button
          class="knob min-h-14"
          type="button"
          onclick={() => {
            fault = run.takeInstead(item.lines[0]!, choice.id, choice.label) ?? '';
            if (!fault) missing = false;
          }}>{choice.label}</button
        >
      {:else}
        <p class="quiet">Nothing else does the work of {item.name}.</p>
      {/each}
      {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
    </div>
  {/if}
</li>

<style>
  li {
    display: flex;
    flex-wrap: wrap;
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
    grid-template-columns: 2.6rem minmax(0, 1fr) auto;
    align-items: center;
    gap: 0.75rem;
    min-height: 3.9rem;
    padding: 0.25rem 0.8rem;
    text-align: left;
  }
  .box {
    display: grid;
    width: 2.4rem;
    height: 2.4rem;
    place-items: center;
    border: 2.5px solid var(--rim);
    border-radius: 4px 4px 12px 12px;
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
    font-size: 1.25rem;
    font-weight: 650;
    line-height: 1.2;
  }
  .amount {
    font-size: 2.5rem;
    font-weight: 700;
    line-height: 1;
    white-space: nowrap;
  }
  .each {
    display: block;
    font-size: 1.15rem;
    font-weight: 600;
    text-align: right;
    line-height: 1.25;
  }
  .done .amount {
    color: var(--soft);
  }
  .sides {
    display: grid;
    grid-auto-flow: column;
  }
  .edit {
    min-width: 3.5rem;
    padding-inline: 0.4rem;
    min-height: 3.5rem;
    display: grid;
    place-items: center;
    color: var(--soft);
    text-decoration: underline;
    text-underline-offset: 3px;
  }
  .other,
  .instead {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem;
    align-items: center;
    padding: 0 0.8rem 0.4rem;
  }
  .instead {
    flex-basis: 100%;
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
      font-size: 1.15rem;
    }
    .sides {
      justify-content: end;
    }
  }
</style>
