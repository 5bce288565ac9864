<script lang="ts">
  import type { Caution } from '@tender-crumb/core/caution';
  import { say } from '../ui/writing.ts';

  let { cautions }: { cautions: readonly Caution[] } = $props();

  const everyday = $derived(cautions.filter((c) => c.everyday !== undefined));
  const particular = $derived(cautions.filter((c) => c.everyday === undefined));
</script>

{#snippet whole({ about = '', text }: Caution)}
  <li class="border-l-4 border-line pl-2">
    <b>{about}</b>{say(text.slice(about.length))}
  </li>
{/snippet}

{#snippet general()}
  <p class="quiet mt-2">
    General guidance. Local rules, your machine’s manual and medical advice come first.
  </p>
{/snippet}

{#if particular.length > 0}
  <ul class="mt-1 grid gap-1.5 text-sm">
    {#each particular as caution (caution.id)}{@render whole(caution)}{/each}
  </ul>
{/if}
{#if everyday.length > 0}
  <details class="mt-1 text-sm">
    <summary>{everyday.map((c) => c.everyday).join(' ')}</summary>
    <ul class="mt-1 grid gap-1.5">
      {#each everyday as caution (caution.id)}{@render whole(caution)}{/each}
    </ul>
    {@render general()}
  </details>
{:else}
  {@render general()}
{/if}
