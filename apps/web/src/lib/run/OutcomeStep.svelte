<script lang="ts">
  import {
    bakeLoss,
    crumbs,
    crustWords,
    judgements,
    outcomeWords,
    tastes,
    type Outcome,
  } from '@tender-crumb/core/bake';
  import { numberTyped } from '@tender-crumb/core/quantity';
  import { untrack } from 'svelte';
  import { standIns } from '../devices/stand-ins.svelte.ts';
  import CrumbDrawing from '../drawing/CrumbDrawing.svelte';
  import { Written } from '../sync/written.svelte.ts';
  import Either from '../ui/Either.svelte';
  import Some from '../ui/Some.svelte';
  import { asMass, writing } from '../ui/writing.ts';

  let {
    bake,
    dough,
    before,
    says = 'Save the bake',
    onfinish,
  }: {
    bake: string;
    /** What went into the oven, grams, as it was reckoned. */
    dough?: number | undefined;
    /** What was said before: it is mended. */
    before?: Outcome | undefined;
    says?: string;
    onfinish: (outcome: Outcome) => void;
  } = $props();

  interface Fields extends Record<string, string | string[]> {
    stars: string;
    words: string[];
    crumb: string[];
    crust: string[];
    taste: string[];
    note: string;
    height: string;
    weightBefore: string;
    weightAfter: string;
  }
  const written = new Written<Fields>(
    untrack(() => `outcome/${bake}`),
    untrack(() => ({
      stars: before?.stars === undefined ? '' : String(before.stars),
      words: [...(before?.words ?? [])],
      crumb: [...(before?.crumb ?? [])],
      crust: [...(before?.crust ?? [])],
      taste: [...(before?.taste ?? [])],
      note: before?.note ?? '',
      height: before?.height === undefined ? '' : String(before.height),
      weightBefore:
        before?.before === undefined
          ? dough
            ? String(Math.round(dough))
            : ''
          : String(before.before),
      weightAfter: before?.after === undefined ? '' : String(before.after),
    })),
  );
  const fields = $derived(written.fields);

  const limits = {
    height: ['Height in mm, 1 to 1000.', 1, 1000],
    weightBefore: ['Weight before baking, in grams.', 1, 50_000],
    weightAfter: ['Weight when cool, in grams.', 1, 50_000],
  } as const;
  const numberOf = (field: keyof typeof limits): number | undefined =>
    written.fields[field].trim() === '' ? undefined : numberTyped(written.fields[field], writing());
  /** What is wrong with a field, in words. */
  const faultOf = (field: keyof typeof limits): string => {
    if (written.fields[field].trim() === '') return '';
    const [text, least, most] = limits[field];
    const value = numberOf(field);
    return value !== undefined && value >= least && value <= most ? '' : text;
  };
  const loss = $derived(
    bakeLoss({ before: numberOf('weightBefore') ?? 0, after: numberOf('weightAfter') }),
  );
  let fault = $state('');
  const longest = 4000;

  function finish(event: SubmitEvent) {
    event.preventDefault();
    const wrong = (Object.keys(limits) as Array<keyof typeof limits>).map(faultOf).find(Boolean);
    if (wrong) {
      fault = wrong;
      return;
    }
    const { stars, words, note, crumb, crust, taste } = written.fields;
    const [height, weightBefore, weightAfter] = [
      numberOf('height'),
      numberOf('weightBefore'),
      numberOf('weightAfter'),
    ];
    const some = <T extends string>(of: readonly T[], picked: readonly string[]) =>
      of.filter((w) => picked.includes(w));
    const seen = {
      crumb: some(crumbs, crumb),
      crust: some(crustWords, crust),
      taste: some(tastes, taste),
    };
    onfinish({
      ...(stars ? { stars: Number(stars) } : {}),
      words: some(outcomeWords, words),
      note: note.trim(),
      ...(seen.crumb.length > 0 ? { crumb: seen.crumb } : {}),
      ...(seen.crust.length > 0 ? { crust: seen.crust } : {}),
      ...(seen.taste.length > 0 ? { taste: seen.taste } : {}),
      ...(height === undefined ? {} : { height }),
      // Weighed once, nothing can be said of what was lost.
      ...(weightAfter === undefined || weightBefore === undefined
        ? {}
        : { before: weightBefore, after: weightAfter }),
    });
    written.done();
  }
  const list = (field: 'words' | 'crust' | 'taste') => ({
    get: () => written.fields[field],
    set: (picked: string[]) => (written.fields[field] = picked),
  });
  const weighs = $derived(
    standIns.scale.reading?.settled ? standIns.scale.reading.grams : undefined,
  );
</script>

<form class="grid gap-5" onsubmit={finish}>
  <fieldset class="grid gap-2">
    <legend class="text-xl font-semibold">How was the loaf?</legend>
    <Either
      label="How was the loaf"
      size="large"
      value={fields.stars}
      choices={judgements.map((judgement, i) => [String(i + 1), judgement])}
      onpick={(picked) => (written.fields.stars = picked)}
    />
  </fieldset>
  <fieldset class="grid gap-2">
    <legend class="text-xl font-semibold">Crumb</legend>
    <div class="flex flex-wrap gap-2">
      {#each crumbs as crumb (crumb)}
        <button
          class="crumb"
          type="button"
          aria-pressed={fields.crumb.includes(crumb)}
          onclick={() =>
            (written.fields.crumb = fields.crumb.includes(crumb)
              ? fields.crumb.filter((c) => c !== crumb)
              : [...fields.crumb, crumb])}
        >
          <CrumbDrawing {crumb} />
          {crumb}
        </button>
      {/each}
    </div>
  </fieldset>
  <fieldset class="grid gap-2">
    <legend class="text-xl font-semibold">Crust</legend>
    <Some
      label="Crust"
      choices={crustWords}
      bind:values={
        () => crustWords.filter((w) => list('crust').get().includes(w)),
        (picked) => list('crust').set(picked)
      }
    />
  </fieldset>
  <fieldset class="grid gap-2">
    <legend class="text-xl font-semibold">Taste</legend>
    <Some
      label="Taste"
      choices={tastes}
      bind:values={
        () => tastes.filter((w) => list('taste').get().includes(w)),
        (picked) => list('taste').set(picked)
      }
    />
  </fieldset>
  <fieldset class="grid gap-2">
    <legend class="text-xl font-semibold">What stands out?</legend>
    <Some
      label="What stands out"
      choices={outcomeWords}
      bind:values={
        () => outcomeWords.filter((w) => list('words').get().includes(w)),
        (picked) => list('words').set(picked)
      }
    />
  </fieldset>
  <div class="flex flex-wrap items-end gap-3">
    <label class="quiet grid gap-1"
      >Height, mm
      <input
        class="field min-h-14 w-28 text-right text-lg"
        inputmode="numeric"
        aria-invalid={faultOf('height') ? 'true' : undefined}
        bind:value={written.fields.height}
      /></label
    >
    <label class="quiet grid gap-1"
      >Into the oven, g
      <input
        class="field min-h-14 w-32 text-right text-lg"
        inputmode="decimal"
        aria-invalid={faultOf('weightBefore') ? 'true' : undefined}
        bind:value={written.fields.weightBefore}
      /></label
    >
    <label class="quiet grid gap-1"
      >Cooled, g
      <input
        class="field min-h-14 w-32 text-right text-lg"
        inputmode="decimal"
        aria-invalid={faultOf('weightAfter') ? 'true' : undefined}
        bind:value={written.fields.weightAfter}
      /></label
    >
    {#if weighs !== undefined}
      <button
        class="knob min-h-14"
        type="button"
        onclick={() => (written.fields.weightAfter = String(weighs))}
        >The scale shows {asMass(weighs)}</button
      >
    {/if}
    {#if loss !== undefined}<p class="text-lg">Lost {Math.round(1000 * loss) / 10} %.</p>{/if}
  </div>
  <label class="grid gap-2 text-xl font-semibold">
    In your own words
    <textarea
      class="field min-h-24 text-lg font-normal"
      maxlength={longest}
      bind:value={written.fields.note}></textarea>
    {#if fields.note.length > longest * 0.9}
      <span class="quiet">{longest - fields.note.length} letters left.</span>
    {/if}
  </label>
  {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
  <div class="flex flex-wrap items-center gap-3">
    <button class="knob knob-act knob-large" type="submit">{says}</button>
    {#if fields.stars === ''}<span class="quiet">You can add the rest later.</span>{/if}
  </div>
</form>

<style>
  .crumb {
    display: grid;
    gap: 0.25rem;
    justify-items: center;
    width: 7.5rem;
    min-height: 6.2rem;
    padding: 0.5rem;
    border: 2px solid var(--line);
    border-radius: 3px 3px 12px 12px;
    background: var(--enamel);
    font-weight: 600;
    line-height: 1.15;
  }
  .crumb[aria-pressed='true'] {
    border-color: var(--rim);
    background: var(--sunk);
  }
</style>
