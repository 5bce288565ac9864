<script lang="ts">
  import { numberIn } from './faults.ts';

  let {
    label,
    value,
    placeholder = '',
    width = 'w-24',
    onkeep,
  }: {
    label: string;
    value: number | undefined;
    placeholder?: string;
    width?: string;
    /** Undefined where nothing stands there any more; NaN where it is no number. */
    onkeep: (value: number | undefined) => void;
  } = $props();
</script>

<!-- A number that is kept when the field is left. -->
<label class="quiet grid gap-1"
  >{label}
  <input
    class="field {width} text-right text-base text-ink"
    inputmode="decimal"
    {placeholder}
    value={value ?? ''}
    onchange={(e) => onkeep(numberIn(e.currentTarget.value))}
  />
</label>
