<script lang="ts">
  import type { Pantry } from '@tender-crumb/core/ingredient';
  import { findIngredients } from '@tender-crumb/core/reader';
  import { Combobox } from 'bits-ui';
  import { tick } from 'svelte';
  import RoleMark from '../role/RoleMark.svelte';

  let {
    pantry,
    glutenFree = false,
    value,
    label,
    placeholder = '',
    onpick,
  }: {
    pantry: Pantry;
    /** Somebody in the house must not eat gluten: say what holds it where it is chosen. */
    glutenFree?: boolean;
    value?: string;
    label: string;
    placeholder?: string;
    onpick: (id: string) => void;
  } = $props();

  /** A list for choosing is made when somebody comes near: a sheet of many lines opens without. */
  let woken = $state(false);
  let typed = $state('');
  let searching = $state(false);
  let open = $state(false);
  const found = $derived(findIngredients(searching ? typed : '', pantry.all).slice(0, 40));
  const shown = $derived(value ? pantry.ingredient(value).name : '');

  let place = $state<HTMLElement>();
  async function wake(byHand: boolean) {
    woken = true;
    open = byHand;
    await tick();
    place?.querySelector('input')?.focus();
  }

  /** Begins the field anew where what was picked was not put there. */
  let round = $state(0);

  async function pick(id: string) {
    searching = false;
    typed = '';
    if (!id || id === value) return;
    onpick(id);
    await tick();
    if (id !== value) round += 1;
  }
</script>

<span class="contents" bind:this={place}>
  {#if !woken}
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
  {:else}
    {#key round}
      <Combobox.Root
        type="single"
        bind:value={() => value ?? '', (id) => void pick(id)}
        inputValue={searching ? typed : shown}
        bind:open
        onOpenChange={(o) => {
          if (!o) {
            searching = false;
            typed = '';
          }
        }}
      >
        <Combobox.Input
          class="picker"
          aria-label={label}
          {placeholder}
          data-column="ingredient"
          autocomplete="off"
          spellcheck="false"
          onclick={() => (open = true)}
          onfocus={(e) => (e.currentTarget as HTMLInputElement).select()}
          oninput={(e) => {
            searching = true;
            typed = (e.currentTarget as HTMLInputElement).value;
            open = true;
          }}
        />
        <Combobox.Portal>
          <Combobox.Content class="picker-list" sideOffset={4} align="start">
            {#each found as of (of.id)}
              <Combobox.Item class="picker-item" value={of.id} label={of.name}>
                <RoleMark role={of.role} />
                {of.name}
                {#if glutenFree && of.allergens.includes('gluten')}
                  <b class="ml-auto text-sm text-act">gluten</b>
                {/if}
              </Combobox.Item>
            {:else}
              <p class="picker-none">
                Nothing in the catalogue is called “{typed}”. Try a plainer name, such as rye or
                milk.
              </p>
            {/each}
          </Combobox.Content>
        </Combobox.Portal>
      </Combobox.Root>
    {/key}
  {/if}
</span>

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
