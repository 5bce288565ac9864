<script lang="ts">
  import type { Pantry } from '@tender-crumb/core/ingredient';
  import { findIngredients } from '@tender-crumb/core/reader';
  import { Combobox } from 'bits-ui';
  import { onMount, tick, untrack } from 'svelte';
  import RoleMark from '../role/RoleMark.svelte';

  let {
    pantry,
    glutenFree = false,
    value,
    label,
    placeholder = '',
    opens,
    onpick,
  }: {
    pantry: Pantry;
    /** Somebody in the house must not eat gluten: say what holds it where it is chosen. */
    glutenFree?: boolean | undefined;
    value?: string | undefined;
    label: string;
    placeholder?: string | undefined;
    /** Its list is open from the beginning. */
    opens: boolean;
    onpick: (id: string) => void;
  } = $props();

  let typed = $state('');
  let searching = $state(false);
  let open = $state(untrack(() => opens));
  const found = $derived(findIngredients(searching ? typed : '', pantry.all).slice(0, 40));
  const shown = $derived(value ? pantry.ingredient(value).name : '');

  let place = $state<HTMLElement>();
  onMount(() => place?.querySelector('input')?.focus());

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
              <span aria-hidden="true"><RoleMark role={of.role} /></span>
              {of.name}
              {#if glutenFree && of.allergens.includes('gluten')}
                <b class="ml-auto text-sm text-act">gluten</b>
              {/if}
            </Combobox.Item>
          {:else}
            <p class="picker-none">
              Nothing in the catalogue is called “{typed}”. Try a plainer name, such as rye or milk.
            </p>
          {/each}
        </Combobox.Content>
      </Combobox.Portal>
    </Combobox.Root>
  {/key}
</span>
