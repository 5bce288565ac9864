<script lang="ts">
  let {
    find,
    shown,
    total,
    keep = {},
  }: {
    /** What was looked for. */
    find: string;
    /** How many breads stand here, of how many. */
    shown: number;
    total: number;
    /** What else this leaf was asked for, and is to keep. */
    keep?: Readonly<Record<string, string>>;
  } = $props();
</script>

{#if total > shown || find}
  <form class="no-print flex flex-wrap items-center gap-2" role="search" data-sveltekit-keepfocus>
    {#each Object.entries(keep) as [name, value] (name)}
      <input type="hidden" {name} {value} />
    {/each}
    <input
      class="field w-44"
      type="search"
      name="find"
      aria-label="Find a bread"
      placeholder="Find a bread"
      value={find}
    />
    <button class="knob" type="submit">Find</button>
  </form>
{/if}
