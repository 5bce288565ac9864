<script lang="ts">
  import { mostBakers, usualBaker, type Baker, type TriedHand } from '@tender-crumb/core/household';
  import { nanoid } from 'nanoid';
  import type { ComponentProps } from 'svelte';
  import NamedRow from './NamedRow.svelte';
  import TouchTask from './TouchTask.svelte';

  let {
    bakers,
    flours,
    today,
    onkeep,
  }: {
    bakers: readonly Baker[];
    /** Flours that a hand may be tried with. */
    flours: ComponentProps<typeof TouchTask>['flours'];
    today: string;
    onkeep: (of: readonly Baker[]) => void;
  } = $props();

  const withFelt = ({ id, name }: Baker, felt: TriedHand | undefined): Baker => ({
    ...{ id, name },
    ...(felt ? { felt } : {}),
  });

  const longest = 60;
  let name = $state('');
  let fault = $state('');

  function rename(baker: Baker, to: string) {
    fault = to.trim() === '' ? 'A name is wanted.' : '';
    if (!fault)
      onkeep(bakers.map((b) => (b === baker ? { ...b, name: to.trim().slice(0, longest) } : b)));
  }

  function add(event: SubmitEvent) {
    event.preventDefault();
    const called = name.trim().slice(0, longest);
    fault =
      called === ''
        ? 'A name is wanted.'
        : bakers.some((b) => b.name === called)
          ? `${called} stands there already.`
          : bakers.length >= mostBakers
            ? `${mostBakers} names at most.`
            : '';
    if (fault) return;
    onkeep([...bakers, { id: bakers.length === 0 ? usualBaker : nanoid(), name: called }]);
    name = '';
  }
</script>

<section class="grid gap-2" aria-labelledby="bakers">
  <h2 id="bakers">Who bakes</h2>
  <p class="quiet">
    People fill cups and feel dough differently, so the book learns each by name. The first name
    counts for bakes without one.
  </p>
  {#each bakers as baker, i (baker.id)}
    <NamedRow
      kind={i === 0 ? 'Usually' : 'Also'}
      name={baker.name}
      onname={(to) => rename(baker, to)}
      onout={i > 0 || bakers.length === 1
        ? () => onkeep(bakers.filter((b) => b !== baker))
        : undefined}
    />
    <TouchTask
      {baker}
      {flours}
      {today}
      onkeep={(felt) => onkeep(bakers.map((b) => (b === baker ? withFelt(b, felt) : b)))}
    />
  {/each}
  {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
  <form class="flex flex-wrap items-end gap-2 border-t border-line pt-2" onsubmit={add}>
    <label class="quiet grid flex-1 basis-40 gap-1"
      >Name
      <input class="field text-base text-ink" maxlength={longest} bind:value={name} />
    </label>
    <button class="knob touch" type="submit">Add it</button>
  </form>
</section>
