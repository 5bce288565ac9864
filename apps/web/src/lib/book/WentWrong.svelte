<script lang="ts">
  import {
    faultIds,
    faults,
    wentWrong,
    atWork,
    type BakeRecord,
    type FaultId,
    type FoundCause,
  } from '@tender-crumb/core/book';
  import { takeCorrection, type Formula } from '@tender-crumb/core/formula';
  import type { Belief } from '@tender-crumb/core/belief';
  import type { Household } from '@tender-crumb/core/household';
  import { nanoid } from 'nanoid';
  import { draftEntry } from '../sync/kinds.ts';
  import { mustSay } from '../sync/said.ts';
  import Causes from '../rescue/Causes.svelte';
  import { refresh } from '../ui/refresh.ts';
  import { say } from '../ui/writing.ts';
  import { tellBake } from './events.ts';

  let {
    record,
    household,
    belief,
    head,
  }: {
    record: BakeRecord;
    household: Household;
    belief: Belief;
    /** The formula as it stands now, which a fix goes to. */
    head: { readonly version: number; readonly formula: Formula } | undefined;
  } = $props();

  let seen = $state<FaultId[]>([]);
  let said = $state('');
  let fault = $state('');
  const causes = $derived(wentWrong(record, seen, household, belief, head?.formula));
  const named = $derived(atWork(causes));

  async function take({ id, says, evidence, fix }: FoundCause) {
    fault = '';
    try {
      if (fix.note) {
        await tellBake(record.id, 'note', fix.note);
        said = 'Noted for next time.';
      } else if (fix.changes && head && record.bread !== undefined) {
        const formula = takeCorrection(head.formula, {
          correction: `after:${record.id}:${id}`,
          reason: `${says} ${fix.says}`,
          basis: `the bake of ${record.circumstances.day}: ${evidence}`,
          changes: fix.changes,
        });
        const { version } = head;
        await mustSay(draftEntry({ id: record.bread, version, draft: nanoid(), formula }));
        said = 'Taken: see the recipe’s corrections.';
        await refresh();
      }
    } catch (refusal) {
      fault = `Not taken: ${(refusal as Error).message}`;
    }
  }
</script>

<section class="bowl grid content-start gap-3 p-4" aria-labelledby="wrong">
  <h2 id="wrong">What went wrong?</h2>
  <p class="quiet">What is to be seen of the loaf; as many as fit.</p>
  <div class="flex flex-wrap gap-1.5" role="group" aria-label="What is to be seen">
    {#each faultIds as id (id)}
      <button
        class="knob {seen.includes(id) ? 'picked' : ''}"
        type="button"
        aria-pressed={seen.includes(id)}
        onclick={() => {
          said = '';
          seen = seen.includes(id) ? seen.filter((f) => f !== id) : [...seen, id];
        }}>{faults[id]}</button
      >
    {/each}
  </div>
  {#if causes.length > 0}
    <Causes {causes} />
    {#if named.length > 1}
      <p>
        <b>This bake had {named.length === 2 ? 'both' : `all ${named.length}`}:</b>
        {say(named.map((c) => c.says).join(' '))}
      </p>
    {/if}
    {#each named as cause, i (cause.id)}
      <div class="rounded-md bg-sunk p-3">
        <p><b>{i === 0 ? 'Next time:' : 'Then, if it is still so:'}</b> {say(cause.fix.says)}</p>
        <p class="quiet mb-2">
          In this bake: {say(cause.evidence)}.
          {#if i === 0}Change one thing at a time, so that you see what it does.{/if}
        </p>
        <button class="knob {i === 0 ? 'knob-act' : ''}" type="button" onclick={() => take(cause)}
          >{cause.fix.note ? 'Note it for the next bake' : 'Take it'}</button
        >
      </div>
    {/each}
  {/if}
  {#if said}<p role="status">
      {said}
      {#if record.bread}<a class="link" href="/bench/{record.bread}">To the bench</a>{/if}
    </p>{/if}
  {#if fault}<p role="alert" class="font-semibold text-act">{fault}</p>{/if}
</section>

<style>
  .picked,
  .picked:hover:not(:disabled) {
    background: var(--rim);
    color: var(--on-rim);
  }
</style>
