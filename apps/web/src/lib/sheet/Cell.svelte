<script lang="ts">
  let {
    shown,
    label,
    column,
    unit = '',
    ontype,
    onend,
  }: {
    /** What stands in the cell while nobody types in it. */
    shown: string;
    label: string;
    column: string;
    unit?: string;
    /** Takes what was typed; answers what is wrong with it, if anything. */
    ontype: (text: string) => string | undefined;
    onend: () => void;
  } = $props();

  let draft = $state<string | undefined>();
  let fault = $state<string | undefined>();
  const faultId = $props.id();

  function type(event: Event & { currentTarget: HTMLInputElement }) {
    draft = event.currentTarget.value;
    fault = draft.trim() === '' ? undefined : ontype(draft);
  }

  /** A faulty text stays to be mended; a good one gives way to the value that it became. */
  function leave() {
    if (!fault) draft = undefined;
    onend();
  }

  function key(event: KeyboardEvent & { currentTarget: HTMLInputElement }) {
    if (event.key !== 'Escape') return;
    draft = undefined;
    fault = undefined;
    event.currentTarget.blur();
  }

  /** Characters that stand in a cell at its full size. */
  const longest = 17;
</script>

<span class="cell">
  <input
    type="text"
    inputmode={column === 'measure' ? 'text' : 'decimal'}
    autocomplete="off"
    spellcheck="false"
    aria-label={label}
    aria-invalid={fault ? 'true' : undefined}
    aria-describedby={fault ? faultId : undefined}
    data-column={column}
    class:long={shown.length > longest}
    title={shown.length > longest ? shown : undefined}
    value={draft ?? shown}
    onfocus={(e) => e.currentTarget.select()}
    oninput={type}
    onblur={leave}
    onkeydown={key}
  />
  {#if unit}<span class="unit" aria-hidden="true">{unit}</span>{/if}
  {#if fault}<span class="fault" id={faultId} role="alert">{fault}</span>{/if}
</span>

<style>
  .cell {
    position: relative;
    display: flex;
    align-items: baseline;
    gap: 0.15rem;
  }
  input {
    width: 100%;
    min-width: 0;
    padding: 0.3rem 0.35rem;
    border: 1.5px solid transparent;
    border-radius: 3px;
    background: transparent;
    text-align: right;
  }
  input[data-column='measure'] {
    text-align: left;
  }
  input.long {
    font-size: 0.82em;
    text-overflow: ellipsis;
  }
  input:hover {
    border-color: var(--line);
  }
  input:focus {
    border-color: var(--rim);
    background: var(--enamel);
    outline-offset: 0;
  }
  input[aria-invalid='true'] {
    border-color: var(--act);
  }
  .unit {
    color: var(--soft);
    font-size: 0.85em;
  }
  .fault {
    position: absolute;
    z-index: 5;
    top: 100%;
    right: 0;
    padding: 0.25rem 0.5rem;
    border-radius: 3px;
    background: var(--act);
    color: var(--on-act);
    font-size: 0.8rem;
    white-space: nowrap;
  }
</style>
