<script lang="ts">
  import { refresh } from '$lib/ui/refresh.ts';
  import { question } from '../question.ts';

  interface Learning {
    readonly learned: boolean;
    readonly done?: number;
    readonly total?: number;
  }

  let { learning }: { learning: Learning } = $props();

  const lookEveryMs = 400;
  let now = $derived(learning);

  $effect(() => {
    if (now.learned) return;
    const timer = setTimeout(async () => {
      const state = await question<Learning>('/api/v1/learning').catch(() => now);
      if (state.learned) await refresh();
      else now = { ...state };
    }, lookEveryMs);
    return () => clearTimeout(timer);
  });
</script>

{#if !now.learned}
  <div class="no-print border-b border-line bg-sunk">
    <p class="mx-auto flex max-w-[88rem] flex-wrap items-center gap-3 px-4 py-1.5" role="status">
      The book is learned again; the levels follow.
      {#if now.total}
        <progress aria-label="Learned so far" max={now.total} value={now.done}></progress>
        <span class="quiet">{now.done} of {now.total} bakes</span>
      {/if}
    </p>
  </div>
{/if}
