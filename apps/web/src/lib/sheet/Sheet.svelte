<script lang="ts">
  import './sheet.css';
  import {
    addIngredient,
    addStage,
    editLine,
    hundred,
    mainStage,
    moveLine,
    percentOf,
    perKilo,
    removeLine,
    schoolNames,
    stageKinds,
    stageNames,
    stagesOf,
    type ResolvedLine,
    type StageKind,
  } from '@tender-crumb/core/formula';
  import { sumGrams } from '@tender-crumb/core/quantity';
  import ArrowDown from '@lucide/svelte/icons/arrow-down';
  import ArrowLeftRight from '@lucide/svelte/icons/arrow-left-right';
  import ArrowUp from '@lucide/svelte/icons/arrow-up';
  import Lock from '@lucide/svelte/icons/lock';
  import LockOpen from '@lucide/svelte/icons/lock-open';
  import Trash2 from '@lucide/svelte/icons/trash-2';
  import type { Bench } from '../bench/bench.svelte.ts';
  import type { Deed } from '../ui/deed.ts';
  import { later } from '../ui/later.ts';
  import Menu from '../ui/Menu.svelte';
  import { asMass, asMassNumber, say, writing } from '../ui/writing.ts';
  import IngredientPicker from './IngredientPicker.svelte';
  import { moveByKey } from './keys.ts';
  import StageHead from './StageHead.svelte';
  import StageRows from './StageRows.svelte';
  import StageStrip from './StageStrip.svelte';
  import Explain from '../ui/Explain.svelte';

  let { bench }: { bench: Bench } = $props();

  /** Line that something is to take the place of. */
  const swap = later(() => import('../swap/SwapDialog.svelte'));
  let swapping = $state<string | undefined>();
  let chosen = $state<string | undefined>();
  /** The menu is one for the whole sheet: it hangs where it was asked for. */
  let menu = $state.raw<{ label: string; deeds: readonly Deed[]; at: HTMLElement } | undefined>();
  let menuOpen = $state(false);
  /** Stage that a new ingredient goes to, where not to the last dough. */
  let into = $state('');

  const totals = $derived(bench.view.evaluation?.totals);
  const lines = $derived(bench.view.evaluation?.lines ?? bench.view.resolved);
  const stages = $derived(
    stagesOf(bench.formula).map((stage) => {
      const own = lines.filter((l) => l.stage === stage.id);
      return { ...stage, own, grams: sumGrams(own) };
    }),
  );
  /** Rows drawn at once: more than a screen holds. Those of a very long formula follow by themselves. */
  const rowsAtOnce = 24;
  let drawn = $state(rowsAtOnce);
  $effect(() => {
    if (drawn >= lines.length) return;
    const timer = setTimeout(() => (drawn += rowsAtOnce), 30);
    return () => clearTimeout(timer);
  });
  const shown = $derived(new Set(lines.slice(0, drawn).map((l) => l.id)));
  const headed = $derived(stages.length > 1 || stages[0]?.kind !== 'dough');
  const school = $derived(bench.household.percentages);
  const whole = $derived(bench.opened === 'whole');
  const main = $derived(mainStage(bench.formula).id);
  const target = $derived(bench.formula.stages.some((s) => s.id === into) ? into : main);

  const kilos = $derived(totals ? perKilo(lines, totals) : []);

  const percent = (grams: number) =>
    totals ? say(percentOf(grams, totals, school).toFixed(1)) : '';

  function key(event: KeyboardEvent) {
    if (moveByKey(event)) event.preventDefault();
  }

  function add(id: string) {
    bench.edit(addIngredient(bench.formula, id, 0, target));
    bench.lit = undefined;
  }

  function hang(label: string, deeds: readonly Deed[], at: HTMLElement) {
    menu = { label, deeds, at };
    menuOpen = true;
  }

  const deedsOf = (line: ResolvedLine): readonly Deed[] => [
    {
      says: 'Something in its place',
      icon: ArrowLeftRight,
      does: () => ([chosen, swapping] = [undefined, line.id]),
      not: line.grams === 0,
    },
    {
      says: line.held ? 'Scale it with the rest again' : 'Keep this amount when scaling',
      icon: line.held ? LockOpen : Lock,
      does: () =>
        bench.edit(editLine(bench.formula, line.id, { held: line.held ? undefined : true })),
    },
    ...([-1, 1] as const).map((by): Deed => {
      const next = moveLine(bench.formula, line.id, by);
      return {
        says: by < 0 ? 'Move up' : 'Move down',
        icon: by < 0 ? ArrowUp : ArrowDown,
        keys: by < 0 ? 'Alt ↑' : 'Alt ↓',
        does: () => bench.edit(next),
        not: next === bench.formula,
      };
    }),
    {
      says: 'Remove',
      icon: Trash2,
      does: () => bench.edit(removeLine(bench.formula, line.id)),
    },
  ];
</script>

{#if whole && bench.formula.stages.length > 1}<StageStrip {bench} />{/if}
<!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
<div class="over">
  <table class="sheet" class:whole onkeydown={key}>
    <caption class="sr-only">The recipe, in percent, grams and measures</caption>
    <thead>
      <tr>
        <th scope="col" class="role"><span class="sr-only">Role, to drag it by</span></th>
        <th scope="col" class="left">Ingredient</th>
        <th scope="col" class="share"
          ><Explain word="baker’s percentage"
            >% {totals?.dryBase ? 'of dry base' : schoolNames[school]}</Explain
          ></th
        >
        <th scope="col" class="grams">{writing().mass === 'oz' ? 'Ounces' : 'Grams'}</th>
        <th scope="col" class="left measure">Measure</th>
        <th scope="col" class="acts"><span class="sr-only">What to do with it</span></th>
      </tr>
    </thead>
    {#each stages as stage (stage.id)}
      {#if headed}
        <tbody>
          <StageHead
            {bench}
            {stage}
            grams={stage.grams}
            percent={stage.kind === 'dough' ? '' : percent(stage.grams)}
            onmenu={(deeds, at) => hang(`The part ${stage.name}`, deeds, at)}
          />
        </tbody>
      {/if}
      <StageRows
        {bench}
        stage={stage.id}
        lines={stage.own.filter((l) => shown.has(l.id))}
        {percent}
        inStage={stage.id === main ? '' : `, ${stage.name}`}
        onmenu={(line, at) => hang(line.of.name, deedsOf(line), at)}
        onswap={(line, refused) => ([chosen, swapping] = [refused, line.id])}
      />
    {/each}
    <tfoot>
      {#if totals}
        <tr class="sum">
          <td class="role"></td>
          <td class="left">Dough</td>
          <td class="share">{percent(totals.doughGrams)}</td>
          <td>{asMassNumber(totals.doughGrams)}</td>
          <td class="left quiet measure">
            100 % = {asMass(hundred(totals, school))}
            {totals.dryBase ? 'dry base' : 'flour'}
          </td>
          <td class="acts"></td>
        </tr>
      {/if}
    </tfoot>
  </table>
</div>
{#if kilos.length > 0}
  <p class="quiet mt-1">
    A kilo of flour gets {kilos.map((k) => `${asMass(k.grams)} ${k.name}`).join(', ')}.
  </p>
{/if}
<div class="no-print mt-2 flex flex-wrap items-center gap-2">
  <span class="min-w-[min(9rem,100%)] flex-1"
    ><IngredientPicker
      pantry={bench.view.pantry}
      glutenFree={bench.household.glutenFree}
      label="Add an ingredient"
      placeholder="Add an ingredient …"
      onpick={add}
    /></span
  >
  {#if headed}
    <label class="quiet flex items-center gap-1"
      >to
      <select
        class="field max-w-36"
        aria-label="Part that it goes to"
        bind:value={() => target, (picked) => (into = picked)}
      >
        {#each bench.formula.stages as stage (stage.id)}
          <option value={stage.id}>{stage.name}</option>
        {/each}
      </select>
    </label>
  {/if}
  {#if whole || headed}
    <select
      class="field max-w-36"
      aria-label="Add a part that is mixed on its own"
      value=""
      onchange={(e) => {
        const kind = e.currentTarget.value as StageKind;
        e.currentTarget.value = '';
        bench.edit(addStage(bench.formula, kind));
        into = '';
      }}
    >
      <option value="">Add a part …</option>
      {#each stageKinds as kind (kind)}
        <option value={kind}>{stageNames[kind]}</option>
      {/each}
    </select>
  {/if}
</div>
<Menu label={menu?.label ?? ''} deeds={menu?.deeds ?? []} at={menu?.at} bind:open={menuOpen} />
{#if swapping}
  {#await swap() then { default: SwapDialog }}<SwapDialog
      {bench}
      bind:line={swapping}
      bind:chosen
    />{/await}
{/if}

<style>
  @media (max-width: 900px) {
    .over {
      position: relative;
      overflow-x: auto;
    }
  }
</style>
