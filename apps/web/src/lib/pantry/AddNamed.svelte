<script lang="ts" generics="T extends string">
  let {
    kinds,
    label,
    onadd,
  }: {
    kinds: readonly T[];
    /** What a kind is called. */
    label: (kind: T) => string;
    onadd: (kind: T, name: string) => void;
  } = $props();

  const longest = 60;
  let picked = $state<T>();
  let name = $state('');
  const kind = $derived(picked ?? kinds[0]!);

  function add(event: SubmitEvent) {
    event.preventDefault();
    onadd(kind, (name.trim() || label(kind)).slice(0, longest));
    name = '';
  }
</script>

<!-- One more of a list: what kind it is, and what it is called. -->
<form class="flex flex-wrap items-end gap-2 border-t border-line pt-2" onsubmit={add}>
  <label class="quiet grid gap-1"
    >Kind
    <select
      class="field text-base text-ink"
      bind:value={() => kind as string, (next) => (picked = next as T)}
    >
      {#each kinds as id (id)}<option value={id}>{label(id)}</option>{/each}
    </select>
  </label>
  <label class="quiet grid flex-1 basis-40 gap-1"
    >Name
    <input class="field text-base text-ink" maxlength={longest} bind:value={name} />
  </label>
  <button class="knob touch" type="submit">Add it</button>
</form>
