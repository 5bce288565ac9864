<script lang="ts">
  import { blendTo, type Blend } from '@tender-crumb/core/correct';
  import { mixingAdvice, proteinAim } from '@tender-crumb/core/dough';
  import { waterTemperature, frictionFrom } from '@tender-crumb/core/ferment';
  import { isFlour } from '@tender-crumb/core/formula';
  import { frictionOf, frictionSpan, withFriction } from '@tender-crumb/core/belief';
  import { grainFor } from '@tender-crumb/core/ingredient';
  import { kneadingIds, kneadings, type KneadingId } from '@tender-crumb/core/machine';
  import { celsiusTyped, gramsText, numberTyped } from '@tender-crumb/core/quantity';
  import type { Bench } from '../bench/bench.svelte.ts';
  import { asMass, asWarmth, say, writing } from '../ui/writing.ts';

  let { bench }: { bench: Bench } = $props();

  let worked = $state<KneadingId>('machine');
  let desired = $state('26');
  /** Milk, egg and their like come cold. */
  let fridge = $state(false);
  /** The machine warms everything before it kneads. */
  let preheats = $state(false);
  let cameOut = $state('');
  let poured = $state('');
  let fault = $state('');

  const degrees = (text: string): number | undefined => {
    const typed = numberTyped(text, writing());
    return typed === undefined ? undefined : celsiusTyped(typed, writing());
  };

  /** What a thermometer said after mixing teaches how warm this mixing makes a dough. */
  function measured() {
    const [water, reached] = [degrees(poured), degrees(cameOut)];
    fault = '';
    if (water === undefined || reached === undefined) {
      fault = 'Enter the water and the dough temperature.';
      return;
    }
    const put = frictionFrom(lines, { water, reached, room, fridge });
    if (put === undefined) return;
    const [least, most] = frictionSpan;
    if (put < least || put > most) {
      fault = `Mixing cannot do that: it would add ${say(`${Math.round(put)} °C`)}. Measure once more.`;
      return;
    }
    bench.settle({ friction: withFriction(bench.household.friction, worked, put) });
    cameOut = poured = '';
  }

  const evaluation = $derived(bench.view.evaluation);
  const lines = $derived(evaluation?.lines ?? []);
  const aim = $derived(
    evaluation ? proteinAim(bench.formula.style, evaluation.totals, bench.view.kitchen) : undefined,
  );
  const strong = $derived([
    ...new Set(
      bench.household.bags
        .filter((b) => !b.finished)
        .map((b) => bench.view.pantry.stuff({ ingredient: b.ingredient, bag: b.id })),
    ),
    ...bench.view.pantry.all,
  ]);
  const blend = $derived(
    evaluation && aim !== undefined ? blendTo(aim, lines, evaluation.totals, strong) : undefined,
  );
  const mixing = $derived(mixingAdvice(lines));
  const room = $derived(
    bench.household.room.celsius ?? bench.view.kitchen.coefficients.ordinaryCelsius.value,
  );
  const friction = $derived(frictionOf(worked, bench.household, bench.belief));
  const water = $derived.by(() => {
    const typed = numberTyped(desired, writing());
    const celsius = typed === undefined ? undefined : celsiusTyped(typed, writing());
    return celsius === undefined || celsius < 10 || celsius > 40
      ? undefined
      : waterTemperature(lines, {
          desired: celsius,
          room,
          rise: friction.mean,
          fridge,
        });
  });
  const milled = $derived(
    lines
      .filter((l) => isFlour(l) && l.of.freshMilled && l.grams > 0)
      .map((l) => ({
        line: l,
        milling: grainFor(l.grams, l.of.bag?.grind === 'sifted' ? l.of.bag.extraction : 1),
      })),
  );

  function take({ grams, weaker, stronger, changes }: Blend) {
    bench.takeChanges({
      correction: `blend:${stronger.id}`,
      reason: `${gramsText(grams)} of ${stronger.name} in place of ${weaker.name} brings up the protein without gluten`,
      basis: 'Pearson square on the protein of both',
      changes,
    });
  }
</script>

{#if evaluation && aim !== undefined}
  {@const { totals } = evaluation}
  <div class="grid gap-5 @2xl:grid-cols-2">
    <section class="grid content-start gap-2">
      <h2>Gluten and protein</h2>
      {#if totals.dryBase}
        <p>
          No cereal flour: gluten is {totals.proteinPercent.toFixed(0)} % protein and holds this bread
          together.
        </p>
      {:else}
        <p>
          The flours bring <b>{totals.proteinPercent.toFixed(1)} %</b> protein; this bread wants
          <b>{Number(aim.toFixed(1))}</b> to {bench.view.style.protein[1]} %{totals.wholeShare > 0.2
            ? ', with extra for the bran'
            : ''}.
        </p>
        {#if totals.proteinPercent >= aim}
          <p class="quiet">Strong enough: gluten would only make it tougher.</p>
        {:else if blend}
          <p>
            Without gluten: <b>{asMass(blend.grams)}</b> of {blend.stronger.name} in place of as much
            {blend.weaker.name} does it too.
          </p>
          <p>
            <button class="knob" type="button" onclick={() => take(blend)}>Take this blend</button>
          </p>
        {:else}
          <p class="quiet">No flour in the pantry is strong enough without gluten.</p>
        {/if}
      {/if}
      {#if milled.length > 0}
        <h2 class="mt-2">To mill</h2>
        <ul>
          {#each milled as { line, milling } (line.id)}
            <li>
              <b>{asMass(milling.grain)}</b> of grain for {asMass(line.grams)} of {line.of.name},
              about {Math.max(1, Math.round(milling.minutes))} minutes{milling.bran > 0.5
                ? `; ${asMass(milling.bran)} of bran stays in the sieve`
                : ''}.
            </li>
          {/each}
        </ul>
        <p class="quiet">Keep hands, hair and sleeves away from a running mill.</p>
      {/if}
    </section>
    <section class="grid content-start gap-2">
      <h2>How long to mix it</h2>
      <ul class="grid gap-1">
        {#each mixing as m (m.by)}
          <li class:text-act={m.tooLong}>
            <b>{m.label}: about {m.minutes} minutes</b>, {say(m.says)}.
          </li>
        {/each}
      </ul>
      <h2 class="mt-2">Water for a warm dough</h2>
      <div class="flex flex-wrap items-center gap-2">
        <label class="quiet" for="desired">Dough of</label>
        <input
          id="desired"
          class="field w-16 text-right"
          inputmode="decimal"
          bind:value={desired}
          aria-invalid={water ? undefined : 'true'}
        />
        <span class="quiet">°{writing().temperature}, worked</span>
        <select class="field" bind:value={worked} aria-label="Worked by">
          {#each kneadingIds as id (id)}<option value={id}>{kneadings[id].label}</option>{/each}
        </select>
      </div>
      {#if water}
        <p>
          <span class="first-letter:uppercase">{water.name}</span> at
          <b>{asWarmth(water.celsius)}</b>, in a room of {asWarmth(room)}{water.warmFlour
            ? `; the flour comes out of the mill at about ${asWarmth(water.warmFlour)}`
            : ''}.
          {#if water.ice}
            That is {asMass(water.ice)} of ice in place of as much of it, from an ordinary tap.
          {/if}
          {#if water.beyond}That alone is not enough: {water.celsius < 10
              ? 'let the flour cool, or use ice'
              : 'warm the flour'}.{/if}
        </p>
        {#if preheats}
          <p>The machine warms everything first: use cold ingredients, no warm water.</p>
        {/if}
      {:else}
        <p class="quiet">A dough of {say('10 to 40 °C')}, with some water or milk in it.</p>
      {/if}
      <div class="flex flex-wrap gap-x-4">
        {#if lines.some((l) => l.of.perishable && l.grams > 0)}
          <label class="touch flex items-center gap-2"
            ><input type="checkbox" bind:checked={fridge} /> Milk and egg from the fridge</label
          >
        {/if}
        {#if worked === 'machine'}
          <label class="touch flex items-center gap-2"
            ><input type="checkbox" bind:checked={preheats} /> It preheats</label
          >
        {/if}
      </div>
      <div class="flex flex-wrap items-end gap-2">
        <label class="quiet grid gap-1"
          >Water was, °{writing().temperature}
          <input
            class="field w-20 text-right text-base text-ink"
            inputmode="decimal"
            bind:value={poured}
          />
        </label>
        <label class="quiet grid gap-1"
          >Dough came out at
          <input
            class="field w-20 text-right text-base text-ink"
            inputmode="decimal"
            bind:value={cameOut}
          />
        </label>
        <button class="knob" type="button" onclick={measured}>Remember</button>
      </div>
      {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
      <p class="quiet">
        Mixing ({kneadings[worked].label}) warms the dough by about {say(
          `${friction.mean.toFixed(1).replace(/\.0$/, '')} °C`,
        )}{friction.bakes > 0
          ? `, by ${friction.bakes} of your bakes`
          : bench.household.friction[worked] === undefined
            ? ''
            : ', as measured here'}. With eggs, use tap-hot water at most, never boiling.
      </p>
    </section>
  </div>
{:else}
  <p class="quiet">Add some flour first.</p>
{/if}

<style>
  h2 {
    font-weight: 650;
  }
</style>
