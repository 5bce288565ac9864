<script lang="ts">
  import { mostOfPieces } from '@tender-crumb/core/bake';
  import {
    divide,
    dividing,
    formRows,
    panMarks,
    pieceOnTop,
    pieceSlack,
    plaits,
    plaitStrands,
    setAside,
    strandCm,
    type PlaitStrands,
  } from '@tender-crumb/core/hands';
  import { forms, type Form } from '@tender-crumb/core/style';
  import { totals } from '@tender-crumb/core/formula';
  import { panDough, panFit, panKinds } from '@tender-crumb/core/machine';
  import { isRefused, numberTyped, sumTyped } from '@tender-crumb/core/quantity';
  import { untrack } from 'svelte';
  import { standIns } from '../devices/stand-ins.svelte.ts';
  import Either from '../ui/Either.svelte';
  import PlaitDrawing from '../drawing/PlaitDrawing.svelte';
  import { asMass, writing } from '../ui/writing.ts';
  import type { Run } from './run.svelte.ts';

  let { run }: { run: Run } = $props();

  const form = $derived(run.view.shaping.form);
  const pan = $derived(run.view.state.divided?.pan);
  const pieces = $derived(run.view.shaping.pieces);
  let typed = $state(untrack(() => String(pieces)));
  let fault = $state('');

  const flour = $derived(totals(run.view.planned)?.flourGrams ?? 0);
  const custom = $derived(setAside(run.household.custom, flour));
  const aside = $derived(run.view.state.aside ?? 0);
  const division = $derived(divide(run.view.doughGrams, pieces, { aside, form }));
  const whole = $derived(isRefused(division) ? 0 : division.whole);
  const weighed = $derived(run.view.state.pieces.map((p) => p.grams));
  const marks = $derived(panMarks(whole, pieces, weighed));
  /** All go into one pan, and what the scale shows is of all of them. */
  let together = $state(false);
  const standing = $derived(dividing(whole, pieces, weighed));

  function say(edit: Partial<{ pieces: number; form: Form; pan: string | undefined }>) {
    const next = { pieces, form, pan, ...edit };
    const { pan: chosen, ...rest } = next;
    run.say('divided', chosen ? { ...rest, pan: chosen } : rest);
  }
  function count(text: string) {
    const number = numberTyped(text, writing());
    const problem = divide(run.view.doughGrams, number ?? NaN, { aside, form });
    if (number === undefined || isRefused(problem)) {
      fault = isRefused(problem) ? problem.refused.says : `How many pieces, 1 to ${mostOfPieces}?`;
      return;
    }
    fault = '';
    say({ pieces: number });
  }

  /** What lay on the scale before this piece: at first, whatever lies there once it rests. */
  let base = $state<number | undefined>();
  const reading = $derived(standIns.scale.reading);
  $effect(() => {
    if (base === undefined && reading?.settled) base = reading.grams;
  });
  const piece = $derived(
    reading?.settled && base !== undefined
      ? Math.round((reading.grams - base) * 10) / 10
      : undefined,
  );
  const off = $derived(
    piece !== undefined && standing.next > 0 ? piece / standing.next - 1 : undefined,
  );
  function takePiece() {
    if (piece === undefined || !reading || piece < 1) return;
    run.say('piece', { grams: piece });
    base = reading.grams;
  }
  let pieceTyped = $state('');
  function typePiece(event: SubmitEvent) {
    event.preventDefault();
    const shown = sumTyped(pieceTyped, writing());
    const grams = shown === undefined ? undefined : together ? pieceOnTop(shown, weighed) : shown;
    if (grams === undefined || !(grams >= 1 && grams <= 20_000)) {
      fault = together
        ? 'What the scale shows, with all pieces in the pan.'
        : 'What the piece weighs, in grams, such as 102.';
      return;
    }
    fault = '';
    run.say('piece', { grams });
    pieceTyped = '';
  }

  const pans = $derived(run.household.pans.filter((p) => panKinds[p.kind].use !== 'mix'));
  const chosenPan = $derived(pans.find((p) => p.id === pan));
  const wholeShare = $derived(totals(run.view.planned)?.wholeShare ?? 0);
  const each = $derived(isRefused(division) ? 0 : division.each);
  const fit = $derived(chosenPan ? panFit(chosenPan, each, wholeShare) : undefined);
  const litre = (ml: number) => `${Math.round(ml / 100) / 10} l`;

  const strands = $derived(plaitStrands.find((n) => n === pieces) as PlaitStrands | undefined);
  let move = $state(1);
</script>

<div class="grid gap-4">
  <div class="flex flex-wrap items-end gap-3">
    <label class="quiet grid gap-1"
      >Shaped to
      <select
        class="field min-h-14 text-lg text-ink"
        value={form}
        onchange={(e) => say({ form: e.currentTarget.value as Form })}
      >
        {#each forms as id (id)}<option value={id}>{formRows[id].label}</option>{/each}
      </select>
    </label>
    <form
      class="flex items-end gap-2"
      onsubmit={(e) => {
        e.preventDefault();
        count(typed);
      }}
    >
      <label class="quiet grid gap-1"
        >{form === 'plait' ? 'Strands' : 'Pieces'}
        <input
          class="field min-h-14 w-24 text-right text-lg"
          inputmode="numeric"
          aria-invalid={fault ? 'true' : undefined}
          bind:value={typed}
          onchange={() => count(typed)}
        /></label
      >
    </form>
    {#if pans.length > 0}
      <label class="quiet grid gap-1"
        >In
        <select
          class="field min-h-14 max-w-60 text-lg text-ink"
          value={pan ?? ''}
          onchange={(e) => say({ pan: e.currentTarget.value || undefined })}
        >
          <option value="">nothing yet</option>
          {#each pans as p (p.id)}<option value={p.id}>{p.name}</option>{/each}
        </select>
      </label>
    {/if}
  </div>
  {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}

  {#if !isRefused(division)}
    <p>
      <b class="figure">{asMass(division.each)}</b>
      {#if pieces > 1}<span class="text-lg">each of {pieces}</span>{/if}
      <span class="quiet block"
        >{asMass(run.view.doughGrams)} of dough, about {asMass(division.scraps)} stay on hands and bench{aside
          ? `, ${asMass(aside)} are set aside`
          : ''}.{division.unusual ? ` That is ${division.unusual}.` : ''}</span
      >
    </p>
  {/if}
  {#if custom && !run.view.state.aside}
    <p class="flex flex-wrap items-center gap-2 border-l-4 border-rim pl-3">
      {run.household.custom?.name}: {asMass(custom)} of this dough.
      <button
        class="knob min-h-14"
        type="button"
        onclick={() => run.say('aside', { grams: custom })}>It is set aside</button
      >
    </p>
  {/if}
  {#if fit && chosenPan}
    <p role="status">
      {#if fit.fits === 'too-small'}
        <b>{chosenPan.name} is too small:</b>
        {litre(chosenPan.millilitres!)} holds {asMass(fit.least!)} to {asMass(fit.most!)} of this dough.
        Take the rest for rolls.
      {:else if fit.fits === 'too-large'}
        <b>{chosenPan.name} is too large:</b>
        {litre(chosenPan.millilitres!)} wants {asMass(fit.least!)} to {asMass(fit.most!)}; this
        would lie low in it. {asMass(panDough(chosenPan, wholeShare)!)} of dough fill it.
      {:else if fit.fits === 'right'}
        {chosenPan.name} holds it well.
      {/if}
    </p>
  {/if}

  {#if pieces > 1 || weighed.length > 0}
    <section class="bowl grid gap-2 p-4" aria-label="Pieces">
      {#if standing.over === undefined}
        <p class="text-lg">
          Piece {standing.done + 1} of {pieces}: <b class="figure">{asMass(standing.next)}</b>
        </p>
      {:else}
        <p class="text-lg font-semibold" role="status">
          All {pieces} are there.
          {#if Math.abs(standing.over) >= 1}
            {asMass(Math.round(Math.abs(standing.left)))}
            {standing.left > 0 ? 'are left: about' : 'too much went in: about'}
            {asMass(Math.round(Math.abs(standing.over)))}
            {standing.left > 0 ? 'onto each piece.' : 'less for each.'}
          {/if}
        </p>
      {/if}
      {#if marks.length > 1}
        <p class="tabular-nums">
          <span class="quiet">All into one pan, the scale shows in turn</span>
          {marks.map((g) => asMass(g)).join(', ')}
        </p>
      {/if}
      {#if reading && standing.over === undefined}
        <p class="text-xl tabular-nums">
          On the scale: <b>{piece === undefined ? '…' : asMass(piece)}</b>
          {#if off !== undefined && Math.abs(off) > pieceSlack}
            <span class="quiet">{off > 0 ? 'take some off' : 'a little more'}</span>
          {/if}
        </p>
        <div class="flex flex-wrap gap-2">
          <button
            class="knob knob-act min-h-14"
            type="button"
            disabled={piece === undefined || piece < 1}
            onclick={takePiece}>This piece lies there</button
          >
          <button class="knob min-h-14" type="button" onclick={() => (base = reading.grams)}
            >Count from here</button
          >
        </div>
      {:else if standing.over === undefined}
        <form class="flex flex-wrap items-end gap-2" onsubmit={typePiece}>
          <Either
            label="How the pieces are weighed"
            size="large"
            value={together ? 'pan' : 'each'}
            choices={[
              ['each', 'one by one'],
              ['pan', 'all into one pan'],
            ]}
            onpick={(picked) => (together = picked === 'pan')}
          />
          <label class="quiet grid gap-1"
            >The scale shows
            <input
              class="field min-h-14 w-28 text-right text-lg"
              inputmode="decimal"
              bind:value={pieceTyped}
            /></label
          >
          <button class="knob min-h-14" type="submit">Next piece</button>
        </form>
      {/if}
      {#if weighed.length > 0}
        <ol class="flex flex-wrap gap-1" aria-label="Weighed pieces">
          {#each run.view.state.pieces as p, i (p.event)}
            <li>
              <button
                class="knob min-h-11 px-2"
                type="button"
                aria-label="Piece {i + 1}, {asMass(p.grams)}: not so"
                onclick={() => run.retract(p.event)}>{asMass(p.grams)}</button
              >
            </li>
          {/each}
        </ol>
      {/if}
    </section>
  {/if}

  {#if form === 'plait'}
    {#if strands}
      {@const plait = plaits[strands]}
      <section class="grid gap-2" aria-label="The plait">
        <p>
          Roll each strand to about {strandCm(each)} cm, thinner at its ends; pinch them together at the
          top. {plait.says}
        </p>
        <div class="grid items-start gap-3 sm:grid-cols-[12rem_minmax(0,1fr)]">
          <PlaitDrawing {plait} moves={move} label="{strands} strands after {move} moves" />
          <div class="grid gap-2">
            <p class="text-lg font-semibold" aria-live="polite">
              {move}. {plait.moves[(move - 1) % plait.moves.length]!.says}
            </p>
            <div class="flex gap-2">
              <button
                class="knob min-h-14"
                type="button"
                disabled={move <= 1}
                onclick={() => (move -= 1)}>Back</button
              >
              <button
                class="knob knob-act min-h-14"
                type="button"
                disabled={move >= 14}
                onclick={() => (move += 1)}>Next move</button
              >
            </div>
            <p class="quiet">On to the ends; then both ends are tucked under.</p>
          </div>
        </div>
      </section>
    {:else}
      <p class="quiet">Plaits of 3, 4 and 6 strands are shown move by move.</p>
    {/if}
  {/if}
</div>

<style>
  .figure {
    font-size: 2.5rem;
    line-height: 1;
    font-variant-numeric: tabular-nums;
  }
</style>
