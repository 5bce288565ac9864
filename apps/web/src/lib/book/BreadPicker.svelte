<script lang="ts">
  import { goto } from '$app/navigation';

  let {
    breads,
    bread,
    to,
    any,
  }: {
    breads: ReadonlyArray<{ readonly id: string; readonly name: string; readonly bakes: number }>;
    bread: string | undefined;
    /** Address of this leaf for a bread. */
    to: (bread: string) => string;
    /** What is said where no bread is picked; absent where one must be. */
    any?: string;
  } = $props();
</script>

<label class="flex min-w-0 items-center gap-2"
  ><span class="quiet">Of</span>
  <select
    class="field min-w-0"
    value={bread ?? ''}
    onchange={(e) => goto(to(e.currentTarget.value), { keepFocus: true })}
  >
    {#if any}<option value="">{any}</option>{/if}
    {#each breads as { id, name, bakes } (id)}<option value={id}>{name} ({bakes})</option>{/each}
  </select>
</label>
