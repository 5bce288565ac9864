<script lang="ts">
  import type { Correction } from '@tender-crumb/core/correct';
  import { evaluate, type Evaluation } from '@tender-crumb/core/evaluate';
  import { percentOf, takeCorrection } from '@tender-crumb/core/formula';
  import { isRefused } from '@tender-crumb/core/quantity';
  import { choicesFor, substitute } from '@tender-crumb/core/substitute';
  import X from '@lucide/svelte/icons/x';
  import { Dialog } from 'bits-ui';
  import { SvelteSet } from 'svelte/reactivity';
  import type { Bench } from '../bench/bench.svelte.ts';
  import Level from '../level/Level.svelte';
  import Either from '../ui/Either.svelte';
  import { asMass, say } from '../ui/writing.ts';

  let {
    bench,
    line = $bindable(),
    chosen = $bindable(),
  }: {
    bench: Bench;
    /** Line that something is to take the place of; the dialog is open while there is one. */
    line: string | undefined;
    chosen: string | undefined;
  } = $props();

  const leaving = new SvelteSet<string>();
  let search = $state('');

  /** How much of the line gives way. */
  const shares = { all: 1, half: 1 / 2, third: 1 / 3 };
  const shareNames = [
    ['all', 'All of it'],
    ['half', 'Half'],
    ['third', 'A third'],
  ] as const;
  let part = $state<keyof typeof shares>('all');

  const from = $derived(bench.view.evaluation?.lines.find((l) => l.id === line));
  const choices = $derived(
    line ? choicesFor(bench.formula, line, bench.household, shares[part]) : [],
  );
  const shown = $derived(
    choices.filter((c) => c.label.toLowerCase().includes(search.trim().toLowerCase())),
  );
  const made = $derived(
    line && chosen
      ? substitute(bench.formula, line, chosen, bench.household, bench.belief, shares[part])
      : undefined,
  );
  const fits = $derived(made && !isRefused(made) ? made : undefined);
  /** The new formula with the consequences that are not left. */
  const next = $derived(
    fits?.consequences
      .filter((s) => !leaving.has(s.key))
      .reduce((f, s) => takeCorrection(f, { ...s, correction: s.key }), fits.formula),
  );
  const after = $derived(next && evaluate(next, bench.household, bench.belief));

  function close() {
    line = undefined;
    chosen = undefined;
    search = '';
    part = 'all';
    leaving.clear();
  }

  function choose(id: string) {
    chosen = id;
    leaving.clear();
  }

  function toggle(correction: Correction) {
    if (leaving.has(correction.key)) leaving.delete(correction.key);
    else leaving.add(correction.key);
  }

  function take() {
    if (next) bench.edit(next);
    close();
  }

  const rowsOf = (evaluation: Evaluation) =>
    evaluation.lines
      .filter((l) => l.grams > 0)
      .map((l) => ({
        key: `${l.stage} ${l.id}`,
        name: l.of.name,
        stage: l.stageKind === 'dough' ? '' : ` in the ${l.stageKind}`,
        grams: l.grams,
        percent: percentOf(l.grams, evaluation.totals, bench.household.percentages),
        changed: l.corrections.length > 0,
      }));
</script>

{#snippet sheet(title: string, evaluation: Evaluation, marked: boolean)}
  <section class="grid content-start gap-2">
    <h3 class="font-semibold">{title}</h3>
    <Level
      level={evaluation.cannotTell ? undefined : evaluation.level}
      window={evaluation.window}
      label={title}
    />
    <table class="w-full text-sm">
      <caption class="sr-only">{title}</caption>
      <tbody>
        {#each rowsOf(evaluation) as row (row.key)}
          <tr class="border-t border-line" class:changed={marked && row.changed}>
            <td class="py-0.5">{row.name}<span class="quiet">{row.stage}</span></td>
            <td class="text-right font-semibold">{asMass(row.grams)}</td>
            <td class="quiet w-16 text-right">{row.percent.toFixed(1)} %</td>
          </tr>
        {/each}
      </tbody>
    </table>
  </section>
{/snippet}

<Dialog.Root open={line !== undefined} onOpenChange={(o) => !o && close()}>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-30 bg-black/40" />
    <Dialog.Content class="bowl swap-dialog">
      <div class="flex items-baseline justify-between gap-3">
        <Dialog.Title class="text-xl font-bold">
          Something in place of {from ? `${asMass(from.grams)} of ${from.of.name}` : 'it'}
        </Dialog.Title>
        <Dialog.Close class="knob border-transparent px-2" aria-label="Close"
          ><X size={20} /></Dialog.Close
        >
      </div>
      <div class="mt-2 grid gap-4 lg:grid-cols-[15rem_minmax(0,1fr)]">
        <div class="grid content-start gap-2">
          {#if choices.length > 0}
            <Either
              label="How much of it gives way"
              value={part}
              choices={shareNames}
              onpick={(picked) => {
                part = picked;
                leaving.clear();
              }}
            />
          {/if}
          {#if choices.length > 8}
            <input
              class="field w-full"
              type="search"
              placeholder="Find"
              aria-label="Find what may take its place"
              bind:value={search}
            />
          {/if}
          {#if choices.length === 0}
            <Dialog.Description class="quiet">
              Nothing we know can replace this. Change its grams, or remove it.
            </Dialog.Description>
          {/if}
          <ul class="choices" aria-label="What may take its place">
            {#each shown as choice (choice.id)}
              <li>
                <button
                  type="button"
                  class:chosen={chosen === choice.id}
                  class:refused={choice.refused !== undefined}
                  aria-pressed={chosen === choice.id}
                  {@attach chosen === choice.id &&
                    ((of) => of.scrollIntoView({ block: 'nearest' }))}
                  onclick={() => choose(choice.id)}
                  >{choice.label}{#if choice.refused}<span class="quiet">&nbsp;· cannot</span
                    >{/if}</button
                >
              </li>
            {/each}
          </ul>
        </div>
        <div class="grid content-start gap-3" aria-live="polite">
          {#if !made}
            {#if choices.length > 0}
              <Dialog.Description class="quiet">
                Choose what to use instead to see both recipes side by side.
              </Dialog.Description>
            {/if}
          {:else if isRefused(made)}
            <p class="bowl bg-act-tint p-3"><b>That does not work.</b> {say(made.refused.says)}</p>
          {:else}
            <div class="grid gap-4 sm:grid-cols-2">
              {#if bench.view.evaluation}{@render sheet(
                  'As it is',
                  bench.view.evaluation,
                  false,
                )}{/if}
              {#if after}{@render sheet('As it would be', after, true)}{/if}
            </div>
            {#if made.consequences.length > 0}
              <fieldset class="grid gap-2">
                <legend class="font-semibold">What else changes (untick to skip)</legend>
                {#each made.consequences as correction (correction.key)}
                  <label class="flex items-start gap-2 text-sm">
                    <input
                      type="checkbox"
                      class="mt-0.5 size-5 shrink-0 accent-rim"
                      checked={!leaving.has(correction.key)}
                      onchange={() => toggle(correction)}
                    />
                    <span
                      ><b
                        >{correction.grams > 0 ? '+' : ''}{asMass(correction.grams)}
                        {correction.name}</b
                      >
                      <span class="quiet">({say(correction.spoons)})</span>
                      {say(correction.reason)}
                      <span class="quiet"
                        >Left alone: {say(
                          correction.ifLeft.charAt(0).toLowerCase() + correction.ifLeft.slice(1),
                        )}</span
                      ></span
                    >
                  </label>
                {/each}
              </fieldset>
            {/if}
            {#each made.notes as note (note)}
              <p class="border-l-4 border-line pl-2 text-sm">{say(note)}</p>
            {/each}
            <div class="flex gap-3">
              <button class="knob knob-act" type="button" onclick={take}>Take it</button>
              <button class="knob" type="button" onclick={close}>Leave it</button>
            </div>
          {/if}
        </div>
      </div>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>

<style>
  :global(.swap-dialog) {
    position: fixed;
    z-index: 31;
    inset: 4vh auto auto 50%;
    width: min(66rem, 94vw);
    max-height: 92vh;
    overflow-y: auto;
    padding: 1.1rem 1.25rem 1.4rem;
    translate: -50% 0;
  }
  .choices {
    max-height: 30rem;
    overflow-y: auto;
    border: 1px solid var(--line);
    border-radius: 3px 3px 12px 12px;
  }
  .choices li + li {
    border-top: 1px solid var(--line);
  }
  .choices button {
    width: 100%;
    min-height: 2.5rem;
    padding: 0.3rem 0.7rem;
    text-align: left;
  }
  .choices button:hover:not(.chosen) {
    background: var(--sunk);
  }
  .choices .chosen {
    background: var(--rim);
    color: var(--on-rim);
    font-weight: 600;
  }
  .choices .chosen .quiet {
    color: inherit;
  }
  .choices .refused:not(.chosen) {
    color: var(--soft);
  }
  .changed {
    box-shadow: inset 4px 0 0 var(--act);
  }
  .changed td:first-child {
    padding-left: 0.5rem;
  }
  @media (max-width: 1023px) {
    .choices {
      max-height: 12rem;
    }
  }
</style>
