<script lang="ts">
  import { Dialog } from 'bits-ui';

  let { open = $bindable(false) }: { open?: boolean } = $props();

  const keys: ReadonlyArray<readonly [string, string]> = [
    ['?', 'this sheet'],
    ['Ctrl Z', 'undo'],
    ['Ctrl Shift Z', 'redo'],
    ['↓ or Enter, ↑', 'next or previous line of the recipe'],
    ['← →', 'next cell of the line'],
    ['Alt ↑, Alt ↓', 'move the line up or down'],
    ['Esc', 'forget what is typed in a cell'],
    ['g then s, n, k, b, p', 'go to Shelf, Bench, Bake day, Book, Pantry'],
    ['← → Home End on the level', 'feel the dough tighter or looser'],
    ['Space or Page ↓ while baking', 'step done (a page-turner does it too)'],
    ['Page ↑, ↓ while baking', 'undo, later'],
  ];
</script>

<Dialog.Root bind:open>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-black/45" />
    <Dialog.Content
      class="bowl fixed top-1/2 left-1/2 z-50 w-[min(30rem,92vw)] -translate-x-1/2 -translate-y-1/2 p-5"
    >
      <Dialog.Title class="text-lg font-bold">Keys</Dialog.Title>
      <dl class="mt-3 grid grid-cols-[auto_1fr] gap-x-5 gap-y-2">
        {#each keys as [key, what] (key)}
          <dt class="font-semibold">{key}</dt>
          <dd>{what}</dd>
        {/each}
      </dl>
      <Dialog.Close class="knob mt-4">Close</Dialog.Close>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
