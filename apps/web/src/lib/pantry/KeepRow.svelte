<script lang="ts">
  import type { Snippet } from 'svelte';

  let {
    busy,
    what,
    known,
    fault = '',
    onleave,
    children,
  }: {
    busy: boolean;
    /** What is added: "the bag". */
    what: string;
    /** It is there already, and is being changed. */
    known: boolean;
    fault?: string;
    onleave: () => void;
    children?: Snippet;
  } = $props();
</script>

<div class="flex flex-wrap items-center gap-3">
  <button class="knob" type="submit" disabled={busy}>
    {busy ? 'Keeping it …' : known ? 'Keep the changes' : `Add ${what}`}
  </button>
  {@render children?.()}
  {#if known}<button class="knob" type="button" onclick={onleave}>Leave it</button>{/if}
  {#if fault}<span class="text-act" role="alert">{fault}</span>{/if}
</div>
