<script lang="ts">
  import { beforeNavigate, goto } from '$app/navigation';
  import { windowFor } from '@tender-crumb/core/dough';
  import type { Labelled } from '@tender-crumb/core/exchange';
  import { schoolNames } from '@tender-crumb/core/formula';
  import { percentageSchools, usualBaker } from '@tender-crumb/core/household';
  import MadeChoice from '../made/MadeChoice.svelte';
  import { styleIds, styles, type StyleId } from '@tender-crumb/core/style';
  import ClipboardCopy from '@lucide/svelte/icons/clipboard-copy';
  import Download from '@lucide/svelte/icons/download';
  import Ellipsis from '@lucide/svelte/icons/ellipsis';
  import Printer from '@lucide/svelte/icons/printer';
  import QrCode from '@lucide/svelte/icons/qr-code';
  import Redo2 from '@lucide/svelte/icons/redo-2';
  import Undo2 from '@lucide/svelte/icons/undo-2';
  import { nanoid } from 'nanoid';
  import { flushSync, onMount, untrack, type Component, type ComponentProps } from 'svelte';
  import { question } from '../question.ts';
  import { beginBake, NotBegun } from '../sync/begin.ts';
  import Either from '../ui/Either.svelte';
  import { copyText } from '../ui/copy.ts';
  import type { Deed } from '../ui/deed.ts';
  import { idle, later } from '../ui/later.ts';
  import Menu from '../ui/Menu.svelte';
  import WaterAccount from '../account/WaterAccount.svelte';
  import { Bench, type Given } from './bench.svelte.ts';
  import Cautions from './Cautions.svelte';
  import Drawers from './Drawers.svelte';
  import type KeptVersions from './KeptVersions.svelte';
  import SaveMark from './SaveMark.svelte';
  import Verdict from './Verdict.svelte';
  import type { Version } from './saver.svelte.ts';
  import Makes from './Makes.svelte';
  import RunningOut from './RunningOut.svelte';
  import Level from '../level/Level.svelte';
  import Sheet from '../sheet/Sheet.svelte';
  import Corrections from '../corrections/Corrections.svelte';

  let {
    data,
  }: {
    data: Given & {
      older: readonly number[];
      labels: readonly Labelled[];
      aside: ComponentProps<typeof KeptVersions>['aside'];
    };
  } = $props();

  const bench = new Bench(untrack(() => data));
  $effect(() => bench.receive(data));
  /** Pressed twice, or begun and not heard of, it is one bake. */
  let bakeId = nanoid();
  let said = $state('');
  let starting = $state(false);

  const window = $derived(
    bench.view.evaluation?.window ?? windowFor(bench.formula.style, 0, bench.household.figures),
  );

  onMount(() => {
    const end = bench.saver.follow();
    void bench.recover(() => question<Version>(`/api/v1/formulas/${bench.id}`));
    return () => {
      end();
      bench.history.flush();
    };
  });
  beforeNavigate(() => bench.saver.flush());

  function key(event: KeyboardEvent) {
    if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
    event.preventDefault();
    (document.activeElement as HTMLElement | null)?.blur();
    if (event.shiftKey) bench.redo();
    else bench.undo();
  }

  async function bake() {
    starting = true;
    said = '';
    try {
      const version = await bench.saver.versionToBake();
      const { formula, household } = bench;
      await beginBake(
        { id: bakeId, formulaId: bench.id, ...version, method: bench.view.device },
        { formula, household, belief: bench.belief },
      );
      await goto(`/bake/${bakeId}`);
    } catch (fault) {
      // What was refused under this id, another formula may have taken: the next try has its own.
      if (fault instanceof NotBegun) bakeId = nanoid();
      said = `The bake could not begin: ${(fault as Error).message}`;
    } finally {
      starting = false;
    }
  }

  let moreAt = $state<HTMLElement>();
  let moreOpen = $state(false);
  const versions = later(() => import('./KeptVersions.svelte'));
  const conflict = later(() => import('./ConflictBanner.svelte'));
  const unread = later(() => import('./Unread.svelte'));
  const method = later(() => import('./MethodSheet.svelte'));
  const pictures = later(() => import('../paste/PagesRead.svelte'));
  /** A sheet with nothing on it yet is typed from its picture. */
  const bare = $derived(bench.formula.stages.every((s) => s.lines.length === 0));
  /** What leads a bake is not fetched before the sheet stands: it comes while nothing else does. */
  let rested = $state(false);
  onMount(() => idle(() => (rested = true)));
  /** For paper: fetched while nothing else is, so that it is there whenever somebody prints. */
  let Fridge = $state.raw<Component<{ bench: Bench }>>();
  let printing = $state(false);
  $effect(() => {
    if (rested)
      void import('./FridgeSheet.svelte').then(
        ({ default: sheet }) => (Fridge = sheet),
        () => undefined,
      );
  });
  const code = later(() => import('../ui/CodeDialog.svelte'));
  let codeOpen = $state(false);
  const handingOut = later(() => import('./hand-out.ts'));
  let out = $state.raw<Awaited<ReturnType<typeof handingOut>>>();
  $effect(() => {
    if (moreOpen || rested)
      handingOut().then(
        (part) => (out = part),
        () => undefined,
      );
  });
  const more: readonly Deed[] = $derived([
    { says: 'Copy as text', icon: ClipboardCopy, does: () => void copy() },
    { says: 'Print for the fridge door', icon: Printer, does: () => globalThis.print() },
    { says: 'Show as a code', icon: QrCode, does: () => (codeOpen = true) },
    ...(out?.waysOut(bench, data.labels) ?? []).map(({ says, go }): Deed => ({
      says,
      icon: Download,
      does: () => (said = go()),
    })),
  ]);
  const whole = $derived(bench.opened === 'whole');

  async function copy() {
    const { asText } = await handingOut();
    said = (await copyText(asText(bench)))
      ? 'Copied as text.'
      : 'This browser blocks copying: print the recipe, or select it by hand.';
  }
</script>

<svelte:window
  onkeydown={key}
  onpagehide={() => bench.history.flush()}
  onbeforeprint={() => flushSync(() => (printing = true))}
  onafterprint={() => (printing = false)}
/>
<svelte:head><title>{bench.formula.name} · Bench · Tender Crumb</title></svelte:head>

{#if printing && Fridge}<Fridge {bench} />{/if}
{#if bench.saver.conflict}
  {#await conflict() then { default: ConflictBanner }}<ConflictBanner {bench} />{/await}
{/if}

<div class="mb-3 flex flex-wrap items-center gap-x-3 gap-y-2">
  <h1 class="sr-only">{bench.formula.name}</h1>
  <div class="min-w-0 flex-1 basis-72">
    <input
      class="picker w-full rounded border-[1.5px] border-transparent bg-transparent px-1 text-2xl font-bold text-ellipsis hover:border-line"
      aria-label="Name of the recipe"
      maxlength="200"
      value={bench.formula.name}
      oninput={(e) =>
        e.currentTarget.value.trim() &&
        bench.edit({ ...bench.formula, name: e.currentTarget.value }, 'name')}
      onblur={(e) => {
        e.currentTarget.value = bench.formula.name;
        bench.history.endGroup();
      }}
    />
  </div>
  <SaveMark saver={bench.saver} />
  <div class="no-print flex flex-wrap items-center gap-2">
    <button
      class="knob px-2"
      type="button"
      disabled={!bench.history.canUndo}
      onclick={() => bench.undo()}
      aria-label="Undo"
      title="Undo (Ctrl Z)"><Undo2 size={18} /></button
    >
    <button
      class="knob px-2"
      type="button"
      disabled={!bench.history.canRedo}
      onclick={() => bench.redo()}
      aria-label="Redo"
      title="Redo (Ctrl Shift Z)"><Redo2 size={18} /></button
    >
    <button
      class="knob px-2"
      type="button"
      bind:this={moreAt}
      aria-label="Copy, print or save"
      aria-haspopup="menu"
      onclick={() => (moreOpen = true)}><Ellipsis size={18} /></button
    >
    <Menu label="Copy, print or save" deeds={more} at={moreAt} bind:open={moreOpen} />
    <button
      class="knob knob-act"
      type="button"
      disabled={starting || !bench.view.evaluation}
      onclick={bake}
    >
      {starting ? 'Getting ready …' : 'Bake this'}
    </button>
  </div>
</div>
{#if codeOpen && out}
  {@const text = out.asText(bench)}
  {#await code() then { default: CodeDialog }}
    <CodeDialog bind:open={codeOpen} {text} title={bench.formula.name} />
  {/await}
{/if}
{#if said}<p class="quiet mb-2" role="status">{said}</p>{/if}

<section class="bowl mb-4 grid gap-3 p-4" aria-label="Dough level">
  <div class="grid items-center gap-x-6 gap-y-3 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
    <Level
      level={bench.view.level}
      {window}
      usual={bench.view.evaluation?.looks ? bench.view.evaluation.styleWindow : undefined}
      ghost={bench.preview?.level}
      older={data.older}
    />
    <Verdict {bench} />
  </div>
  {#if bench.view.evaluation && whole}
    <WaterAccount
      account={bench.view.evaluation.level.account}
      lit={bench.lit}
      called={(line, name) => bench.view.called(line, name)}
      onlight={(line) => (bench.lit = line)}
    />
  {/if}
</section>

<div class="halves" class:whole>
  <section class="bowl p-3" aria-label="Formula sheet">
    <div class="no-print mb-2 flex flex-wrap items-center justify-between gap-x-4 gap-y-2">
      <label class="flex max-w-full flex-wrap items-center gap-x-2"
        ><span class="quiet">Type of bread</span>
        <select
          class="field max-w-44 sm:max-w-64"
          value={bench.formula.style}
          onchange={(e) => bench.isA(e.currentTarget.value as StyleId)}
        >
          {#each styleIds as id (id)}<option value={id}>{styles[id].name}</option>{/each}
        </select>
      </label>
      <MadeChoice
        household={bench.household}
        device={bench.view.device}
        onpick={(device) => bench.edit({ ...bench.formula, device })}
      />
      <Makes {bench} />
      {#if bench.view.byCup && bench.household.bakers.length > 1}
        <label class="flex items-center gap-2"
          ><span class="quiet">Cups filled by</span>
          <select
            class="field max-w-40"
            value={bench.household.baker ?? usualBaker}
            onchange={(e) => bench.standBy(e.currentTarget.value)}
          >
            {#each bench.household.bakers as { id, name } (id)}<option value={id}>{name}</option
              >{/each}
          </select>
        </label>
      {/if}
      {#if whole}
        {#if !bench.view.evaluation?.totals.dryBase}
          <Either
            label="School of percentages"
            value={bench.household.percentages}
            choices={percentageSchools.map((s) => [s, `% ${schoolNames[s]}`])}
            onpick={(percentages) => bench.settle({ percentages })}
          />
        {/if}
      {/if}
    </div>
    <Sheet {bench} />
    {#if bench.formula.unread}
      {#await unread() then { default: Unread }}<Unread {bench} />{/await}
    {/if}
    {#if bench.formula.outside}
      <details class="no-print mt-3" open>
        <summary class="font-semibold">Outside the dough</summary>
        <ul class="mt-1 grid gap-1">
          {#each bench.formula.outside as thing (thing.id)}
            <li class="flex flex-wrap gap-2"><span class="quiet">{thing.use}</span>{thing.says}</li>
          {/each}
        </ul>
      </details>
    {/if}
    {#if rested && (bench.formula.steps || whole)}
      {#await method() then { default: MethodSheet }}<MethodSheet {bench} />{/await}
    {/if}
    <div class="mt-4">
      <button
        class="knob no-print mt-3 py-1 text-left whitespace-normal"
        type="button"
        aria-expanded={whole}
        onclick={() => bench.unfold(whole ? 'plain' : 'whole')}
      >
        {whole ? 'Show less' : 'Show everything'}
      </button>
    </div>
  </section>

  <div class="side">
    <RunningOut {bench} />
    <div class="bowl first p-3"><Corrections {bench} /></div>
    {#if whole}<div class="bowl first p-3"><Drawers {bench} /></div>{/if}
    {#if bench.view.evaluation}
      <section class="bowl p-3" aria-labelledby="cautions-title">
        <h2 id="cautions-title">Take care</h2>
        <Cautions cautions={bench.view.evaluation.cautions} />
      </section>
    {/if}
    <section class="bowl p-3">
      <label class="font-semibold" for="notes">Notes</label>
      <textarea
        id="notes"
        class="field mt-1 field-sizing-content min-h-16 w-full"
        maxlength="20000"
        value={bench.formula.notes ?? ''}
        oninput={(e) =>
          bench.edit({ ...bench.formula, notes: e.currentTarget.value || undefined }, 'notes')}
        onblur={() => bench.history.endGroup()}></textarea>
    </section>
    {#if bench.formula.pages}
      {#await pictures() then { default: Pictures }}
        <section class="bowl no-print p-3 {bare ? 'first' : ''}" aria-label="The photo">
          <Pictures
            pages={bench.formula.pages.map((id) => ({ id }))}
            large={!bench.formula.source}
          />
        </section>
      {/await}
    {/if}
    {#if bench.formula.source}
      <details class="bowl no-print p-3">
        <summary class="font-semibold">The recipe you pasted</summary>
        <pre class="mt-2 overflow-x-auto font-sans text-sm whitespace-pre-wrap">{bench.formula
            .source}</pre>
      </details>
    {/if}
    {#if whole || data.aside.length > 0}
      {#await versions() then { default: KeptVersions }}
        <KeptVersions {bench} aside={data.aside} />
      {/await}
    {/if}
  </div>
</div>

<style>
  .halves {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    align-items: start;
    gap: 1rem;
  }
  /* One below the other, what to correct comes before the sheet; beside each other, next to it. */
  .side {
    display: contents;
  }
  .first {
    order: -1;
  }
  @media (min-width: 900px) {
    .halves:not(.whole) {
      grid-template-columns: minmax(0, 1fr) minmax(17rem, 21rem);
    }
    .halves:not(.whole) .side {
      display: grid;
      gap: 1rem;
    }
  }
  @media (min-width: 1180px) {
    .halves {
      grid-template-columns: minmax(0, 1fr) 21rem;
    }
    .halves.whole {
      grid-template-columns: minmax(0, 9fr) minmax(0, 5fr);
    }
    .side {
      display: grid;
      gap: 1rem;
    }
  }
</style>
