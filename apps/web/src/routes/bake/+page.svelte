<script lang="ts">
  import { nanoid } from 'nanoid';
  import { goto } from '$app/navigation';
  import { beginBake, type BeginBake } from '$lib/sync/begin.ts';
  import { sync } from '$lib/sync/sync.svelte.ts';
  import { timeText } from '$lib/plan/when.ts';
  import PlanView from '$lib/plan/PlanView.svelte';
  import type { PageProps } from './$types';
  import { currentTime } from '$lib/clock.ts';

  let { data }: PageProps = $props();

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
      fault = `It could not begin: ${(refusal as Error).message}`;
    }
  }
</script>

<svelte:head><title>Bake day · Tender Crumb</title></svelte:head>
<h1 class="mb-3">Bake day</h1>
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
    Nothing is being baked and nothing is planned. Say when a bread should be on the table: the
    steps, the oven and the night fall into place. Or choose one on the
    <a class="link" href="/">Shelf</a> and press “Bake this” on its bench.
  </p>
{/if}
<PlanView data={data.plan} breads={data.breads} first={data.first} />

<p class="no-print mt-6 flex flex-wrap gap-3">
  <a class="knob min-h-14 text-lg" href="/bake/first">A first loaf, sentence by sentence</a>
  <a class="knob min-h-14 text-lg" href="/bake/rescue">A dough in trouble</a>
</p>
<form class="no-print mt-6 flex flex-wrap items-end gap-3" onsubmit={begin}>
  <label class="grid gap-1"
    ><span class="quiet">Something without a formula here: only how it came out</span>
    <input
      class="field min-w-72"
      bind:value={name}
      required
      maxlength="200"
      placeholder="Its name"
      autocomplete="off"
    />
  </label>
  <button class="knob" type="submit" disabled={name.trim() === ''}>Bake it</button>
  {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
</form>
