<script lang="ts">
  import { nanoid } from 'nanoid';
  import { goto } from '$app/navigation';
  import { beginBake, type BeginBake } from '$lib/sync/begin.ts';
  import { sync } from '$lib/sync/sync.svelte.ts';
  import { timeText } from '$lib/plan/when.ts';
  import PlanView from '$lib/plan/PlanView.svelte';
  import { later } from '$lib/ui/later.ts';
  import type { PageProps } from './$types';
  import { currentTime } from '$lib/clock.ts';

  let { data }: PageProps = $props();

  const howWas = later(() => import('$lib/plan/HowWas.svelte'));
  /** A loaf was asked about on this page: what became of the answer stays. */
  let asks = $state(false);
  $effect(() => {
    if (data.asked.length > 0) asks = true;
  });

  /** Those that were begun here and that the server has not heard of are being baked as well. */
  const bakes = $derived([
    ...sync.standing.waiting
      .filter((e) => e.kind === 'begin')
      .map((e) => e.body as BeginBake)
      .map((b) => ({
        id: b.id,
        startedAt: b.startedAt,
        formulaName: b.name ?? nameOf(b.formulaId),
      })),
    ...data.bakes,
  ]);
  const nameOf = (formula: string | undefined): string =>
    data.breads.find((b) => b.id === formula)?.name ?? 'A bread';

  let name = $state('');
  let fault = $state('');
  /** Pressed twice, or sent again after a lost answer, it is one bake. */
  let id = nanoid();

  async function begin(event: SubmitEvent) {
    event.preventDefault();
    fault = '';
    try {
      const { bake } = await beginBake({ id, name: name.trim() }, data.plan);
      id = nanoid();
      await goto(`/bake/${bake.id}`);
    } catch (refusal) {
      fault = `The bake could not start: ${(refusal as Error).message}`;
    }
  }
</script>

<svelte:head><title>Bake day · Tender Crumb</title></svelte:head>
<h1 class="mb-3">Bake day</h1>
{#if asks}
  {#await howWas() then { default: HowWas }}
    <HowWas asked={data.asked} zone={data.plan.zone} now={currentTime()} />
  {/await}
{/if}
{#if bakes.length > 0}
  <ul class="no-print mb-4 flex flex-wrap gap-2" aria-label="Being baked">
    {#each bakes as bake (bake.id)}
      <li>
        <a
          class="bowl flex min-h-14 flex-wrap items-center justify-between gap-3 px-4 py-2"
          href="/bake/{bake.id}"
        >
          <b class="text-lg">{bake.formulaName}</b>
          <span class="quiet">begun {timeText(bake.startedAt, data.plan.zone, currentTime())}</span>
        </a>
      </li>
    {/each}
  </ul>
{:else if sync.planned(data.plan.plans).length === 0}
  <p class="mb-4 max-w-3xl text-lg">
    Nothing is planned. Say when you want the bread: the steps, the oven and the night are worked
    out. Or choose one on the
    <a class="link" href="/">Shelf</a> and press “Bake”.
  </p>
{/if}
<PlanView data={data.plan} breads={data.breads} first={data.first} />

<p class="no-print mt-6 flex flex-wrap gap-3">
  <a class="knob min-h-14 text-lg" href="/bake/first">A first loaf, step by step</a>
  <a class="knob min-h-14 text-lg" href="/bake/rescue">A dough in trouble</a>
</p>
<form class="no-print mt-6 flex flex-wrap items-end gap-3" onsubmit={begin}>
  <label class="grid max-w-full gap-1"
    ><span class="quiet">Log a bake without a recipe</span>
    <input
      class="field w-72"
      bind:value={name}
      required
      maxlength="200"
      placeholder="Name"
      autocomplete="off"
    />
  </label>
  <button class="knob" type="submit" disabled={name.trim() === ''}>Bake it</button>
  {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
</form>
