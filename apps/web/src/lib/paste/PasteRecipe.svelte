<script lang="ts">
  import { goto } from '$app/navigation';
  import type { Formula } from '@tender-crumb/core/formula';
  import type { Household } from '@tender-crumb/core/household';
  import { cupMillilitres, fills, tablespoonMillilitres } from '@tender-crumb/core/quantity';
  import { styleIds, styles, usualStyle, type StyleId } from '@tender-crumb/core/style';
  import { nanoid } from 'nanoid';
  import { onMount, tick, type Component, type ComponentProps } from 'svelte';
  import Camera from '@lucide/svelte/icons/camera';
  import type PastePages from './PastePages.svelte';
  import type PasteReading from './PasteReading.svelte';
  import { draftEntry } from '../sync/kinds.ts';
  import { mustSay } from '../sync/said.ts';
  import { later } from '../ui/later.ts';
  import { mostText, Paste } from './paste.svelte.ts';

  let {
    household,
    small = false,
    hidden = false,
    onrecipe,
  }: {
    household: Household;
    /** Behind a door: it listens, and is not seen. */
    hidden?: boolean;
    /** There is a recipe, wherever it came from. */
    onrecipe?: () => void;
    /** Folded to a line until somebody writes in it. */
    small?: boolean;
  } = $props();
  let near = $state(false);

  // svelte-ignore state_referenced_locally
  const paste = new Paste(household);
  const has = $derived(paste.text !== '' || paste.pages.length > 0);
  /** What reads a recipe, and what shows that: fetched for the first who writes, or while nothing else is. */
  const reader = later(() =>
    Promise.all([import('./PasteReading.svelte'), import('./read-paste.ts')]),
  );
  let Reading = $state.raw<Component<ComponentProps<typeof PasteReading>>>();
  async function read() {
    const [{ default: part }, { pasteOf }] = await reader();
    paste.readsBy(pasteOf);
    Reading = part;
  }
  $effect(() => {
    if (near || paste.text) void read().catch(() => undefined);
  });
  const folded = $derived(small && !near && !has);
  $effect(() => {
    if (paste.text) void paste.learn();
  });
  let field = $state<HTMLTextAreaElement>();
  $effect(() => {
    if (has) onrecipe?.();
  });
  /** Who opens the door writes or pastes next. */
  // svelte-ignore state_referenced_locally
  let wasHidden = hidden;
  $effect(() => {
    if (wasHidden && !hidden) field?.focus();
    wasHidden = hidden;
  });
  /** A recipe that is pasted over the doors. */
  function pastedOver(event: ClipboardEvent) {
    if (!hidden) return;
    const text = event.clipboardData?.getData('text/plain') ?? '';
    if (text.trim() === '') return void takeAll(event, event.clipboardData);
    event.preventDefault();
    paste.text = text.slice(0, mostText);
  }
  let restored = $state(false);
  onMount(async () => {
    await paste.recover();
    restored = true;
  });
  $effect(() => {
    void [paste.text, paste.said, paste.pages];
    // What is typed before the storage has answered is kept as well: it goes before what stood there.
    if (restored || paste.text) paste.keep();
  });
  /** Asked once the typing rests, milliseconds. */
  const rest = 500;
  $effect(() => {
    void paste.text;
    const timer = setTimeout(() => void paste.lookForTwins(), rest);
    return () => clearTimeout(timer);
  });
  let busy = $state(false);
  let fault = $state('');
  /** Its id is ours: put there twice, or answered and not heard, it is one formula. */
  const newId = nanoid();

  const cupNames = { us: 'US, 237 ml', metric: 'metric, 250 ml', imperial: 'imperial, 284 ml' };
  const spoonNames = { us: 'US, 14.8 ml', metric: 'metric, 15 ml', australian: '20 ml' };
  const fillNames = {
    spooned: 'spooned in and levelled',
    dipped: 'dipped into the bag',
    fresh: 'fresh-milled, unsettled',
  };

  $effect(() => paste.receive(household));
  async function put(given?: Formula) {
    const formula = given ?? paste.own?.body ?? paste.view?.formula;
    if (!formula) return;
    busy = true;
    fault = '';
    try {
      // One of our own files goes as it is: the server takes apart what came along with it.
      const sent = formula as Formula;
      await mustSay(draftEntry({ id: newId, version: 0, draft: newId, formula: sent }));
      paste.text = '';
      paste.done();
      await goto(`/bench/${newId}`);
    } catch (refusal) {
      fault = `The recipe could not be saved: ${(refusal as Error).message} Nothing is lost; try again.`;
      busy = false;
    }
  }

  /** Something is held over the page. */
  let over = $state(false);

  async function drop(event: DragEvent) {
    over = false;
    await takeAll(event, event.dataTransfer);
  }

  /** A picture that is pasted; of what is copied as a text and as a picture of it, the text is meant. */
  function pastedIn(event: ClipboardEvent) {
    if (!event.clipboardData?.types.includes('text/plain'))
      void takeAll(event, event.clipboardData);
  }

  /** Files that are dropped or pasted. */
  async function takeAll(event: Event, from: DataTransfer | null) {
    if (!from || from.files.length === 0) return;
    event.preventDefault();
    await take([...from.files]);
  }

  /** What has photos read and shows them: fetched for the first who takes one. */
  const pages = later(() => import('./PastePages.svelte'));
  let Pages = $state.raw<typeof PastePages>();
  let readsPages = $state<PastePages>();
  $effect(() => {
    if (paste.pages.length > 0) void pages().then(({ default: part }) => (Pages = part));
  });

  async function take(files: readonly File[]) {
    near = true;
    Pages = (await pages()).default;
    await tick();
    await readsPages?.take(files);
  }
  const choose = (event: Event & { readonly currentTarget: HTMLInputElement }) => {
    const files = [...(event.currentTarget.files ?? [])];
    event.currentTarget.value = '';
    if (files.length > 0) void take(files);
  };

  const example = `Porridge loaf

3 1/2 cups bread flour
1 1/4 cups warm water
2 tbsp honey
1 1/2 tsp salt
1 packet instant yeast`;
</script>

<svelte:window
  ondragover={(e) => {
    if (!e.dataTransfer?.types.includes('Files')) return;
    e.preventDefault();
    over = true;
  }}
  ondragleave={(e) => e.relatedTarget === null && (over = false)}
  ondrop={drop}
  onpaste={pastedOver}
/>

<section
  class="bowl p-4 {hidden ? 'hidden' : ''} {over
    ? 'outline-4 outline-offset-2 outline-rim outline-dashed'
    : ''}"
  aria-labelledby="paste-title"
>
  <h2 id="paste-title" class={folded ? 'sr-only' : 'mb-2'}>Paste a recipe</h2>
  <div class="grid gap-4 {folded ? '' : 'lg:grid-cols-2'}">
    <div class="grid content-start gap-3 lg:sticky lg:top-4 lg:self-start">
      <label class={folded ? 'sr-only' : 'quiet'} for="recipe"
        >One ingredient a line, or a photo or PDF</label
      >
      <textarea
        bind:this={field}
        id="recipe"
        class="field field-sizing-content max-h-96 w-full leading-normal {folded
          ? 'min-h-11'
          : 'min-h-32'}"
        onfocus={() => (near = true)}
        onpaste={pastedIn}
        maxlength={mostText}
        placeholder={folded ? 'Paste a recipe, or drop a photo or PDF here' : example}
        bind:value={paste.text}></textarea>
      <div class="flex-wrap gap-3 {folded ? 'hidden' : 'flex'}">
        <label class="quiet grid gap-1"
          >Type of bread
          <select
            class="field text-base text-ink"
            value={paste.view?.style ?? paste.said ?? usualStyle}
            onchange={(e) => (paste.said = e.currentTarget.value as StyleId)}
          >
            {#each styleIds as id (id)}<option value={id}>{styles[id].name}</option>{/each}
          </select>
        </label>
        <label class="knob touch cursor-pointer self-end"
          ><Camera size={20} aria-hidden="true" /> Take a photo
          <input
            class="sr-only"
            type="file"
            accept="image/jpeg,image/png,image/webp"
            capture="environment"
            onchange={choose}
          /></label
        >
        <label class="knob touch cursor-pointer self-end"
          >From a file
          <input
            class="sr-only"
            type="file"
            multiple
            accept=".json,.jsonld,.csv,.md,.txt,.html,.htm,text/*,application/json,image/jpeg,image/png,image/webp,application/pdf"
            onchange={choose}
          /></label
        >
        {#if paste.view?.byVolume}
          <label class="quiet grid gap-1"
            >Cup
            <select class="field text-base text-ink" bind:value={paste.measures.cup}>
              {#each Object.keys(cupMillilitres) as cup (cup)}
                <option value={cup}>{cupNames[cup as keyof typeof cupNames]}</option>
              {/each}
            </select>
          </label>
          <label class="quiet grid gap-1"
            >Tablespoon
            <select class="field text-base text-ink" bind:value={paste.measures.tablespoon}>
              {#each Object.keys(tablespoonMillilitres) as spoon (spoon)}
                <option value={spoon}>{spoonNames[spoon as keyof typeof spoonNames]}</option>
              {/each}
            </select>
          </label>
          <label class="quiet grid gap-1"
            >Flour goes into the cup
            <select class="field text-base text-ink" bind:value={paste.measures.fill}>
              {#each fills as fill (fill)}<option value={fill}>{fillNames[fill]}</option>{/each}
            </select>
          </label>
        {/if}
      </div>
    </div>

    <div class="content-start gap-3 {folded ? 'hidden' : 'grid'}">
      {#if Pages}
        <Pages
          bind:this={readsPages}
          {paste}
          {fault}
          onread={() =>
            void read().then(
              () => paste.warmUp(),
              () => undefined,
            )}
          onempty={(formula) => put(formula)}
        />
      {/if}
      {#if paste.own}
        <p>
          <b>“{paste.own.name}”</b>: one of your own files, with its corrections, steps and notes.
        </p>
        <div class="flex flex-wrap items-center gap-3">
          <button class="knob knob-act" type="button" disabled={busy} onclick={() => put()}
            >Open this recipe</button
          >
          {#if fault}<span class="text-act" role="alert">{fault}</span>{/if}
        </div>
      {:else if Reading && paste.view?.read}
        <Reading {paste} view={paste.view} {household} {busy} {fault} onput={() => void put()} />
      {:else if paste.text.trim()}
        <p class="quiet">One moment …</p>
      {:else if paste.pages.length === 0}
        <p class="quiet">
          See the grams, the baker’s percentages and how the dough will feel as you type. We ask
          about every line we cannot read.
        </p>
        <p>
          <button class="knob" type="button" onclick={() => (paste.text = example)}
            >Try this example</button
          >
        </p>
      {/if}
    </div>
  </div>
</section>
