<script lang="ts">
  import { goto } from '$app/navigation';
  import type { BakedBreads } from '../server/store/book-list.ts';
  import FindBread from './FindBread.svelte';

  let {
    breads,
    find,
    bread,
    to,
    keep = {},
  }: {
    breads: BakedBreads;
    /** What was looked for. */
    find: string;
    bread: string;
    /** Address of this leaf for a bread. */
    to: (bread: string) => string;
    /** What else this leaf was asked for. */
    keep?: Readonly<Record<string, string>>;
  } = $props();
</script>

<div class="flex min-w-0 flex-wrap items-center gap-2">
  <label class="flex min-w-0 items-center gap-2"
    ><span class="quiet">Of</span>
    <select
      class="field min-w-0"
      value={bread}
      onchange={(e) => goto(to(e.currentTarget.value), { keepFocus: true })}
    >
      {#each breads.rows as { id, name, bakes } (id)}<option value={id}>{name} ({bakes})</option
        >{/each}
    </select>
  </label>
  <FindBread {find} shown={breads.rows.length} total={breads.total} {keep} />
</div>
