<script lang="ts">
  import { Popover } from 'bits-ui';
  import type { Snippet } from 'svelte';
  import { glossary, type GlossaryWord } from './glossary.ts';

  let { word, children }: { word: GlossaryWord; children?: Snippet } = $props();
</script>

<!-- A word that can be asked what it means, where it stands. -->
<Popover.Root>
  <Popover.Trigger class="explain no-print" title="What “{word}” means">
    {#if children}{@render children()}{:else}{word}{/if}<sup aria-hidden="true">?</sup>
  </Popover.Trigger>
  <Popover.Portal>
    <Popover.Content class="explained" sideOffset={6} collisionPadding={12} align="start">
      <b>{word}</b>
      {glossary[word]}
    </Popover.Content>
  </Popover.Portal>
</Popover.Root>

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
