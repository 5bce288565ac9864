<script lang="ts" generics="T extends string">
  import { ToggleGroup } from 'bits-ui';

  let {
    label,
    values = $bindable(),
    choices,
  }: { label: string; values: T[]; choices: readonly T[] } = $props();
</script>

<!-- As many of them as fit, for floury hands. -->
<ToggleGroup.Root type="multiple" class="some" aria-label={label} bind:value={values as string[]}>
  {#each choices as choice (choice)}
    <ToggleGroup.Item value={choice}>{choice}</ToggleGroup.Item>
  {/each}
</ToggleGroup.Root>

<style>
  :global(.some) {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem;
  }
  :global(.some button) {
    min-height: 3.25rem;
    padding: 0 1.1rem;
    border: 2px solid var(--rim);
    border-radius: 4px 4px 14px 14px;
    background: var(--enamel);
    color: var(--rim);
    font-size: 1.1rem;
    font-weight: 600;
  }
  :global(.some button[data-state='on']) {
    background: var(--rim);
    color: var(--on-rim);
  }
</style>
