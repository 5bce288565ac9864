<script lang="ts">
  import { stateAt } from '@tender-crumb/core/dough';
  import { offeredFor, type Relaxed, type Relaxable } from '@tender-crumb/core/goal';
  import { costOf, portionsOf } from '@tender-crumb/core/nutrition';
  import { parseNumber } from '@tender-crumb/core/quantity';
  import { onMount, untrack } from 'svelte';
  import { SvelteSet } from 'svelte/reactivity';
  import type { Bench } from '../bench/bench.svelte.ts';
  import { Finding } from './finding.svelte.ts';
  import { asMass, asMassNumber, asPoints } from '../ui/writing.ts';

  let { bench }: { bench: Bench } = $props();

  const finding = new Finding();
  onMount(() => () => finding.stop());

  let wanted = $state({ netCarbs: '', protein: '', kcal: '', whole: '' });
  let emptied = $state('');
  let prefer = $state<'fewest' | 'cheapest'>('fewest');
  let faults = $state<Record<string, string>>({});

  const evaluation = $derived(bench.view.evaluation);
  const offered = $derived(
    evaluation ? offeredFor(evaluation.lines, evaluation.totals.dryBase, bench.view.pantry) : [],
  );
  /** What the household has, ticked at first: its own ingredients and what it has a bag of. */
  const at = untrack(() => new Set(bench.household.bags.map((b) => b.ingredient)));
  const usable = new SvelteSet<string>(
    untrack(() => offered.filter((i) => at.has(i.id) || i.id.startsWith('own-')).map((i) => i.id)),
  );
  const present = $derived(new Set(evaluation?.lines.map((l) => l.ingredient)));
  const unpriced = $derived(
    evaluation
      ? [
          ...new Set([
            ...costOf(evaluation.lines).unpriced,
            ...offered
              .filter((i) => usable.has(i.id) && i.pricePerKilo === undefined)
              .map((i) => i.name),
          ]),
        ]
      : [],
  );
  const portions = $derived(portionsOf(bench.formula));

  const fields = [
    ['netCarbs', 'Net carbohydrate, at most', 'g a', [0, 200]],
    ['protein', 'Protein, at least', 'g in 100 g', [0, 90]],
    ['kcal', 'Energy, at most', 'kcal a', [0, 2000]],
    ['whole', 'Whole grain, at least', '% of the flour', [0, 100]],
  ] as const;
  const wheat = $derived(evaluation?.totals.dryBase === false);
  /** What can be asked of this bread: of one without flour no whole grain. */
  const asked = $derived(fields.filter(([name]) => name !== 'whole' || wheat));
  /** Bags that could be used up: what is in them was said. */
  const countedBags = $derived(
    bench.household.bags.filter(
      (b) =>
        !b.finished &&
        (b.hasLeft ?? 0) >= 1 &&
        bench.view.pantry.has(b.ingredient) &&
        bench.view.pantry.ingredient(b.ingredient).role === 'flour',
    ),
  );
  const toEmpty = $derived(wheat ? countedBags.find((b) => b.id === emptied) : undefined);

  type Numbers = Partial<Record<keyof typeof wanted, number>>;

  function read(): Numbers | undefined {
    faults = {};
    const goal: Numbers = {};
    for (const [name, , , [least, most]] of asked) {
      if (wanted[name].trim() === '') continue;
      const value = parseNumber(wanted[name]);
      if (value === undefined || value < least || value > most) {
        faults[name] = `A number from ${least} to ${most}`;
      } else goal[name] = value;
    }
    return Object.keys(faults).length === 0 ? goal : undefined;
  }

  async function find(event?: SubmitEvent) {
    event?.preventDefault();
    const goal = read();
    if (!goal) return;
    await finding.find(
      bench.formula,
      bench.household,
      bench.belief,
      [
        ...offered.filter((i) => usable.has(i.id)).map((i) => i.id),
        ...(toEmpty && !present.has(toEmpty.ingredient) && !usable.has(toEmpty.ingredient)
          ? [toEmpty.ingredient]
          : []),
      ],
      {
        ...goal,
        ...(toEmpty
          ? { useUp: { ingredient: toEmpty.ingredient, grams: Math.floor(toEmpty.hasLeft ?? 0) } }
          : {}),
        portions: portions.count,
        school: bench.household.netCarbs,
        loss: bench.view.loss,
        salt: bench.view.salt.usual,
        prefer,
      },
    );
  }

  const goalWords: Record<Relaxable, (r: Relaxed) => string> = {
    netCarbs: (r) =>
      `${r.to.toFixed(1)} g of net carbohydrate a ${portions.word} instead of ${r.from}`,
    protein: (r) => `${r.to.toFixed(1)} g of protein in 100 g instead of ${r.from}`,
    kcal: (r) => `${Math.ceil(r.to)} kcal a ${portions.word} instead of ${r.from}`,
    whole: (r) => `${Math.floor(r.to)} % of whole grain instead of ${r.from}`,
    useUp: (r) => `${asMass(r.to)} out of that bag instead of ${asMass(r.from)}`,
    level: (r) => `a dough at ${asPoints(r.to)} points instead of ${asPoints(r.from)}`,
  };

  /** A goal given way on, a little on the safe side of what is just possible. */
  function giveWay(r: Relaxed) {
    if (r.goal === 'level' || r.goal === 'useUp') return;
    const up = r.to > r.from;
    const step = r.goal === 'kcal' || r.goal === 'whole' ? 1 : 0.1;
    wanted[r.goal] = String(
      Number(((up ? Math.ceil(r.to / step) : Math.floor(r.to / step)) * step).toFixed(1)),
    );
    void find();
  }

  function take() {
    if (finding.found?.kind !== 'found') return;
    const { changes } = finding.found;
    bench.takeChanges({
      correction: 'goal',
      reason: 'worked out for your goal',
      basis:
        'a linear programme over composition, the water account and what holds a bread together',
      changes: changes.map((c) =>
        c.ingredient === toEmpty?.ingredient && c.grams > 0 ? { ...c, bag: toEmpty.id } : c,
      ),
    });
    finding.found = undefined;
  }
</script>

{#if evaluation}
  <form class="grid gap-3" onsubmit={find}>
    <div class="flex flex-wrap items-end gap-x-4 gap-y-2">
      {#each asked as [name, label, unit] (name)}
        <label class="quiet grid gap-1"
          >{label}, {unit.endsWith(' a') ? `${unit} ${portions.word}` : unit}
          <input
            class="field w-28 text-right text-base text-ink"
            inputmode="decimal"
            bind:value={wanted[name]}
            placeholder="no limit"
            aria-invalid={faults[name] ? 'true' : undefined}
            aria-describedby={faults[name] ? `goal-${name}` : undefined}
          />
          {#if faults[name]}<span id="goal-{name}" class="text-act" role="alert"
              >{faults[name]}</span
            >{/if}
        </label>
      {/each}
      {#if wheat && countedBags.length > 0}
        <label class="quiet grid gap-1"
          >Use up
          <select class="field text-base text-ink" bind:value={emptied}>
            <option value="">no bag</option>
            {#each countedBags as b (b.id)}
              <option value={b.id}>{b.name}, {asMass(b.hasLeft ?? 0)}</option>
            {/each}
          </select>
        </label>
      {/if}
      <label class="quiet grid gap-1"
        >with
        <select class="field text-base text-ink" bind:value={prefer}>
          <option value="fewest">the fewest changes</option>
          <option value="cheapest">the least money</option>
        </select>
      </label>
    </div>
    <fieldset>
      <legend class="quiet">It may also use:</legend>
      <div class="mt-1 flex flex-wrap gap-x-4 gap-y-1">
        {#each offered as i (i.id)}
          <label class="inline-flex items-center gap-1.5 text-sm">
            <input
              type="checkbox"
              class="size-4 accent-rim"
              checked={usable.has(i.id)}
              onchange={(e) => (e.currentTarget.checked ? usable.add(i.id) : usable.delete(i.id))}
            />
            {i.name}
          </label>
        {/each}
      </div>
    </fieldset>
    <div class="flex items-center gap-3">
      <button class="knob" type="submit" disabled={finding.running}>
        {finding.running ? 'Looking …' : 'Find a bread'}
      </button>
      {#if finding.running}
        <button class="knob" type="button" onclick={() => finding.stop()}>Stop</button>
      {/if}
      <span class="quiet">The dough keeps its weight and stays in its window.</span>
    </div>
    {#if prefer === 'cheapest' && unpriced.length > 0}
      <p class="quiet">
        No price yet for {unpriced.join(', ')}. Without one none is added of it; prices are kept in
        the Pantry.
      </p>
    {/if}
    {#if finding.fault}<p class="text-act" role="alert">{finding.fault}</p>{/if}
  </form>

  <div aria-live="polite" class="mt-4">
    {#if finding.found?.kind === 'found'}
      {@const { lines, figures, changes } = finding.found}
      {#if changes.length === 0}
        <p><b>It is there already.</b> Nothing needs to change.</p>
      {:else}
        <table class="w-full text-sm">
          <caption class="sr-only">The bread that was found</caption>
          <thead class="quiet">
            <tr
              ><th class="text-left font-medium">Ingredient</th><th class="text-right font-medium"
                >now</th
              ><th class="text-right font-medium">then, g</th></tr
            >
          </thead>
          <tbody>
            {#each lines as line (line.ingredient)}
              <tr class="border-t border-line">
                <td class="py-0.5">{line.name}</td>
                <td class="quiet text-right">{line.now > 0 ? asMassNumber(line.now) : '–'}</td>
                <td class="text-right" class:font-bold={Math.abs(line.grams - line.now) > 1e-9}
                  >{asMassNumber(line.grams)}</td
                >
              </tr>
            {/each}
          </tbody>
        </table>
        <p class="mt-2">
          <b>{figures.portion.netCarbs.value.toFixed(1)} g</b> net carbohydrate a {portions.word} (8 in
          10 between {figures.portion.netCarbs.low.toFixed(1)} and {figures.portion.netCarbs.high.toFixed(
            1,
          )}),
          <b>{figures.protein.toFixed(1)} g</b> protein in 100 g, {Math.round(
            figures.portion.kcal.value,
          )} kcal a {portions.word}{figures.level
            ? `; the dough ${stateAt(figures.level.points).short} (${asPoints(figures.level.points)})`
            : ''}{prefer === 'cheapest' ? `; ${figures.cost.toFixed(2)} of known prices` : ''}.
        </p>
        {#if finding.found.another}
          <p class="mt-1">
            <b>That is another bread</b>: more than a fifth has changed.
          </p>
        {/if}
        <p class="mt-2">
          <button class="knob knob-act" type="button" onclick={take}>Take it to the formula</button>
        </p>
      {/if}
    {:else if finding.found?.kind === 'none'}
      {@const { relax, together } = finding.found}
      <p><b>No bread of these does that.</b></p>
      {#if relax.length > 0}
        <p class="mt-1">It works if you change one of these:</p>
        <ul class="mt-1 grid gap-1.5">
          {#each relax as r (r.goal)}
            <li class="flex flex-wrap items-center gap-3">
              {goalWords[r.goal](r)}
              {#if r.goal !== 'level' && r.goal !== 'useUp'}
                <button class="knob" type="button" onclick={() => giveWay(r)}>Allow that</button>
              {/if}
            </li>
          {/each}
        </ul>
      {:else if together.length > 0}
        <p class="mt-1">
          One alone is not enough. Together: {together
            .map((r) => goalWords[r.goal](r))
            .join(' and ')}.
        </p>
      {:else}
        <p class="mt-1">Even with no goals this is no bread: tick more ingredients.</p>
      {/if}
    {/if}
  </div>
{:else}
  <p class="quiet">Add flour, gluten or meal first.</p>
{/if}
