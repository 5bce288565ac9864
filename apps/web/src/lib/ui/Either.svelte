<script lang="ts" generics="T extends string">
  import { ToggleGroup } from 'bits-ui';

  let {
    label,
    value,
    choices,
    size = 'small',
    onpick,
  }: {
    label: string;
    /** None is pressed where it is undefined. */
    value: T | undefined;
    choices: ReadonlyArray<readonly [value: T, name: string]>;
    /** `large` is for floury hands. */
    size?: 'small' | 'large';
    onpick: (value: T) => void;
  } = $props();
</script>

<!-- One of them is always on: touching the one that is on leaves it on. -->
<ToggleGroup.Root
  type="single"
  class="either either-{size}"
  aria-label={label}
  bind:value={() => value ?? '', (picked) => picked && onpick(picked as T)}
>
  {#each choices as [id, name] (id)}
    <ToggleGroup.Item value={id}>{name}</ToggleGroup.Item>
  {/each}
</ToggleGroup.Root>

<style>
  :global(.either) {
    display: flex;
    flex-wrap: wrap;
    max-width: 100%;
    overflow: hidden;
    border: 1.5px solid var(--rim);
    border-radius: 4px 4px 12px 12px;
  }
  :global(.either button) {
    min-height: 2.1rem;
    padding: 0 0.7rem;
    font-size: 0.875rem;
    color: var(--rim);
  }
  :global(.either button[data-state='on']) {
    background: var(--rim);
    color: var(--on-rim);
    font-weight: 600;
  }
  @media (pointer: coarse) {
    :global(.either button) {
      min-height: 2.75rem;
    }
  }
  :global(.either-large) {
    flex-wrap: wrap;
    gap: 0.5rem;
    overflow: visible;
    border: 0;
  }
  :global(.either-large button) {
    min-height: 3.5rem;
    padding: 0 1.1rem;
    border: 2px solid var(--rim);
    border-radius: 4px 4px 14px 14px;
    background: var(--enamel);
    font-size: 1.1rem;
    font-weight: 600;
  }
</style>
