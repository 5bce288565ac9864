<script lang="ts">
  import { numberTyped } from '@tender-crumb/core/quantity';
  import { styleIds, styles, type StyleId } from '@tender-crumb/core/style';
  import X from '@lucide/svelte/icons/x';
  import IngredientPicker from '../sheet/IngredientPicker.svelte';
  import { asMass, writing } from '../ui/writing.ts';
  import type { Rescuing } from './rescuing.svelte.ts';

  let { rescue }: { rescue: Rescuing } = $props();

  let fault = $state('');

  function grams(i: number, text: string) {
    const value = numberTyped(text, writing());
    if (value === undefined || !(value >= 0 && value <= 20_000)) {
      fault = 'About how many grams, such as 500?';
      return;
    }
    fault = '';
    rescue.change(i, { grams: value });
  }
</script>

<section class="bowl grid gap-2 p-4" aria-labelledby="went-in">
  <h2 id="went-in" class="text-lg">
    {rescue.isKnown ? 'What went in' : 'What went in, roughly'}
  </h2>
  {#if rescue.isKnown}
    <p>{rescue.view.formula.name}: as it was weighed.</p>
  {:else}
    <label class="quiet grid gap-1"
      >Type of bread
      <select
        class="field min-h-14 text-base text-ink"
        value={rescue.style}
        onchange={(e) => (rescue.style = e.currentTarget.value as StyleId)}
      >
        {#each styleIds as style (style)}<option value={style}>{styles[style].name}</option>{/each}
      </select>
    </label>
    <ul class="grid gap-1">
      {#each rescue.went as { ingredient, grams: of }, i (`${ingredient} ${i}`)}
        <li class="flex items-center gap-2">
          <span class="flex-1">{rescue.view.pantry.ingredient(ingredient).name}</span>
          <input
            class="field min-h-11 w-24 text-right"
            inputmode="decimal"
            aria-label="Grams of {rescue.view.pantry.ingredient(ingredient).name}"
            value={of}
            onchange={(e) => grams(i, e.currentTarget.value)}
          />
          <span class="quiet">g</span>
          <button
            class="knob touch px-2"
            type="button"
            aria-label="No {rescue.view.pantry.ingredient(ingredient).name}"
            onclick={() => rescue.drop(i)}><X size={16} /></button
          >
        </li>
      {/each}
    </ul>
    <IngredientPicker
      pantry={rescue.view.pantry}
      label="Something else that went in"
      placeholder="Something else"
      onpick={(ingredient) => rescue.add(ingredient)}
    />
    <label class="flex min-h-11 items-center gap-2"
      ><input type="checkbox" class="size-5" bind:checked={rescue.sourdough} /> a starter raises it,
      about {asMass(100)}</label
    >
    <p class="quiet">A rough guess is fine.</p>
  {/if}
  {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
</section>
