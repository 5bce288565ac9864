<script lang="ts">
  import type { Household, Settings } from '@tender-crumb/core/household';
  import { catalogue } from '@tender-crumb/core/ingredient';
  import {
    celsiusTyped,
    temperatureNumber,
    written,
    type Writing,
  } from '@tender-crumb/core/quantity';
  import {
    carbs,
    cups,
    decimals,
    degrees,
    weights,
    eggs,
    fills,
    percentages,
    scaleSteps,
    spoons,
    waters,
    type Choice,
  } from './choice.ts';
  import { numberIn } from './faults.ts';
  import NumberField from './NumberField.svelte';
  import Pick from './Pick.svelte';
  import { untrack } from 'svelte';

  let { household, onkeep }: { household: Household; onkeep: (change: Partial<Settings>) => void } =
    $props();

  const yeasts = catalogue.filter((i) => i.yeast);
  const measures = $derived(household.measures);
  const measure = (change: Partial<Settings['measures']>) =>
    onkeep({ measures: { ...measures, ...change } });

  const write = (change: Partial<Writing>) =>
    onkeep({ writing: { ...household.writing, ...change } });

  const percent = (share: number | undefined) =>
    share === undefined ? '' : String(Math.round(share * 100));
  const settled = $derived({
    celsius:
      household.room.celsius === undefined
        ? ''
        : temperatureNumber(household.room.celsius, household.writing),
    humidity: percent(household.room.humidity),
  });
  let seen = untrack(() => settled);
  let celsius = $state(untrack(() => settled.celsius));
  let humidity = $state(untrack(() => settled.humidity));
  // What somebody else settled is shown; what is being typed here stays.
  $effect(() => {
    if (settled.celsius !== seen.celsius) celsius = settled.celsius;
    if (settled.humidity !== seen.humidity) humidity = settled.humidity;
    seen = settled;
  });
  let roomFault = $state({ celsius: '', humidity: '' });

  function room() {
    const typed = numberIn(celsius);
    // What was not touched stays as it is, to the tenth that a degree of the other school hides.
    const warm =
      celsius === settled.celsius
        ? household.room.celsius
        : typed === undefined
          ? undefined
          : celsiusTyped(typed, household.writing);
    const damp = numberIn(humidity);
    roomFault = {
      celsius:
        warm === undefined || (warm >= -10 && warm <= 60)
          ? ''
          : written('A room is −10 to 60 °C', household.writing),
      humidity: damp === undefined || (damp >= 0 && damp <= 100) ? '' : 'Between 0 and 100 %',
    };
    if (roomFault.celsius || roomFault.humidity) return;
    onkeep({ room: { celsius: warm, humidity: damp === undefined ? undefined : damp / 100 } });
  }

  const switches = [
    ['glutenFree', 'Someone here must not eat gluten'],
    ['lowSodium', 'Someone here is on a low-salt diet'],
    ['noProbe', 'We have no food thermometer'],
  ] as const;
</script>

<div class="grid gap-3 sm:grid-cols-2">
  <Pick
    label="Cup"
    value={measures.cup}
    choices={cups}
    onpick={(v) => measure({ cup: v as typeof measures.cup })}
  />
  <Pick
    label="Tablespoon"
    value={measures.tablespoon}
    choices={spoons}
    onpick={(v) => measure({ tablespoon: v as typeof measures.tablespoon })}
  />
  <Pick
    label="Flour goes into the cup"
    value={measures.fill}
    choices={fills}
    onpick={(v) => measure({ fill: v as typeof measures.fill })}
  />
  <Pick
    label="Egg"
    value={measures.egg}
    choices={eggs}
    onpick={(v) => measure({ egg: v as typeof measures.egg })}
  />
  <Pick
    label="Yeast in the cupboard"
    value={household.yeastKept ?? ''}
    choices={[['', 'as the recipe says'], ...yeasts.map((y): Choice => [y.id, y.name])]}
    onpick={(v) => onkeep({ yeastKept: v || undefined })}
  />
  <Pick
    label="Scale shows"
    value={String(household.scaleStep)}
    choices={scaleSteps}
    onpick={(v) => onkeep({ scaleStep: Number(v) })}
  />
  <div onchange={room}>
    <NumberField
      label="Room, °{household.writing.temperature}"
      bind:value={celsius}
      fault={roomFault.celsius}
    />
  </div>
  <div onchange={room}>
    <NumberField
      label="Air in the pantry, % humid"
      bind:value={humidity}
      fault={roomFault.humidity}
    />
  </div>
  <Pick
    label="Weights in"
    value={household.writing.mass}
    choices={weights}
    onpick={(v) => write({ mass: v as Writing['mass'] })}
  />
  <Pick
    label="Temperatures in"
    value={household.writing.temperature}
    choices={degrees}
    onpick={(v) => write({ temperature: v as Writing['temperature'] })}
  />
  <Pick
    label="Decimals after a"
    value={household.writing.decimal}
    choices={decimals}
    onpick={(v) => write({ decimal: v as Writing['decimal'] })}
  />
  <Pick
    label="Percentages are"
    value={household.percentages}
    choices={percentages}
    onpick={(v) => onkeep({ percentages: v as Settings['percentages'] })}
  />
  <Pick
    label="Hydration counts"
    value={household.water}
    choices={waters}
    onpick={(v) => onkeep({ water: v as Settings['water'] })}
  />
  <Pick
    label="Net carbohydrate as on"
    value={household.netCarbs}
    choices={carbs}
    onpick={(v) => onkeep({ netCarbs: v as Settings['netCarbs'] })}
  />
</div>
<div class="mt-3 grid gap-2">
  {#each switches as [name, label] (name)}
    <label class="touch flex items-center gap-2">
      <input
        type="checkbox"
        class="size-5 accent-rim"
        checked={household[name]}
        onchange={(e) => onkeep({ [name]: e.currentTarget.checked })}
      />
      {label}
    </label>
  {/each}
</div>
<p class="quiet mt-3">
  In a damp season an opened bag takes up 1 to 2 % moisture. The dough then needs 2 to 4 % less
  water.
</p>
