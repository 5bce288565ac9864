<script lang="ts">
  import { Dialog } from 'bits-ui';

  let {
    open = $bindable(),
    text,
    title,
  }: { open: boolean; text: string; title: string } = $props();

  /** A code with more in it than this no telephone reads off a screen, letters. */
  const most = 1800;
  const drawn = $derived.by(async () => {
    if (!open || text.length > most) return undefined;
    const { toString } = await import('qrcode');
    return toString(text, { type: 'svg', errorCorrectionLevel: 'L', margin: 2 });
  });
</script>

<!-- A text as a code to be photographed: it goes from screen to telephone without any net between. -->
<Dialog.Root bind:open>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-black/40" />
    <Dialog.Content
      class="bowl fixed top-1/2 left-1/2 z-50 grid max-h-[92vh] w-[min(34rem,94vw)] -translate-x-1/2 -translate-y-1/2 gap-3 overflow-y-auto p-5"
    >
      <Dialog.Title class="text-xl font-bold">{title}</Dialog.Title>
      <Dialog.Description class="quiet"
        >Photographed by a telephone, it is the formula as plain text there; pasted on another
        shelf, it is the formula again.</Dialog.Description
      >
      {#await drawn then svg}
        {#if svg}
          <!-- Drawn by the library from the text alone; always dark on light, or no camera reads it. -->
          <!-- eslint-disable-next-line svelte/no-at-html-tags -->
          <div class="code" role="img" aria-label="The formula as a code">{@html svg}</div>
        {:else if text.length > most}
          <p role="alert">
            Too long for a code: {text.length} letters, where {most} fit. Save a file instead.
          </p>
        {/if}
      {/await}
      <Dialog.Close class="knob justify-self-end">Close</Dialog.Close>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>

<style>
  .code {
    padding: 0.5rem;
    background: #fff;
  }
  .code :global(svg) {
    width: 100%;
    height: auto;
  }
</style>
