<script lang="ts">
  import { beginBake } from '../sync/begin.ts';
  import { goto } from '$app/navigation';
  import { nanoid } from 'nanoid';
  import { fromPlan, type BakeEvent } from '@tender-crumb/core/bake';
  import type { Planning } from './planning.svelte.ts';
  import { timeText, untilText } from './when.ts';
  import { tapped } from '../clock.ts';

  let { planning }: { planning: Planning } = $props();

  const zone = $derived(planning.data.zone);
  const step = $derived(planning.next);
  const plan = $derived(step && planning.planOf(step.bake));
  const due = $derived(step ? Date.parse(step.start) <= planning.now.getTime() : false);
  const underWay = $derived(planning.ahead.filter((s) => planning.isBegun(s)));
  let fault = $state('');

  /** What was settled on the plan stands in the bake from its beginning. */
  function known(): BakeEvent[] {
    const timed = planning.timed?.bakes.find((b) => b.id === plan!.id);
    return fromPlan(plan!, timed, planning.data.formulas[plan!.id]).map(
      (e) => ({ ...tapped(), ...e, id: nanoid() }) as BakeEvent,
    );
  }

  /** Pressed twice, or begun and not heard of, it is one bake. */
  const id = nanoid();

  async function beginPlanned() {
    if (!step || !plan) return;
    fault = '';
    try {
      const { household, belief, formulas, versions, devices } = planning.data;
      await beginBake(
        {
          id,
          formulaId: plan.formulaId,
          formulaVersion: versions[plan.id]!,
          method: plan.device ?? devices[plan.id],
          events: known(),
          planned: plan.id,
        },
        { formula: formulas[plan.id]!, household, belief },
      );
      await goto(`/bake/${id}`);
    } catch (refusal) {
      fault = `The bake could not start: ${(refusal as Error).message}`;
    }
  }
</script>

{#if step}
  <section class="bowl grid gap-3 p-5" aria-labelledby="next-thing">
    <h2 id="next-thing" class="quiet">{due ? 'To be done now' : 'The next thing to do'}</h2>
    <p class="text-3xl font-bold sm:text-4xl">{step.label}</p>
    <p class="text-xl">
      {planning.nameOf(step.bake)} ·
      <b class="tabular-nums">{timeText(step.start, zone, planning.now)}</b>
      <span class="text-soft">{untilText(step.start, planning.now)}</span>
    </p>
    {#if step.earliest !== step.start}
      <p class="quiet">
        Most likely from {timeText(step.earliest, zone, planning.now)}{step.until
          ? `, until ${step.until}`
          : ''}.
      </p>
    {/if}
    <p class="no-print flex flex-wrap gap-2">
      {#if plan?.bakeId}
        <a class="knob knob-act min-h-14 text-lg" href="/bake/{plan.bakeId}">Go to this step</a>
      {:else}
        <button class="knob knob-act min-h-14 text-lg" type="button" onclick={beginPlanned}
          >Start this bake</button
        >
        <button class="knob min-h-14 text-lg" type="button" onclick={() => void planning.done(step)}
          >Done already</button
        >
      {/if}
    </p>
    {#if underWay.length > 0}
      <p class="quiet">
        Under way: {underWay
          .map(
            (s) =>
              `${s.label.toLowerCase()} of ${planning.nameOf(s.bake)} until about ${timeText(s.end, zone, planning.now)}`,
          )
          .join('; ')}.
      </p>
    {/if}
    {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
  </section>
{/if}
