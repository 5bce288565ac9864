<script lang="ts">
  import type { Formula } from '@tender-crumb/core/formula';
  import { question } from '../question.ts';
  import type { Bench } from './bench.svelte.ts';
  import SideBySide from './SideBySide.svelte';
  import { say } from '../ui/writing.ts';
  import { whoAndWhen } from './when.ts';

  /** Changes of one version that are told; looked at, it shows them all. */
  const most = 4;

  interface Aside {
    readonly id: string;
    readonly keptAt: string;
    readonly device?: string;
    readonly formula: Formula;
  }
  interface VersionHead {
    readonly version: number;
    readonly savedAt: string;
    readonly device?: string;
    readonly changes: readonly string[];
  }

  let { bench, aside }: { bench: Bench; aside: readonly Aside[] } = $props();

  let heads = $state.raw<readonly VersionHead[]>([]);
  let total = $state(0);
  let fault = $state('');
  /** What is looked at: a version by its number, something set aside by its id. */
  let looked = $state.raw<{ key: string; title: string; formula: Formula } | undefined>();

  async function more() {
    fault = '';
    try {
      const path = `/api/v1/formulas/${bench.id}/versions?limit=10&offset=${heads.length}`;
      const page = await question<{ versions: VersionHead[]; total: number }>(path);
      heads = [...heads, ...page.versions];
      total = page.total;
    } catch (refusal) {
      fault = `The versions cannot be fetched: ${(refusal as Error).message}`;
    }
  }

  async function look({ version, savedAt, device }: VersionHead) {
    const key = String(version);
    if (looked?.key === key) return (looked = undefined);
    fault = '';
    try {
      const { formula } = await question<{ formula: Formula }>(
        `/api/v1/formulas/${bench.id}?version=${version}`,
      );
      looked = { key, title: whoAndWhen(device, savedAt), formula };
    } catch (refusal) {
      fault = `It cannot be fetched: ${(refusal as Error).message}`;
    }
  }

  function lookAside({ id, keptAt, device, formula }: Aside) {
    looked =
      looked?.key === id ? undefined : { key: id, title: whoAndWhen(device, keptAt), formula };
  }

  function bringBack(formula: Formula) {
    bench.edit(formula);
    looked = undefined;
  }
</script>

{#snippet lookedAt(key: string)}
  {#if looked?.key === key}
    <div class="mt-1 grid gap-2 border-l-4 border-rim bg-sunk p-2">
      <SideBySide
        theirs={looked.formula}
        mine={bench.formula}
        theirTitle={looked.title}
        mineTitle="On the bench"
        pantry={bench.view.pantry}
      />
      <button
        class="knob justify-self-start"
        type="button"
        onclick={() => bringBack(looked!.formula)}>Bring back</button
      >
    </div>
  {/if}
{/snippet}

{#if aside.length > 0}
  <details class="bowl no-print p-3">
    <summary class="font-semibold">Set aside ({aside.length})</summary>
    <p class="quiet mt-1">What you typed while another version was saved.</p>
    <ul class="mt-2 grid gap-1 text-sm">
      {#each aside as one (one.id)}
        <li>
          <button
            class="row"
            type="button"
            aria-expanded={looked?.key === one.id}
            onclick={() => lookAside(one)}>{whoAndWhen(one.device, one.keptAt)}</button
          >
          {@render lookedAt(one.id)}
        </li>
      {/each}
    </ul>
  </details>
{/if}
<details
  class="bowl no-print p-3"
  ontoggle={(e) => e.currentTarget.open && heads.length === 0 && void more()}
>
  <summary class="font-semibold">Earlier versions</summary>
  <p class="quiet mt-1">Every save is kept. Look at one, and bring it back.</p>
  <ul class="mt-2 grid gap-1 text-sm">
    {#each heads as head (head.version)}
      <li>
        <button
          class="row"
          type="button"
          aria-expanded={looked?.key === String(head.version)}
          onclick={() => void look(head)}
          ><b>{head.version}</b> · {whoAndWhen(head.device, head.savedAt)}
          <span class="quiet block break-words"
            >{head.changes.length > 0
              ? say(head.changes.slice(0, most).join(', ')) +
                (head.changes.length > most ? `, and ${head.changes.length - most} more` : '')
              : head.version === 1
                ? 'first version'
                : 'nothing that is shown'}</span
          ></button
        >
        {@render lookedAt(String(head.version))}
      </li>
    {/each}
  </ul>
  {#if heads.length < total}
    <button class="knob mt-2" type="button" onclick={() => void more()}>Older ones</button>
  {/if}
  {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
</details>

<style>
  .row {
    width: 100%;
    min-height: 2.75rem;
    padding: 0.25rem 0.4rem;
    border-radius: 4px;
    text-align: left;
  }
  .row:hover,
  .row[aria-expanded='true'] {
    background: var(--sunk);
  }
</style>
