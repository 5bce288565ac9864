<script lang="ts">
  let {
    label,
    value = $bindable(),
    placeholder,
    maxlength,
    fault = '',
  }: {
    label: string;
    value: string;
    placeholder: string;
    maxlength: number;
    fault?: string;
  } = $props();

  const id = $props.id();
</script>

<div class="quiet grid content-start gap-1">
  <label for={id}>{label}</label>
  <input
    {id}
    class="field min-w-0 text-base text-ink"
    {maxlength}
    {placeholder}
    bind:value
    aria-invalid={fault ? 'true' : undefined}
    aria-describedby={fault ? `${id}-fault` : undefined}
  />
  {#if fault}<span id="{id}-fault" class="text-act" role="alert">{fault}</span>{/if}
</div>
