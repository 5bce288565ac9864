<script lang="ts">
  import { DropdownMenu } from 'bits-ui';
  import type { Deed } from './deed.ts';

  let {
    label,
    deeds,
    open = $bindable(false),
    at,
  }: {
    label: string;
    deeds: readonly Deed[];
    open?: boolean;
    /** The button that it hangs on. */
    at: HTMLElement | undefined;
  } = $props();
</script>

<DropdownMenu.Root bind:open>
  <DropdownMenu.Portal>
    <DropdownMenu.Content
      class="menu"
      aria-label={label}
      customAnchor={at}
      align="end"
      sideOffset={4}
      onCloseAutoFocus={(e) => {
        e.preventDefault();
        at?.focus();
      }}
    >
      {#each deeds as { says, icon: Icon, keys, does, not } (says)}
        <DropdownMenu.Item class="menu-item" disabled={not} onSelect={does}>
          <Icon size={18} aria-hidden="true" />
          {says}
          {#if keys}<kbd>{keys}</kbd>{/if}
        </DropdownMenu.Item>
      {/each}
    </DropdownMenu.Content>
  </DropdownMenu.Portal>
</DropdownMenu.Root>

<style>
  :global(.menu) {
    z-index: 40;
    min-width: 14rem;
    padding: 0.25rem 0;
    border: 1.5px solid var(--rim);
    border-radius: 3px 3px 14px 14px;
    background: var(--enamel);
    box-shadow: 0 8px 24px rgb(8 20 45 / 0.22);
  }
  :global(.menu-item) {
    display: flex;
    align-items: center;
    gap: 0.6rem;
    min-height: 2.75rem;
    padding: 0 0.9rem;
    cursor: pointer;
  }
  :global(.menu-item[data-highlighted]) {
    background: var(--sunk);
    box-shadow: inset 4px 0 0 var(--rim);
  }
  :global(.menu-item[data-disabled]) {
    color: var(--soft);
    cursor: default;
  }
  :global(.menu-item kbd) {
    margin-left: auto;
    color: var(--soft);
    font: inherit;
    font-size: 0.8rem;
  }
</style>
