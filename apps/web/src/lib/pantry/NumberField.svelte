<script lang="ts">
  import { parseNumber } from '@tender-crumb/core/quantity';

  let {
    label,
    value = $bindable(),
    placeholder = 'not known',
    fault = '',
    required = false,
  }: {
    label: string;
    /** As typed: what is no number stays to be mended. */
    value: string;
    placeholder?: string;
    fault?: string;
    required?: boolean;
  } = $props();

  const id = $props.id();
  const unread = $derived(
    value.trim() !== '' && parseNumber(value.replace(/^-/, '')) === undefined
      ? 'A number, such as 12.5'
      : '',
  );
  const says = $derived(unread || fault);
</script>

<div class="quiet grid content-start gap-1">
  <label for={id}>{label}</label>
  <input
    {id}
    class="field w-full min-w-0 text-right text-base text-ink"
    inputmode="decimal"
    autocomplete="off"
    {placeholder}
    {required}
    bind:value
    aria-invalid={says ? 'true' : undefined}
    aria-describedby={says ? `${id}-fault` : undefined}
  />
  {#if says}<span id="{id}-fault" class="text-act" role="alert">{says}</span>{/if}
</div>
