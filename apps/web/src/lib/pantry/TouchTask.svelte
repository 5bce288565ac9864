<script lang="ts">
  import type { Baker, TriedHand } from '@tender-crumb/core/household';
  import { taskDoughs } from '@tender-crumb/core/learn';
  import { styles } from '@tender-crumb/core/style';
  import Level from '../level/Level.svelte';
  import { asMass, asPoints } from '../ui/writing.ts';

  let {
    baker,
    flours,
    today,
    onkeep,
  }: {
    baker: Baker;
    /** Flours to try it with, the household's usual one first. */
    flours: ReadonlyArray<{ readonly id: string; readonly name: string }>;
    today: string;
    onkeep: (felt: TriedHand | undefined) => void;
  } = $props();

  let picked = $state<string>();
  const flour = $derived(picked ?? baker.felt?.flour ?? flours[0]?.id ?? '');
  let felt = $state<Record<number, number>>({});
  const points = $derived(taskDoughs.map((_, i) => felt[i]));
  const all = $derived(points.every((p) => p !== undefined));

  function keep() {
    if (!all) return;
    onkeep({ flour, on: today, points: points as unknown as TriedHand['points'] });
    felt = {};
  }
</script>

<details class="grid basis-full gap-2">
  <summary class="touch">
    {baker.felt
      ? `${baker.name}’s touch was tried on ${baker.felt.on}: ${baker.felt.points.map(asPoints).join(', ')}`
      : `Try ${baker.name}’s touch: two minutes, three doughs`}
  </summary>
  <div class="mt-2 grid gap-3">
    <label class="quiet grid gap-1"
      >Flour
      <select
        class="field text-base text-ink"
        value={flour}
        onchange={(e) => (picked = e.currentTarget.value)}
      >
        {#each flours as { id, name } (id)}<option value={id}>{name}</option>{/each}
      </select>
    </label>
    {#each taskDoughs as dough, i (dough.water)}
      <div class="grid gap-1 border-t border-line pt-2">
        <p>
          <b>{asMass(dough.flour)}</b> of flour, <b>{asMass(dough.water)}</b> of water: stir, knead for
          half a minute, touch it.
        </p>
        <Level
          window={styles.pan.window}
          size="counter"
          felt={felt[i]}
          label="How the dough with {asMass(dough.water)} of water feels"
          onfeel={(at) => (felt = { ...felt, [i]: at })}
        />
      </div>
    {/each}
    <div class="flex flex-wrap gap-2">
      {#if all}
        <button class="knob knob-act min-h-14" type="button" onclick={keep}
          >This is how they feel</button
        >
      {:else}
        <p class="quiet">Slide all three to how they feel.</p>
      {/if}
      {#if baker.felt}
        <button class="knob min-h-14" type="button" onclick={() => onkeep(undefined)}
          >Forget it</button
        >
      {/if}
    </div>
  </div>
</details>
