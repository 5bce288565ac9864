<script lang="ts">
  import type { Box } from '@tender-crumb/core/picture';
  import { Dialog } from 'bits-ui';

  let {
    open = $bindable(),
    id,
    box,
    width,
    height,
  }: {
    open: boolean;
    /** Of the picture. */
    id: string;
    /** A row that is looked at. */
    box?: Box | undefined;
    width?: number | undefined;
    height?: number | undefined;
  } = $props();

  const percent = (part: number, whole = 1): string => `${(100 * part) / whole}%`;

  /** The row comes to the middle of what is seen. */
  const toMiddle = (mark: HTMLElement) => mark.scrollIntoView({ block: 'center' });
</script>

<Dialog.Root bind:open>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-black/60" />
    <Dialog.Content
      class="bowl fixed top-1/2 left-1/2 z-50 grid max-h-[94vh] w-[min(60rem,96vw)] -translate-x-1/2 -translate-y-1/2 grid-rows-[auto_minmax(0,1fr)] gap-2 p-3"
    >
      <div class="flex items-center justify-between gap-3">
        <Dialog.Title class="text-lg font-bold">The recipe’s picture</Dialog.Title>
        <Dialog.Close class="knob min-h-11">Close</Dialog.Close>
      </div>
      <div class="overflow-auto">
        <div class="relative">
          <img class="block w-full" src="/api/v1/pages/{id}" alt="The page that was photographed" />
          {#if box && width && height}
            <span
              class="row"
              style:left={percent(box.x0, width)}
              style:top={percent(box.y0, height)}
              style:width={percent(box.x1 - box.x0, width)}
              style:height={percent(box.y1 - box.y0, height)}
              {@attach toMiddle}
            ></span>
          {/if}
        </div>
      </div>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>

<style>
  .row {
    position: absolute;
    outline: 3px solid var(--act);
    outline-offset: 4px;
  }
</style>
