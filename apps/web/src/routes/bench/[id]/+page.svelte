<script lang="ts">
  import { beforeNavigate, goto } from '$app/navigation';
  import {
    formulaText,
    loadingOrders,
    noFlour,
    percentageSchools,
    schoolNames,
    styleIds,
    styles,
    windowFor,
    type LoadingMethod,
    type PercentageSchool,
    type StyleId,
  } from '@tender-crumb/core';
  import ClipboardCopy from '@lucide/svelte/icons/clipboard-copy';
  import Printer from '@lucide/svelte/icons/printer';
  import Redo2 from '@lucide/svelte/icons/redo-2';
  import Undo2 from '@lucide/svelte/icons/undo-2';
  import { onMount } from 'svelte';
  import { api } from '$lib/api.ts';
  import Either from '$lib/ui/Either.svelte';
  import WaterAccount from '$lib/account/WaterAccount.svelte';
  import { Bench } from '$lib/bench/bench.svelte.ts';
  import ConflictBanner from '$lib/bench/ConflictBanner.svelte';
  import Drawers from '$lib/bench/Drawers.svelte';
  import SaveMark from '$lib/bench/SaveMark.svelte';
  import ScaleForm from '$lib/bench/ScaleForm.svelte';
  import Level from '$lib/level/Level.svelte';
  import Sheet from '$lib/sheet/Sheet.svelte';
  import Slips from '$lib/slips/Slips.svelte';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();

  const bench = $derived(new Bench(data));
  let method = $state<LoadingMethod>('liquids-first');
  let said = $state('');
  let starting = $state(false);

  const window = $derived(
    bench.evaluation?.window ?? windowFor(bench.formula.style, false, bench.household.figures),
  );

  onMount(() => {
    bench.recover();
    const leaving = () => document.visibilityState === 'hidden' && bench.saver.stop();
    document.addEventListener('visibilitychange', leaving);
    return () => document.removeEventListener('visibilitychange', leaving);
  });
  beforeNavigate(() => bench.saver.stop());

  function key(event: KeyboardEvent) {
    if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
    event.preventDefault();
    (document.activeElement as HTMLElement | null)?.blur();
    if (event.shiftKey) bench.redo();
    else bench.undo();
  }

  async function setSchool(school: PercentageSchool) {
    if (!(await bench.settle({ percentages: school }))) {
      said = 'The choice holds here, but could not be remembered.';
    }
  }

  async function bake() {
    starting = true;
    said = '';
    try {
      const formulaVersion = await bench.saver.settle();
      const begun = await api<{ id: string }>('POST', '/api/v1/bakes', {
        id: crypto.randomUUID(),
        formulaId: bench.id,
        formulaVersion,
        method,
      });
      await goto(`/bake/${begun.id}`);
    } catch (fault) {
      said = `The bake could not begin: ${(fault as Error).message}`;
    } finally {
      starting = false;
    }
  }

  async function copy() {
    await navigator.clipboard.writeText(
      formulaText(bench.formula, bench.pantry, bench.household.percentages),
    );
    said = 'Copied as text.';
  }
</script>

<svelte:window onkeydown={key} />
<svelte:head><title>{bench.formula.name} · Bench · Tender Crumb</title></svelte:head>

<ConflictBanner {bench} />

<div class="mb-3 flex flex-wrap items-center gap-x-3 gap-y-2">
  <h1 class="sr-only">{bench.formula.name}</h1>
  <div class="min-w-0 flex-1 basis-72">
    <input
      class="w-full rounded border-[1.5px] border-transparent bg-transparent px-1 text-2xl font-bold text-ellipsis hover:border-line"
      aria-label="Name of the formula"
      maxlength="200"
      value={bench.formula.name}
      oninput={(e) =>
        e.currentTarget.value.trim() &&
        bench.edit({ ...bench.formula, name: e.currentTarget.value }, 'name')}
      onblur={(e) => {
        e.currentTarget.value = bench.formula.name;
        bench.endGroup();
      }}
    />
  </div>
  <SaveMark saver={bench.saver} />
  <div class="no-print flex flex-wrap items-center gap-2">
    <button
      class="knob px-2"
      type="button"
      disabled={!bench.canUndo}
      onclick={() => bench.undo()}
      aria-label="Undo"
      title="Undo (Ctrl Z)"><Undo2 size={18} /></button
    >
    <button
      class="knob px-2"
      type="button"
      disabled={!bench.canRedo}
      onclick={() => bench.redo()}
      aria-label="Redo"
      title="Redo (Ctrl Shift Z)"><Redo2 size={18} /></button
    >
    <button
      class="knob px-2"
      type="button"
      onclick={copy}
      aria-label="Copy as text"
      title="Copy as text"><ClipboardCopy size={18} /></button
    >
    <button
      class="knob px-2"
      type="button"
      onclick={() => globalThis.print()}
      aria-label="Print for the fridge door"
      title="Print for the fridge door"><Printer size={18} /></button
    >
    <label class="sr-only" for="method">Loading order</label>
    <select id="method" class="field" bind:value={method}>
      {#each Object.entries(loadingOrders) as [id, order] (id)}
        <option value={id}>{order.label}</option>
      {/each}
    </select>
    <button
      class="knob knob-act"
      type="button"
      disabled={starting || !bench.evaluation}
      onclick={bake}
    >
      {starting ? 'Getting ready …' : 'Bake this'}
    </button>
  </div>
</div>
{#if said}<p class="quiet mb-2" role="status">{said}</p>{/if}

<section class="bowl mb-4 grid gap-3 p-4" aria-label="Dough level">
  <div class="grid items-center gap-x-6 gap-y-3 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
    <Level level={bench.level} {window} ghost={bench.preview?.level} older={data.older} />
    <div aria-live="polite">
      {#if bench.verdict}
        <p class="text-xl leading-snug font-bold">{bench.verdict.state}.</p>
        <p class={bench.verdict.fits ? '' : 'font-semibold text-act'} data-testid="verdict">
          {bench.verdict.says}
        </p>
        {#if bench.verdict.early}<p class="text-sm">{bench.verdict.early}</p>{/if}
        {#if bench.verdict.chance !== undefined}
          <p class="quiet">
            Chance to land in the window: {Math.round(bench.verdict.chance * 100)} in 100.
          </p>
        {/if}
      {:else}
        <p class="text-xl font-bold">Cannot tell.</p>
        <p>{noFlour.says}</p>
      {/if}
    </div>
  </div>
  {#if bench.evaluation}
    <WaterAccount
      account={bench.evaluation.level.account}
      lit={bench.lit}
      onlight={(line) => (bench.lit = line)}
    />
  {/if}
</section>

<div class="grid items-start gap-4 min-[1180px]:grid-cols-[minmax(0,1fr)_21rem]">
  <section class="bowl p-3" aria-label="Formula sheet">
    <div class="no-print mb-2 flex flex-wrap items-center justify-between gap-x-4 gap-y-2">
      <div class="flex items-center gap-2">
        <label class="quiet" for="style">Style</label>
        <select
          id="style"
          class="field max-w-48"
          value={bench.formula.style}
          onchange={(e) =>
            bench.edit({ ...bench.formula, style: e.currentTarget.value as StyleId })}
        >
          {#each styleIds as id (id)}<option value={id}>{styles[id]}</option>{/each}
        </select>
      </div>
      {#if !bench.evaluation?.totals.dryBase}
        <Either
          label="School of percentages"
          value={bench.household.percentages}
          choices={percentageSchools.map((s) => [s, `% ${schoolNames[s]}`])}
          onpick={setSchool}
        />
      {/if}
      <ScaleForm {bench} />
    </div>
    <Sheet {bench} />
    <div class="mt-4"><Drawers {bench} /></div>
  </section>

  <div class="contents min-[1180px]:grid min-[1180px]:gap-4">
    <div class="bowl order-first p-3 min-[1180px]:order-none"><Slips {bench} /></div>
    {#if bench.evaluation}
      <section class="bowl p-3" aria-labelledby="cautions-title">
        <h2 id="cautions-title">Mind</h2>
        <ul class="mt-1 grid gap-1.5 text-sm">
          {#each bench.evaluation.cautions as caution (caution.id)}
            <li class="border-l-4 border-line pl-2">{caution.text}</li>
          {/each}
        </ul>
        <p class="quiet mt-2">
          General guidance; local rules, makers' manuals and licensed advice go before it.
        </p>
      </section>
    {/if}
    {#if bench.formula.source}
      <details class="bowl no-print p-3">
        <summary class="font-semibold">The recipe as it was pasted</summary>
        <pre class="mt-2 overflow-x-auto font-sans text-sm whitespace-pre-wrap">{bench.formula
            .source}</pre>
      </details>
    {/if}
    {#if data.aside.length > 0}
      <details class="bowl no-print p-3">
        <summary class="font-semibold">Set aside ({data.aside.length})</summary>
        <ul class="mt-2 grid gap-2 text-sm">
          {#each data.aside as aside (aside.id)}
            <li class="flex items-center justify-between gap-2">
              {new Date(aside.keptAt).toLocaleString()}
              <button class="knob" type="button" onclick={() => bench.edit(aside.formula)}
                >Bring back</button
              >
            </li>
          {/each}
        </ul>
      </details>
    {/if}
  </div>
</div>
