<script lang="ts">
  import {
    oldBakes,
    oldColumnIds,
    oldColumns,
    oldTable,
    type DateOrder,
    type OldColumn,
  } from '@tender-crumb/core/exchange';
  import { SvelteMap } from 'svelte/reactivity';
  import { deed } from '../sync/deeds.ts';
  import { refresh } from '../ui/refresh.ts';

  let { formulas }: { formulas: ReadonlyArray<{ readonly id: string; readonly name: string }> } =
    $props();

  let text = $state('');
  let columns = $state<OldColumn[]>([]);
  let order = $state<DateOrder>('day-first');
  const breads = new SvelteMap<string, string>();
  let sent = $state<number>();
  let said = $state('');
  let fault = $state('');

  const table = $derived(text === '' ? undefined : oldTable(text));
  const read = $derived(table && oldBakes(table, columns, order));
  const names = $derived([...new Set((read?.bakes ?? []).map((b) => b.bread))]);
  /** A bread of the same name is taken for it until somebody says otherwise. */
  const formulaOf = (name: string): string =>
    breads.get(name) ?? formulas.find((f) => f.name.toLowerCase() === name.toLowerCase())?.id ?? '';
  const largest = 20 * 1024 * 1024;
  const shown = 4;
  const atOnce = 200;

  async function pick(file: File | undefined) {
    said = '';
    fault = '';
    breads.clear();
    if (!file) return;
    if (file.size > largest) {
      fault = 'Larger than 20 MB: no table of bakes is.';
      return;
    }
    const content = await file.text();
    if (content.includes('\u0000')) {
      fault = 'Save the table as CSV first.';
      return;
    }
    const found = oldTable(content);
    if (found.rows.length === 0) {
      fault = 'There is no bake in this file.';
      return;
    }
    text = content;
    columns = [...found.guessed];
  }

  async function bring() {
    if (!read) return;
    fault = '';
    let came = 0;
    try {
      for (let at = 0; at < read.bakes.length; at += atOnce) {
        sent = at / read.bakes.length;
        const answer = await deed<{ came: number }>('old-bakes', {
          body: {
            bakes: read.bakes.slice(at, at + atOnce).map((b) => {
              const formulaId = formulaOf(b.bread);
              return { ...b, ...(formulaId === '' ? {} : { formulaId }) };
            }),
          },
        });
        came += answer.came;
      }
      said =
        came === 0
          ? 'All of them were here already.'
          : `${came} of ${read.bakes.length} came in; the others were here already.`;
      if (came === read.bakes.length) said = `${came} ${came === 1 ? 'bake' : 'bakes'} came in.`;
      text = '';
      await refresh();
    } catch (refusal) {
      fault = `${came} came in, then: ${(refusal as Error).message}`;
    } finally {
      sent = undefined;
    }
  }
</script>

<section class="bowl grid content-start gap-3 p-5" aria-labelledby="old-bakes" id="old">
  <h2 id="old-bakes" class="text-xl">Bakes from before</h2>
  <p>From your own table, as CSV, one bake a row. Room, bags and recipe are taken as today’s.</p>
  <p>
    <label class="knob min-h-11"
      >Pick the table
      <input
        class="sr-only"
        type="file"
        accept=".csv,.txt,text/csv,text/plain"
        onchange={(e) => {
          const [file] = e.currentTarget.files ?? [];
          e.currentTarget.value = '';
          void pick(file);
        }}
      /></label
    >
  </p>
  {#if table && read}
    <div class="overflow-x-auto rounded-md bg-sunk p-3">
      <table>
        <thead>
          <tr>
            {#each table.heads as head, i (i)}
              <th class="p-1 text-left align-bottom">
                {head}
                <select
                  class="field block font-normal"
                  aria-label="What “{head}” is"
                  bind:value={columns[i]}
                >
                  {#each oldColumnIds as id (id)}<option value={id}>{oldColumns[id].says}</option
                    >{/each}
                </select>
              </th>
            {/each}
          </tr>
        </thead>
        <tbody>
          {#each table.rows.slice(0, shown) as row, r (r)}
            <tr class="border-t border-line"
              >{#each { length: table.heads.length }, i}<td class="max-w-48 truncate p-1"
                  >{row[i] ?? ''}</td
                >{/each}</tr
            >
          {/each}
        </tbody>
      </table>
    </div>
    <fieldset class="flex flex-wrap gap-4">
      <legend class="quiet">In dates like 3/5/2026</legend>
      <label class="flex min-h-11 items-center gap-2"
        ><input type="radio" value="day-first" bind:group={order} /> the day comes first</label
      >
      <label class="flex min-h-11 items-center gap-2"
        ><input type="radio" value="month-first" bind:group={order} /> the month comes first</label
      >
    </fieldset>
    {#if names.length > 0 && names.length <= 40}
      <div class="grid gap-1">
        <p class="quiet">Which of your formulas each bread is; without one it teaches nothing.</p>
        {#each names as name (name)}
          <label class="flex flex-wrap items-center justify-between gap-2"
            >{name}
            <select
              class="field max-w-64"
              value={formulaOf(name)}
              onchange={(e) => breads.set(name, e.currentTarget.value)}
            >
              <option value="">none of them</option>
              {#each formulas as f (f.id)}<option value={f.id}>{f.name}</option>{/each}
            </select></label
          >
        {/each}
      </div>
    {/if}
    {#if read.faults.length > 0}
      <p role="alert" class="text-act">
        {read.faults.length}
        {read.faults.length === 1 ? 'row stays' : 'rows stay'} out: {read.faults
          .slice(0, 3)
          .map((f) => `row ${f.row}: ${f.says}`)
          .join('; ')}{read.faults.length > 3 ? ' …' : '.'}
      </p>
    {/if}
    <p class="flex flex-wrap gap-2">
      <button
        class="knob knob-act min-h-11"
        type="button"
        disabled={read.bakes.length === 0 || sent !== undefined}
        onclick={bring}
        >{sent === undefined
          ? `Bring ${read.bakes.length} ${read.bakes.length === 1 ? 'bake' : 'bakes'} along`
          : `${Math.round(100 * sent)} % …`}</button
      >
      <button class="knob min-h-11" type="button" onclick={() => (text = '')}>Leave it</button>
    </p>
  {/if}
  {#if said}<p role="status" class="font-semibold">{said}</p>{/if}
  {#if fault}<p role="alert" class="font-semibold text-act">{fault}</p>{/if}
</section>
