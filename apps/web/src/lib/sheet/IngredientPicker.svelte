<script lang="ts">
  import type { Pantry } from '@tender-crumb/core/ingredient';
  import type { Component, ComponentProps } from 'svelte';
  import { later } from '../ui/later.ts';
  import type IngredientChoice from './IngredientChoice.svelte';

  let {
    pantry,
    glutenFree,
    value,
    label,
    placeholder,
    onpick,
  }: {
    pantry: Pantry;
    glutenFree?: boolean;
    value?: string;
    label: string;
    placeholder?: string;
    onpick: (id: string) => void;
  } = $props();

  /** A list for choosing is fetched and made when somebody comes near: a sheet of many lines opens without. */
  const part = later(() => import('./IngredientChoice.svelte'));
  let Choice = $state.raw<Component<ComponentProps<typeof IngredientChoice>>>();
  let opens = $state(false);
  const shown = $derived(value ? pantry.ingredient(value).name : '');

  async function wake(byHand: boolean) {
    opens ||= byHand;
    // Where it cannot be fetched, the next one who comes near tries again.
    Choice = (await part().catch(() => undefined))?.default;
  }
</script>

{#if Choice}
  <Choice {pantry} {glutenFree} {value} {label} {placeholder} {opens} {onpick} />
{:else}
  <!-- What a closed list controls is not there yet (ARIA 1.2 asks for it of an open one). -->
  <!-- svelte-ignore a11y_role_has_required_aria_props -->
  <input
    class="picker"
    role="combobox"
    aria-expanded="false"
    aria-label={label}
    {placeholder}
    data-column="ingredient"
    autocomplete="off"
    value={shown}
    readonly
    onpointerdown={() => void wake(true)}
    onfocus={() => void wake(false)}
  />
{/if}

<style>
  :global(.picker) {
    width: 100%;
    min-width: 0;
    padding: 0.3rem 0.35rem;
    border: 1.5px solid transparent;
    border-radius: 3px;
    background: transparent;
    text-overflow: ellipsis;
  }
  :global(.picker:hover) {
    border-color: var(--line);
  }
  :global(.picker:focus) {
    border-color: var(--rim);
    background: var(--enamel);
    outline-offset: 0;
  }
  :global(.picker::placeholder) {
    color: var(--soft);
    opacity: 1;
  }
  :global(.picker-list) {
    z-index: 40;
    width: 19rem;
    max-height: 18rem;
    overflow-y: auto;
    border: 1.5px solid var(--rim);
    border-radius: 3px 3px 14px 14px;
    background: var(--enamel);
    box-shadow: 0 8px 24px rgb(8 20 45 / 0.22);
  }
  :global(.picker-item) {
    display: flex;
    align-items: center;
    gap: 0.5rem;
    padding: 0.5rem 0.7rem;
    cursor: pointer;
  }
  :global(.picker-item[data-highlighted]) {
    background: var(--sunk);
    box-shadow: inset 4px 0 0 var(--rim);
  }
  :global(.picker-none) {
    padding: 0.7rem;
    color: var(--soft);
  }
</style>
