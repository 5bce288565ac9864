<script lang="ts">
  import { untrack, type Snippet } from 'svelte';
  import type { QuestionKind } from './first-asked.ts';
  import { questions } from './questions.svelte.ts';

  /** A question that waits its turn, and can be put off. */
  let {
    kind,
    of,
    size = 'small',
    otherwise,
    children,
  }: {
    kind: QuestionKind;
    /** Of what it is asked: a bake, a recipe. */
    of: string;
    /** `large` is for floury hands. */
    size?: 'small' | 'large';
    /** While another one is asked. */
    otherwise?: Snippet<[now: Snippet]>;
    children: Snippet<[later: Snippet]>;
  } = $props();

  $effect(() => {
    const asked = { kind, of };
    return untrack(() => questions.stand(asked));
  });
  const isAsked = $derived(questions.first?.kind === kind && questions.first.of === of);
</script>

{#snippet later()}
  <button
    class="knob border-transparent {size === 'large' ? 'min-h-14' : 'touch'}"
    type="button"
    onclick={() => questions.putOff({ kind, of })}>Ask me later</button
  >
{/snippet}

{#snippet now()}
  <button class="knob touch" type="button" onclick={() => questions.take({ kind, of })}
    >Answer</button
  >
{/snippet}

{#if isAsked}{@render children(later)}{:else}{@render otherwise?.(now)}{/if}
