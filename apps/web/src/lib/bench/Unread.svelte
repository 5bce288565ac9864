<script lang="ts">
  import type { Settings } from '@tender-crumb/core/household';
  import { isRefused } from '@tender-crumb/core/quantity';
  import { answerUnread, readerOf, type Answer } from '@tender-crumb/core/reader';
  import AskRow from '../ask/AskRow.svelte';
  import Question from '../ask/Question.svelte';
  import type { Bench } from './bench.svelte.ts';

  let { bench }: { bench: Bench } = $props();

  /** Why the answer to a row did not make a line of it yet. */
  let fault = $state({ at: -1, says: '' });

  /** Answers a row that could not be read; what is learned of it is the household's from now on. */
  function answerRow(at: number, answer: Answer, learned: Partial<Settings> = {}) {
    const next = answerUnread(bench.formula, at, answer, readerOf(bench.household));
    fault = { at, says: isRefused(next) ? next.refused.says : '' };
    if (isRefused(next)) return;
    bench.edit(next);
    bench.settle(learned);
  }
</script>

<div class="no-print mt-3 grid gap-2">
  <h2>Not read yet, not in the dough</h2>
  {#each bench.formula.unread ?? [] as row, i (`${i} ${row.text}`)}
    <Question kind="row" of={`${bench.id} ${row.text}`}>
      {#snippet children(later)}
        <AskRow
          text={row.text}
          why={row.why}
          household={bench.household}
          pantry={bench.view.pantry}
          fault={fault.at === i ? fault.says : ''}
          {later}
          onanswer={(answer, learned) => answerRow(i, answer, learned)}
        />
      {/snippet}
      {#snippet otherwise(now)}
        <p class="flex flex-wrap items-center gap-2">
          <b class="break-words">{row.text.slice(0, 300)}</b>
          {@render now()}
        </p>
      {/snippet}
    </Question>
  {/each}
</div>
