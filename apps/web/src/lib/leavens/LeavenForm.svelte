<script lang="ts">
  import { bagProblems, type Bag, type Ingredient } from '@tender-crumb/core/ingredient';
  import { untrack } from 'svelte';
  import { nanoid } from 'nanoid';
  import { saidOf } from '../sync/said.ts';
  import { faultsOf, numberIn, type Faults } from '../pantry/faults.ts';
  import NumberField from '../pantry/NumberField.svelte';
  import { Written } from '../sync/written.svelte.ts';

  let {
    kind,
    bag,
    kinds,
    ondone,
  }: {
    kind: 'starter' | 'yeast';
    /** The one to say more of; a new one where absent. */
    bag?: Bag;
    kinds: readonly Ingredient[];
    ondone: () => void;
  } = $props();

  const start = untrack(() => bag);
  const made = untrack(() => kind);
  const text = (n: number | undefined) => (n === undefined ? '' : String(n));
  const written = new Written(`leaven/${made}/${start?.id ?? 'new'}`, {
    name: start?.name ?? '',
    ingredient: start?.ingredient ?? (made === 'yeast' ? 'instant-yeast' : 'bread-flour'),
    hydration: text(start?.hydration === undefined ? undefined : start.hydration * 100) || '100',
    keptAt: (start?.keptAt ?? 'fridge') as string,
    bestBefore: start?.bestBefore ?? '',
    finished: start?.finished ?? false,
  });
  let faults = $state.raw<Faults>({});
  let busy = $state(false);

  async function keep(event: SubmitEvent) {
    event.preventDefault();
    const { name, ingredient, hydration, keptAt, bestBefore, finished } = written.fields;
    const water = numberIn(hydration);
    const { id = nanoid(), hasLeft, ...before } = start ?? ({} as Partial<Bag>);
    void hasLeft;
    const said = {
      ...before,
      kind: made,
      name: name.trim(),
      ingredient,
      ...(made === 'starter'
        ? { hydration: water === undefined ? 1 : water / 100, keptAt: keptAt as 'room' | 'fridge' }
        : { ...(bestBefore ? { bestBefore } : {}) }),
      ...(finished ? { finished } : { finished: false }),
    };
    const problems = bagProblems(said as Bag);
    faults = Object.fromEntries(problems.map((p) => [p.field ?? '', p.says]));
    if (said.name === '') faults = { ...faults, name: 'A name is wanted.' };
    if (Object.keys(faults).length > 0) return;
    busy = true;
    const kept = await saidOf('bag', id, before, said);
    faults = faultsOf(kept);
    busy = false;
    if (kept.refused) return;
    written.done();
    ondone();
  }
</script>

<form class="flex flex-wrap items-end gap-3" onsubmit={keep} novalidate>
  <label class="quiet grid flex-1 basis-44 gap-1"
    >Name
    <input
      class="field text-base text-ink"
      maxlength="120"
      bind:value={written.fields.name}
      aria-invalid={faults['name'] ? 'true' : undefined}
    />
    {#if faults['name']}<span class="text-act" role="alert">{faults['name']}</span>{/if}
  </label>
  <label class="quiet grid gap-1"
    >{kind === 'starter' ? 'Fed with' : 'Kind'}
    <select class="field text-base text-ink" bind:value={written.fields.ingredient}>
      {#each kinds as { id, name } (id)}<option value={id}>{name}</option>{/each}
    </select>
  </label>
  {#if kind === 'starter'}
    <div class="w-40">
      <NumberField
        label="Water, % of its flour"
        bind:value={written.fields.hydration}
        fault={faults['hydration'] ?? ''}
      />
    </div>
    <label class="quiet grid gap-1"
      >Kept in
      <select class="field text-base text-ink" bind:value={written.fields.keptAt}>
        <option value="room">the room</option>
        <option value="fridge">the fridge</option>
      </select>
    </label>
  {:else}
    <label class="quiet grid gap-1"
      >Best before
      <input class="field text-base text-ink" type="date" bind:value={written.fields.bestBefore} />
    </label>
  {/if}
  {#if start}
    <label class="touch flex items-center gap-2">
      <input type="checkbox" bind:checked={written.fields.finished} />
      {kind === 'starter' ? 'Given up' : 'Used up'}
    </label>
  {/if}
  <button class="knob knob-act touch" type="submit" disabled={busy}
    >{start ? 'Keep' : 'Add it'}</button
  >
  {#if faults['']}<p class="text-act" role="alert">{faults['']}</p>{/if}
</form>
