<script lang="ts">
  import type { Component, ComponentProps, Snippet } from 'svelte';
  import type Explained from './Explained.svelte';
  import type { GlossaryWord } from './glossary.ts';
  import { later } from './later.ts';

  let { word, children }: { word: GlossaryWord; children?: Snippet } = $props();

  const part = later(() => import('./Explained.svelte'));
  let Asked = $state.raw<Component<ComponentProps<typeof Explained>>>();
  // Away from a server that it was never fetched from, the word stays a word.
  const ask = () =>
    part().then(
      ({ default: explained }) => (Asked = explained),
      () => undefined,
    );
</script>

{#snippet named()}
  {#if children}{@render children()}{:else}{word}{/if}<sup aria-hidden="true">?</sup>
{/snippet}

<!-- A word that can be asked what it means, where it stands. What answers is fetched for the first who asks. -->
{#if Asked}
  <Asked {word}>{@render named()}</Asked>
{:else}
  <button
    type="button"
    class="explain no-print"
    title="What “{word}” means"
    aria-haspopup="dialog"
    aria-expanded="false"
    onclick={ask}>{@render named()}</button
  >
{/if}

<style>
  :global(.explain) {
    position: relative;
    display: inline;
    text-align: start;
    text-decoration: underline dotted;
    text-underline-offset: 3px;
  }
  :global(.explain sup) {
    margin-left: 0.1em;
    font-size: 0.7em;
    color: var(--rim);
  }
  /* As large as a finger, without moving the line that it stands in. */
  @media (pointer: coarse) {
    :global(.explain::after) {
      position: absolute;
      inset: -0.75rem -0.4rem;
      content: '';
    }
  }
  :global(.explained) {
    z-index: 40;
    max-width: min(22rem, 92vw);
    padding: 0.75rem 0.9rem 0.9rem;
    border: 1.5px solid var(--rim);
    border-radius: 3px 3px 14px 14px;
    background: var(--enamel);
    color: var(--ink);
    box-shadow: 0 8px 24px rgb(8 20 45 / 0.22);
    font-size: 0.95rem;
    font-weight: 450;
    line-height: 1.4;
  }
</style>
