<script lang="ts">
  import Copy from '@lucide/svelte/icons/copy';
  import Ellipsis from '@lucide/svelte/icons/ellipsis';
  import Trash2 from '@lucide/svelte/icons/trash-2';
  import Level from '../level/Level.svelte';
  import PercentBar from '../role/PercentBar.svelte';
  import type { ShelfRow } from '../server/shelf.ts';
  import type { Deed } from '../ui/deed.ts';
  import Menu from '../ui/Menu.svelte';
  import { say } from '../ui/writing.ts';

  let {
    row,
    busy,
    onbake,
    oncopy,
    ondelete,
  }: {
    row: ShelfRow;
    /** It is being begun. */
    busy: boolean;
    onbake: () => void;
    oncopy: () => void;
    ondelete: () => void;
  } = $props();

  let menuAt = $state<HTMLElement>();
  let open = $state(false);
  const deeds: readonly Deed[] = [
    { says: 'Copy', icon: Copy, does: () => oncopy() },
    { says: 'Delete', icon: Trash2, does: () => ondelete() },
  ];
  const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' });
  /** When it was baked last, and how it came out. */
  const last = $derived(
    row.last
      ? [day.format(new Date(row.last.day)), row.last.result].filter(Boolean).join(' · ')
      : 'Not baked yet',
  );
</script>

<li class="item">
  <a href="/bench/{row.id}" class="row">
    <span class="name">
      <b>{row.name}</b>
      <span class="quiet">{last}</span>
    </span>
    <PercentBar shares={row.shares} />
    <Level level={row.level} window={row.window} older={row.older} size="tiny" />
    <span class="says" class:act={!row.fits}
      >{say(row.says)}{#if row.trial}<b class="block">{say(row.trial)}</b>{/if}</span
    >
    {#if row.last?.note}<span class="note"><b>Next time:</b> {row.last.note}</span>{/if}
  </a>
  <span class="acts">
    <button
      class="knob touch"
      type="button"
      disabled={busy}
      aria-label="Bake {row.name}"
      onclick={onbake}>Bake</button
    >
    <button
      class="more"
      type="button"
      bind:this={menuAt}
      aria-label="Copy or delete {row.name}"
      aria-haspopup="menu"
      onclick={() => (open = true)}><Ellipsis size={20} /></button
    >
    <Menu label="Copy or delete {row.name}" {deeds} at={menuAt} bind:open />
  </span>
</li>

<style>
  .item {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    align-items: center;
    gap: 0.5rem;
    border-bottom: 3px solid var(--line);
  }
  .item:hover {
    border-bottom-color: var(--rim);
    background: var(--enamel);
  }
  .acts {
    display: flex;
    align-items: center;
    gap: 0.25rem;
  }
  .more {
    display: grid;
    place-items: center;
    min-width: 2.75rem;
    min-height: 2.75rem;
    border-radius: 4px;
    color: var(--soft);
  }
  .more:hover {
    background: var(--sunk);
    color: var(--ink);
  }
  .row {
    display: grid;
    grid-template-columns: minmax(0, 15rem) minmax(0, 1fr) minmax(0, 1fr) minmax(0, 15rem);
    align-items: center;
    gap: 0.25rem 1.25rem;
    padding: 0.75rem 0.5rem;
  }
  .name {
    display: grid;
    overflow-wrap: anywhere;
  }
  .note {
    grid-column: 1 / -1;
    overflow: hidden;
    color: var(--soft);
    font-size: 0.9rem;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .says {
    font-size: 0.9rem;
    line-height: 1.3;
  }
  .says.act {
    color: var(--act);
    font-weight: 600;
  }
  @media (max-width: 900px) {
    .row {
      grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
      gap: 0.5rem 1rem;
    }
    .name,
    .says {
      grid-column: 1 / -1;
    }
  }
  @media (max-width: 520px) {
    .item {
      grid-template-columns: minmax(0, 1fr);
      padding-bottom: 0.5rem;
    }
    .acts {
      justify-content: space-between;
      padding-inline: 0.5rem;
    }
  }
</style>
