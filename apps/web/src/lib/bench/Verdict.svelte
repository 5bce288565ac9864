<script lang="ts">
  import { noFlour } from '@tender-crumb/core/dough';
  import { oddsText } from '@tender-crumb/core/quantity';
  import { styles } from '@tender-crumb/core/style';
  import HouseQuestion from '../ask/HouseQuestion.svelte';
  import Question from '../ask/Question.svelte';
  import Explain from '../ui/Explain.svelte';
  import { asMass, asMassNumber, say } from '../ui/writing.ts';
  import type { Bench } from './bench.svelte.ts';

  let { bench }: { bench: Bench } = $props();

  const verdict = $derived(bench.view.verdict);
  const evaluation = $derived(bench.view.evaluation);
</script>

<div aria-live="polite">
  {#if verdict}
    <p class="text-xl leading-snug font-bold">{verdict.state}.</p>
    <p
      class={verdict.fits ? '' : 'text-lg leading-snug font-semibold text-act'}
      data-testid="verdict"
    >
      {say(verdict.says)}
    </p>
    {#if bench.view.rooms.length > 0}
      <p data-testid="rooms">
        Good with
        {#each bench.view.rooms as room, i (room.line)}{i > 0 ? ', or ' : ' '}<b
            >{asMassNumber(room.from)} to {asMass(room.to)}</b
          >
          of {room.name}{/each}.
      </p>
    {/if}
    {#if bench.view.asksStyle}
      {@const likely = bench.view.asksStyle}
      <Question kind="style" of={bench.id}>
        {#snippet children(later)}
          <p class="no-print flex flex-wrap items-center gap-2">
            <span>Which bread is it?</span>
            {#each likely as style (style)}
              <button class="knob touch" type="button" onclick={() => bench.isA(style)}
                >{styles[style].name}</button
              >
            {/each}
            {@render later()}
            <span class="quiet">Or choose the type of bread below.</span>
          </p>
        {/snippet}
      </Question>
    {/if}
    {#if bench.view.asksScale}<HouseQuestion of="scale" household={bench.household} />{/if}
    {#if verdict.early}<p class="text-sm">{say(verdict.early)}</p>{/if}
    {#if verdict.chance !== undefined}
      <p class="quiet">
        <Explain word="chance to land">{oddsText(verdict.chance)} likely</Explain> to have the right consistency.
        {verdict.weak ?? ''}
        {#if evaluation?.looks && bench.opened === 'whole'}
          Your own window, from {evaluation.looks}
          {evaluation.looks === 1 ? 'loaf' : 'loaves'}; dotted: the usual one.
        {/if}
      </p>
    {/if}
  {:else}
    <p class="text-xl font-bold">Cannot tell.</p>
    <p>{say(noFlour.says)}</p>
  {/if}
</div>
