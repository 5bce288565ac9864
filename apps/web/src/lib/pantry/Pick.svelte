<script lang="ts">
  import type { Choice } from './choice.ts';

  let {
    label,
    value,
    choices,
    onpick,
  }: { label: string; value: string; choices: readonly Choice[]; onpick: (v: string) => void } =
    $props();
</script>

<label class="quiet grid content-start gap-1"
  >{label}
  <select
    class="field min-w-0 text-base text-ink"
    {value}
    onchange={(e) => onpick(e.currentTarget.value)}
  >
    {#each choices as [id, name] (id)}<option value={id}>{name}</option>{/each}
  </select>
</label>
