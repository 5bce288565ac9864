<script lang="ts">
  import { figureGroups, type FigureRow } from '@tender-crumb/core/coefficients';
  import { settingsOf } from '@tender-crumb/core/household';
  import { catalogue } from '@tender-crumb/core/ingredient';
  import { numberIn } from '$lib/pantry/faults.ts';
  import { saidOfHouse } from '$lib/sync/said.ts';
  import { untrack } from 'svelte';
  import { SvelteSet } from 'svelte/reactivity';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();

  const groups = $derived(
    figureGroups([...catalogue, ...data.household.own], data.household.figures),
  );
  const first = untrack(() => groups[0]?.title ?? '');
  const unfolded = new SvelteSet([first]);
  /** A group’s rows are laid out once somebody looks into it, and stay: something may be typed in them. */
  const laidOut = new SvelteSet([first]);
  function fold(title: string, open: boolean) {
    if (!open) return void unfolded.delete(title);
    unfolded.add(title);
    laidOut.add(title);
  }

  let said = $state('');
  let faults = $state<Record<string, string>>({});
  let busy = $state(false);

  async function keep(row: FigureRow, text: string) {
    const value = numberIn(text);
    const { [row.key]: mended, ...rest } = faults;
    void mended;
    if (value !== undefined && !(value >= row.least && value <= row.most)) {
      faults = { ...rest, [row.key]: `A number from ${row.least} to ${row.most}` };
      return;
    }
    faults = rest;
    busy = true;
    const { [row.key]: before, ...others } = data.household.figures;
    void before;
    const figures = value === undefined ? others : { ...others, [row.key]: value };
    const { refused, says } = await saidOfHouse(settingsOf(data.household), { figures });
    busy = false;
    said = refused ? '' : says;
    if (refused) faults = { ...faults, [row.key]: says };
  }

  const plain = (value: number) => String(Number(value.toPrecision(4))).replace('-', '−');
</script>

<svelte:head><title>Figures · Pantry · Tender Crumb</title></svelte:head>

<h1>Model figures</h1>
<p class="mt-1 max-w-3xl">
  The figures of the dough model, with their spread and source. Type your own and everything follows
  it. Empty the field to get ours back.
</p>
<p class="quiet min-h-6" role="status">{said}</p>

<div class="grid gap-4">
  {#each groups as group (group.title)}
    <details
      class="bowl p-4"
      bind:open={() => unfolded.has(group.title), (open) => fold(group.title, open)}
    >
      <summary class="text-lg font-semibold">{group.title}</summary>
      {#if laidOut.has(group.title)}
        <div class="overflow-x-auto">
          <table class="mt-2 w-full text-sm">
            <thead class="quiet text-left">
              <tr>
                <th class="py-1 font-medium">Figure</th>
                <th class="text-right font-medium">ours</th>
                <th class="pl-3 text-right font-medium">give or take</th>
                <th class="pl-3 font-medium">yours</th>
                <th class="pl-3 font-medium">unit</th>
                <th class="hidden pl-3 font-medium md:table-cell">comes from</th>
              </tr>
            </thead>
            <tbody>
              {#each group.rows as row (row.key)}
                <tr class="border-t border-line">
                  <td class="py-1">{row.label}</td>
                  <td class="text-right">{plain(row.value)}</td>
                  <td class="pl-3 text-right">{row.sd === 0 ? '' : plain(row.sd)}</td>
                  <td class="pl-3">
                    <input
                      class="field w-24 text-right"
                      inputmode="decimal"
                      aria-label="Yours: {row.label}"
                      value={row.own ?? ''}
                      disabled={busy}
                      aria-invalid={faults[row.key] ? 'true' : undefined}
                      onchange={(e) => void keep(row, e.currentTarget.value)}
                    />
                    {#if faults[row.key]}
                      <span class="block text-act" role="alert">{faults[row.key]}</span>
                    {/if}
                  </td>
                  <td class="quiet pl-3">{row.unit}</td>
                  <td class="quiet hidden pl-3 md:table-cell">{row.source}</td>
                </tr>
              {/each}
            </tbody>
          </table>
        </div>
      {/if}
    </details>
  {/each}
</div>
