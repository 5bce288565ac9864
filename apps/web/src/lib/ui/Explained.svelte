<script lang="ts">
  import { Popover } from 'bits-ui';
  import type { Snippet } from 'svelte';
  import { glossary, type GlossaryWord } from './glossary.ts';

  let { word, children }: { word: GlossaryWord; children: Snippet } = $props();
  let open = $state(true);
</script>

<Popover.Root bind:open>
  <Popover.Trigger class="explain no-print" title="What “{word}” means">
    {@render children()}
  </Popover.Trigger>
  <Popover.Portal>
    <Popover.Content class="explained" sideOffset={6} collisionPadding={12} align="start">
      <b>{word}</b>
      {glossary[word]}
    </Popover.Content>
  </Popover.Portal>
</Popover.Root>
