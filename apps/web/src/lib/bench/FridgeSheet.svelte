<script lang="ts">
  import { measuresFor, percentOf, stageNames, stagesOf } from '@tender-crumb/core/formula';
  import { measureText } from '@tender-crumb/core/ingredient';
  import { waysMade } from '@tender-crumb/core/process';
  import { hoursText } from '@tender-crumb/core/quantity';
  import { styles } from '@tender-crumb/core/style';
  import { methodView } from '@tender-crumb/core/view';
  import { asMass, asWarmth, say } from '../ui/writing.ts';
  import type { Bench } from './bench.svelte.ts';

  /** A recipe for the fridge door: on paper alone, on one page, all of it to be read and nothing to be pressed. */
  let { bench }: { bench: Bench } = $props();

  const { formula, household, view } = $derived(bench);
  const totals = $derived(view.evaluation?.totals);
  const lines = $derived(view.evaluation?.lines ?? view.resolved);
  const parts = $derived(
    stagesOf(formula)
      .map((stage) => ({ ...stage, own: lines.filter((l) => l.stage === stage.id) }))
      .filter((stage) => stage.own.length > 0),
  );
  const made = $derived(
    waysMade(household)
      .find((w) => w.means.includes(view.device))
      ?.label.toLowerCase(),
  );
  const led = $derived(
    methodView({ formula, device: view.device, household, belief: bench.belief }).steps,
  );
  const everyday = $derived((view.evaluation?.cautions ?? []).map((c) => c.everyday ?? c.text));
</script>

<article class="fridge">
  <h1>{formula.name}</h1>
  <p>
    {[
      styles[formula.style].name,
      made,
      (formula.pieces ?? 1) > 1 ? `${formula.pieces} pieces` : '',
      totals ? `${asMass(totals.doughGrams)} of dough` : '',
    ]
      .filter(Boolean)
      .join(' · ')}
  </p>
  <table>
    <tbody>
      {#each parts as stage (stage.id)}
        {#if parts.length > 1}
          <tr><th colspan="4" scope="rowgroup">{stage.name ?? stageNames[stage.kind]}</th></tr>
        {/if}
        {#each stage.own as line (line.id)}
          <tr>
            <td class="grams">{asMass(line.grams)}</td>
            <td>{line.of.name}</td>
            <td
              >{say(
                measureText(line.grams, line.of, measuresFor(line, household.measures)) ?? '',
              )}</td
            >
            <td class="grams"
              >{totals
                ? say(`${percentOf(line.grams, totals, household.percentages).toFixed(1)} %`)
                : ''}</td
            >
          </tr>
        {/each}
      {/each}
    </tbody>
  </table>
  {#if formula.outside}
    <p>
      {#each formula.outside as thing (thing.id)}<span class="block"
          ><b>{thing.use}:</b> {thing.says}</span
        >{/each}
    </p>
  {/if}
  <h2>Method</h2>
  {#if formula.steps}
    <ol>
      {#each formula.steps as step, i (i)}<li>{step.says}</li>{/each}
    </ol>
  {:else}
    <ol>
      {#each led as step (step.kind)}
        <li>
          <b>{step.label}</b>, {step.parts.length > 0
            ? step.parts.map((p) => say(p)).join(', then ')
            : hoursText(step.minutes.value / 60)}{step.celsius
            ? `, ${asWarmth(step.celsius.value)}`
            : ''}{step.until ? `, until ${say(step.until)}` : ''}
        </li>
      {/each}
    </ol>
  {/if}
  {#if formula.notes}<p class="notes">{formula.notes}</p>{/if}
  {#if everyday.length > 0}<p class="small">{everyday.map((c) => say(c)).join(' ')}</p>{/if}
</article>

<style>
  .fridge {
    display: none;
  }
  @media print {
    /* What is on the page for hands is not for paper. */
    :global(body:has(.fridge) > div > *:not(main)),
    :global(main:has(.fridge) > *:not(.fridge)) {
      display: none !important;
    }
    .fridge {
      display: block;
      font-size: 11.5pt;
      line-height: 1.35;
    }
    h1 {
      font-size: 20pt;
    }
    h2 {
      margin-top: 0.8rem;
      font-size: 13pt;
    }
    table {
      width: 100%;
      margin-top: 0.5rem;
      border-collapse: collapse;
    }
    tr {
      border-top: 0.5pt solid #999;
    }
    th {
      padding-top: 0.3rem;
      text-align: left;
    }
    td {
      padding: 0.15rem 0.6rem 0.15rem 0;
    }
    .grams {
      font-weight: 700;
      text-align: right;
      white-space: nowrap;
    }
    ol {
      padding-left: 1.4rem;
      list-style: decimal;
    }
    .notes {
      margin-top: 0.6rem;
      white-space: pre-wrap;
    }
    .small {
      margin-top: 0.8rem;
      font-size: 9pt;
    }
  }
</style>
