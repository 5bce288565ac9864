<script lang="ts">
  import { ovenSetting } from '@tender-crumb/core/hands';
  import { type RunStep } from '@tender-crumb/core/lead';
  import { foldsText, partText } from '@tender-crumb/core/process';
  import type { TimedStep } from '@tender-crumb/core/schedule';
  import { asMass, asWarmth, say } from '../ui/writing.ts';
  import type { Run } from './run.svelte.ts';

  let {
    run,
    timeOf,
    time,
  }: {
    run: Run;
    timeOf: (step: RunStep) => TimedStep | undefined;
    time: (iso: string) => string;
  } = $props();

  /** As it is set on this oven; of a place that it stands in, its air. */
  const warmthOf = ({ kind, celsius }: RunStep): string => {
    if (celsius === undefined) return '';
    const oven = kind === 'heat' || kind === 'bake';
    return oven
      ? `, set to ${asWarmth(ovenSetting(celsius, run.view.oven).set)}`
      : ` at ${asWarmth(celsius)}`;
  };
</script>

<!-- One page for the counter: what goes in, and what is done when. Printed only. -->
<section class="sheet" aria-hidden="true">
  <div class="columns">
    <div>
      {#each run.view.stages as stage (stage.id)}
        <h3>{stage.name}</h3>
        <table>
          <tbody>
            {#each stage.items as item (item.id)}
              <tr>
                <td class="box">☐</td>
                <td>{item.name} <small>{item.hint ?? ''}</small></td>
                <td class="grams">{asMass(item.grams)}</td>
              </tr>
            {/each}
          </tbody>
        </table>
      {/each}
    </div>
    <div>
      <table>
        <tbody>
          {#each run.view.steps as step (step.id)}
            {@const timed = timeOf(step)}
            <tr>
              <td class="grams">{timed ? time(timed.start) : ''}</td>
              <td>
                <b>{step.label}</b>{warmthOf(step)}
                <small>{say(run.view.sign(step))}</small>
                {#each step.parts ?? [] as part, i (i)}<small>{say(partText(part))}</small>{/each}
                {#if step.folds}<small>{foldsText(step.folds)}</small>{/if}
                {#each run.view.words.get(step.kind) ?? [] as words, i (i)}
                  <small><i>{words}</i></small>
                {/each}
                {#each run.view.outsideAt(step) as { id, says } (id)}<small>☐ {says}</small>{/each}
              </td>
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
  </div>
</section>

<style>
  .sheet {
    display: none;
  }
  @media print {
    .sheet {
      display: block;
      font-size: 10.5pt;
    }
  }
  .columns {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 1.5rem;
  }
  h3 {
    margin-top: 0.4rem;
    font-weight: 700;
  }
  table {
    width: 100%;
  }
  td {
    padding: 2px 4px;
    border-bottom: 1px solid #ccc;
    vertical-align: top;
  }
  small {
    display: block;
    color: #444;
  }
  .grams {
    font-weight: 700;
    text-align: right;
    white-space: nowrap;
  }
  .box {
    width: 1.2rem;
  }
</style>
