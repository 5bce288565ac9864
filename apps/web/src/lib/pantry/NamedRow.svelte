<script lang="ts">
  import X from '@lucide/svelte/icons/x';
  import type { Snippet } from 'svelte';

  let {
    kind,
    name,
    onname,
    onout,
    children,
  }: {
    kind: string;
    name: string;
    onname: (name: string) => void;
    /** Absent where it stays. */
    onout?: (() => void) | undefined;
    /** What else is told of it. */
    children?: Snippet;
  } = $props();
</script>

<!-- One thing of the kitchen: what it is called, what is told of it, and out with it. -->
<div class="flex flex-wrap items-end gap-2 border-t border-line pt-2">
  <label class="quiet grid flex-1 basis-40 gap-1"
    >{kind}
    <input
      class="field text-base text-ink"
      value={name}
      maxlength="60"
      onchange={(e) => onname(e.currentTarget.value)}
    />
  </label>
  {@render children?.()}
  {#if onout}
    <button
      class="knob touch order-last px-2"
      type="button"
      aria-label="Take {name} out"
      onclick={onout}><X size={16} /></button
    >
  {/if}
</div>
