<script lang="ts">
  import '../app.css';
  import { goto, preloadCode } from '$app/navigation';
  import { page } from '$app/state';
  import Keyboard from '@lucide/svelte/icons/keyboard';
  import LifeBuoy from '@lucide/svelte/icons/life-buoy';
  import Moon from '@lucide/svelte/icons/moon';
  import Sun from '@lucide/svelte/icons/sun';
  import SunMoon from '@lucide/svelte/icons/sun-moon';
  import { onMount } from 'svelte';
  import LearningMark from '$lib/book/LearningMark.svelte';
  import { away } from '$lib/away/away.svelte.ts';
  import { clockNote } from '$lib/away/clock-note.svelte.ts';
  import { offText } from '$lib/away/off-text.ts';
  import { closeWhereUnpaired } from '$lib/sync/closed.ts';
  import { sync } from '$lib/sync/sync.svelte.ts';
  import SyncMark from '$lib/sync/SyncMark.svelte';
  import { keepFocus } from '$lib/ui/keep-focus.ts';
  import { idle, later } from '$lib/ui/later.ts';
  import { setTheme, themes, type Theme } from '$lib/ui/theme.ts';
  import type { LayoutProps } from './$types';

  let { children, data }: LayoutProps = $props();

  const places = [
    { path: '/', name: 'Shelf', key: 's', here: (p: string) => p === '/' },
    { path: '/bench', name: 'Bench', key: 'n', here: (p: string) => p.startsWith('/bench') },
    { path: '/bake', name: 'Bake day', key: 'k', here: (p: string) => p.startsWith('/bake') },
    { path: '/book', name: 'Book', key: 'b', here: (p: string) => p.startsWith('/book') },
    { path: '/pantry', name: 'Pantry', key: 'p', here: (p: string) => p.startsWith('/pantry') },
  ];
  const kitchenPlaces = ['/', '/bake', '/bake/any', '/bench/any', '/pantry/leavens'];
  /** A bake's own page says what is next of all of them. */
  const onBake = $derived(/^\/bake\/(?!rescue|first)[^/]+$/.test(page.url.pathname));
  const looks = {
    system: { icon: SunMoon, says: 'Light or dark, like the system' },
    light: { icon: Sun, says: 'Light' },
    dark: { icon: Moon, says: 'Dark' },
  };

  // svelte-ignore state_referenced_locally
  let theme = $state<Theme>(data.theme);
  /** What is planned is looked after once the page itself is there. */
  let watching = $state(false);
  let keysOpen = $state(false);
  const keySheet = later(() => import('$lib/ui/ShortcutSheet.svelte'));
  let going = false;
  const Look = $derived(looks[theme].icon);

  onMount(() => {
    const ends = [
      sync.follow(),
      away.follow(() => {
        void sync.fetchAnew();
      }),
      clockNote.follow(),
      closeWhereUnpaired(),
      keepFocus(),
    ];
    // What a kitchen goes to next is fetched while nothing else is: away, nothing of it is missing.
    idle(() => {
      watching = true;
      for (const place of kitchenPlaces) void preloadCode(place).catch(() => undefined);
    });
    // From here on the page answers to hands, which is what a test waits for.
    document.documentElement.dataset['ready'] = 'yes';
    return () => ends.forEach((end) => end());
  });

  function nextTheme() {
    theme = themes[(themes.indexOf(theme) + 1) % themes.length]!;
    setTheme(theme);
  }

  function key(event: KeyboardEvent) {
    const at = event.target as HTMLElement;
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if (at.closest('input, textarea, select, [contenteditable]')) return;
    if (event.key === '?') keysOpen = true;
    const place = going && places.find((p) => p.key === event.key);
    going = event.key === 'g';
    if (place) void goto(place.path);
  }
</script>

<svelte:window onkeydown={key} />

<a
  href="#main"
  class="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-enamel focus:p-2"
  >To the content</a
>
<header class="no-print border-b-4 border-rim bg-enamel">
  <div class="mx-auto flex max-w-[88rem] flex-wrap items-center gap-x-6 gap-y-1 px-4 pt-2">
    <a href="/" class="flex items-center gap-2 pb-2 text-lg font-bold text-rim">
      <img src="/icon.svg" alt="" width="28" height="28" /> Tender Crumb
    </a>
    {#if data.device}
      <nav
        aria-label="Places"
        class="order-last flex w-full flex-wrap gap-1 md:order-none md:w-auto md:flex-1"
      >
        {#each places as place (place.path)}
          {@const here = place.here(page.url.pathname)}
          <a
            href={place.path}
            aria-current={here ? 'page' : undefined}
            class="rounded-t-md px-1.5 py-2 text-sm font-semibold whitespace-nowrap min-[390px]:px-2.5 min-[390px]:text-base sm:px-3 {here
              ? 'bg-rim text-on-rim'
              : 'text-rim hover:bg-sunk'}">{place.name}</a
          >
        {/each}
      </nav>
    {/if}
    <div class="ml-auto flex items-center gap-1 pb-1">
      {#if data.demo}
        <span class="quiet mr-2 hidden lg:inline">Demo kitchen</span>
      {/if}
      {#if data.device}
        <a
          class="knob touch border-transparent px-2"
          href="/bake/rescue"
          aria-label="Rescue a dough"
          title="Rescue a dough"><LifeBuoy size={20} /></a
        >
      {/if}
      <button
        class="knob hidden border-transparent px-2 sm:inline-flex"
        type="button"
        onclick={() => (keysOpen = true)}
        aria-label="Keys"
        title="Keys (?)"><Keyboard size={20} /></button
      >
      <button
        class="knob border-transparent px-2"
        type="button"
        onclick={nextTheme}
        aria-label="Theme: {looks[theme].says}"
        title={looks[theme].says}><Look size={20} /></button
      >
    </div>
  </div>
</header>
<SyncMark />
{#if away.now && !sync.isStuck}
  <p class="no-print border-b-2 border-act bg-act-tint px-4 py-2" role="status">
    <b>The server is away.</b> Some pages may not open until it is back. What you tap is kept here and
    sent then.
  </p>
{/if}
{#if clockNote.shown}
  <p
    class="no-print flex flex-wrap items-center gap-x-4 gap-y-1 border-b-2 border-act bg-act-tint px-4 py-2"
    role="status"
  >
    <span
      ><b>This device’s clock is {offText(clockNote.behind)} the house’s.</b> All times here are the house’s.</span
    >
    <button class="knob" type="button" onclick={() => clockNote.done()}>All right</button>
  </p>
{/if}
<LearningMark learning={data.learning} />
{#if data.watched && !onBake}
  <!-- Fetched where something is planned only; its room is kept, so that nothing moves under a finger. -->
  {#snippet room()}
    {#if page.url.pathname !== '/bake'}<div
        class="min-h-11 border-b border-line bg-sunk"
      ></div>{/if}
  {/snippet}
  {#if watching}
    {#await import('$lib/plan/Watch.svelte')}
      {@render room()}
    {:then { default: Watch }}
      <Watch />
    {:catch}
      <span hidden></span>
    {/await}
  {:else}
    {@render room()}
  {/if}
{/if}
<main id="main" class="mx-auto max-w-[88rem] px-4 py-4">
  {@render children()}
</main>
{#if keysOpen}
  {#await keySheet() then { default: ShortcutSheet }}<ShortcutSheet bind:open={keysOpen} />{/await}
{/if}
