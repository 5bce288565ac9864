<script lang="ts">
  import { goto } from '$app/navigation';
  import type { BakeEvent } from '@tender-crumb/core/bake';
  import { nanoid } from 'nanoid';
  import { untrack } from 'svelte';
  import { beginBake } from '../sync/begin.ts';
  import { draftEntry } from '../sync/kinds.ts';
  import { mustSay } from '../sync/said.ts';
  import Either from '../ui/Either.svelte';
  import FeelsWrong from './FeelsWrong.svelte';
  import GoneOver from './GoneOver.svelte';
  import NoRise from './NoRise.svelte';
  import WentIn from './WentIn.svelte';
  import { Rescuing, troubles, type TroubleGiven } from './rescuing.svelte.ts';
  import { currentMs, tapped } from '../clock.ts';

  let {
    data,
  }: {
    data: TroubleGiven & { bakeId?: string; startedAt?: string };
  } = $props();

  const rescue = untrack(() => new Rescuing(data));
  let fault = $state('');

  const since = untrack(() =>
    data.startedAt
      ? Math.max(0.5, Math.round((currentMs() - Date.parse(data.startedAt)) / 1_800_000) / 2)
      : undefined,
  );
  if (since !== undefined && since < 48) rescue.rise = { ...rescue.rise, hours: since };

  /** Pressed twice it is kept once. */
  const id = nanoid();
  async function keep() {
    fault = '';
    try {
      if (data.bakeId) {
        await goto(`/bake/${data.bakeId}`);
        return;
      }
      const { formula } = rescue.view;
      await mustSay(draftEntry({ id, version: 0, draft: id, formula }));
      const { at, ...clock } = tapped();
      const events = [
        { kind: 'step', data: { step: 'weigh', sense: 'done' } },
        { kind: 'step', data: { step: 'mix', sense: 'done' } },
        ...(rescue.felt === undefined
          ? []
          : [{ kind: 'felt', data: { points: rescue.felt, rested: rescue.rested } }]),
      ].map((e, i): BakeEvent => {
        const one = new Date(Date.parse(at) + i).toISOString();
        return { id: `kept-${i}`, at: one, ...clock, ...e } as BakeEvent;
      });
      await beginBake(
        { id, formulaId: id, draft: id, method: 'hand', events },
        { ...data, formula },
      );
      await goto(`/bake/${id}`);
    } catch (refusal) {
      fault = `It could not be kept: ${(refusal as Error).message}`;
    }
  }
</script>

<div class="mx-auto grid max-w-5xl gap-4">
  <h1 class="text-3xl">A dough in trouble</h1>
  <Either
    label="What is wrong"
    size="large"
    value={rescue.trouble}
    choices={troubles}
    onpick={(t) => (rescue.trouble = t)}
  />

  {#if rescue.trouble === 'over'}
    <GoneOver {rescue} />
  {:else}
    <div class="grid items-start gap-4 lg:grid-cols-[minmax(0,5fr)_minmax(0,3fr)]">
      <div class="grid gap-4">
        {#if rescue.trouble === 'feel'}
          <FeelsWrong {rescue} />
        {:else}
          <NoRise {rescue} />
        {/if}
      </div>
      <WentIn {rescue} />
    </div>
  {/if}
  {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
  <div>
    <button class="knob min-h-14 text-lg" type="button" onclick={keep}
      >{data.bakeId ? 'Back to the bake' : 'Carry on as a bake'}</button
    >
  </div>
</div>
