<script lang="ts">
  import type { Paces, Rise, RiseDoubt, RiseDraws, RiseModel } from '@tender-crumb/core/ferment';
  import { hoursText } from '@tender-crumb/core/quantity';
  import { wrap, type Remote } from 'comlink';
  import { onMount } from 'svelte';
  import type { RiseDrawer } from '../workers/rise.worker.ts';

  let { rise, paces, model }: { rise: Rise; paces: Paces; model: RiseModel } = $props();

  /** What each doubt is, and what makes it smaller. */
  const words: Record<RiseDoubt, readonly [what: string, cure: string]> = {
    room: ['how warm it stands', 'put a thermometer beside it'],
    yeast: ['how strong this yeast is', 'note when its rises are ready'],
    starter: ['how strong this starter is', 'note when its rises are ready'],
    best: ['how warm this starter likes it', 'note when it is highest, warm and cool'],
    most: ['how much warmth this starter bears', 'note when it is highest on a hot day'],
    ripeness: ['how ripe the starter was that day', 'use it when it is domed'],
    waking: ['how soon the leaven wakes', 'nothing: it changes from day to day'],
    growth: ['how fast it grows in this dough', 'note long rises'],
    brake: ['how much salt and sugar slow it', 'nothing: yeasts differ'],
    weighing: ['how much leaven went in', 'weigh it to a tenth of a gram'],
    end: ['when it is called ready', 'mark the start on the vessel'],
  };

  let worker: Worker | undefined;
  let drawer: Remote<RiseDrawer> | undefined;
  let drawn = $state.raw<RiseDraws | undefined>();
  let asked = 0;
  let open = $state(false);

  onMount(() => () => worker?.terminate());

  $effect(() => {
    if (!open) return;
    const mine = (asked += 1);
    // Plain data crosses to the thread.
    const of = { dough: $state.snapshot(rise.dough), end: $state.snapshot(rise.end) };
    const known = $state.snapshot(paces);
    const figures = $state.snapshot(model);
    const wait = setTimeout(async () => {
      worker ??= new Worker(new URL('../workers/rise.worker.ts', import.meta.url), {
        type: 'module',
      });
      drawer ??= wrap<RiseDrawer>(worker);
      const found = await drawer
        .draw(of as Rise, known as Paces, figures as RiseModel)
        .catch(() => undefined);
      if (mine === asked) drawn = found;
    }, 200);
    return () => clearTimeout(wait);
  });
</script>

<details class="bowl p-3" bind:open>
  <summary class="touch font-semibold">How sure is this?</summary>
  {#if drawn}
    <p class="mt-2">
      Drawn {drawn.draws} times with all the doubts: most likely
      <b>{hoursText(drawn.low)}</b> to <b>{hoursText(drawn.high)}</b>, half of them after
      {hoursText(drawn.middle)}.
    </p>
    <ol class="mt-2 grid gap-1">
      {#each drawn.shares.slice(0, 4) as { doubt, share } (doubt)}
        <li class="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-2 border-t border-line pt-1">
          <span
            ><b class="tabular-nums">{Math.round(share * 100)} %</b>
            {words[doubt][0]}</span
          >
          <span class="quiet">{words[doubt][1]}</span>
        </li>
      {/each}
    </ol>
  {:else if open}
    <p class="quiet mt-2">Drawing …</p>
  {/if}
</details>
