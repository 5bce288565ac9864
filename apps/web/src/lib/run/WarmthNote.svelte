<script lang="ts">
  import type { WarmthPlace } from '@tender-crumb/core/bake';
  import { capital, celsiusTyped, numberTyped } from '@tender-crumb/core/quantity';
  import { standIns } from '../devices/stand-ins.svelte.ts';
  import { asWarmth, writing } from '../ui/writing.ts';
  import type { Run } from './run.svelte.ts';

  let {
    run,
    places,
    liquid,
  }: {
    run: Run;
    places: readonly WarmthPlace[];
    /** What is poured in, where it is not water. */
    liquid?: string;
  } = $props();

  const rows = {
    water: { label: 'Water', span: [0, 70] },
    dough: { label: 'Dough', span: [0, 60] },
    air: { label: 'Air around it', span: [-20, 70] },
  } as const satisfies Record<WarmthPlace, unknown>;

  let typed = $state({ water: '', dough: '', air: '' });
  let fault = $state('');
  const sensed = $derived({
    water: standIns.probe.reading?.celsius,
    dough: standIns.probe.reading?.celsius,
    air: standIns.room.reading?.celsius,
  });

  function keep(of: WarmthPlace) {
    if (typed[of].trim() === '') return;
    const number = numberTyped(typed[of], writing());
    const celsius = number === undefined ? undefined : celsiusTyped(number, writing());
    const [least, most] = rows[of].span;
    if (celsius === undefined || !(celsius >= least && celsius <= most)) {
      fault = `A temperature between ${asWarmth(least)} and ${asWarmth(most)}, such as ${asWarmth(24)}.`;
      return;
    }
    fault = '';
    typed[of] = '';
    run.say('warmth', { of, celsius });
  }
</script>

<!-- What a thermometer says, noted. -->
<div class="flex flex-wrap items-end gap-3">
  {#each places as of (of)}
    {@const noted = run.view.state.warmth[of]}
    <form
      class="flex items-end gap-2"
      onsubmit={(e) => {
        e.preventDefault();
        keep(of);
      }}
    >
      <label class="quiet grid gap-1"
        >{of === 'water' && liquid ? capital(liquid) : rows[of].label}{noted === undefined
          ? `, °${writing().temperature}`
          : `: ${asWarmth(noted)}`}
        <input
          class="field min-h-14 w-28 text-right text-lg"
          inputmode="decimal"
          placeholder={sensed[of] === undefined ? '' : asWarmth(sensed[of]!)}
          aria-invalid={fault && typed[of] !== '' ? 'true' : undefined}
          bind:value={typed[of]}
        />
      </label>
      {#if sensed[of] !== undefined && typed[of] === ''}
        <button
          class="knob min-h-14"
          type="button"
          onclick={() => run.say('warmth', { of, celsius: sensed[of]! })}
          >Use {asWarmth(sensed[of]!)}</button
        >
      {:else}
        <button class="knob min-h-14" type="submit">Save</button>
      {/if}
    </form>
  {/each}
</div>
{#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
