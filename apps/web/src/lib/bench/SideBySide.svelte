<script lang="ts">
  import { compareFormulas, type Formula } from '@tender-crumb/core/formula';
  import type { Pantry } from '@tender-crumb/core/ingredient';
  import { styles } from '@tender-crumb/core/style';
  import { asMass } from '../ui/writing.ts';

  let {
    theirs,
    mine,
    theirTitle,
    mineTitle,
    pantry,
  }: {
    theirs: Formula;
    mine: Formula;
    /** Whose it is, and from when. */
    theirTitle: string;
    mineTitle: string;
    pantry: Pantry;
  } = $props();

  const compared = $derived(compareFormulas(theirs, mine, pantry));
  const differing = $derived(compared.lines.filter((l) => l.differs));
  const grams = (g: number | undefined) => (g === undefined ? '–' : asMass(g));
</script>

<table class="w-full" aria-label="The two versions side by side">
  <thead>
    <tr>
      <th class="text-left" scope="col"><span class="sr-only">What</span></th>
      <th scope="col">{theirTitle}</th>
      <th scope="col">{mineTitle}</th>
    </tr>
  </thead>
  <tbody>
    {#if compared.name}
      <tr><th scope="row">name</th><td>{compared.name[0]}</td><td>{compared.name[1]}</td></tr>
    {/if}
    {#if compared.style}
      <tr
        ><th scope="row">style</th><td>{styles[theirs.style].name}</td><td
          >{styles[mine.style].name}</td
        ></tr
      >
    {/if}
    {#each differing as line (line.key)}
      <tr>
        <th scope="row"
          >{line.name}{#if line.stage}<span class="quiet">, {line.stage.toLowerCase()}</span
            >{/if}</th
        >
        <td class="grams">{grams(line.one)}</td>
        <td class="grams">{grams(line.other)}</td>
      </tr>
    {:else}
      {#if !compared.name && !compared.style}
        <tr
          ><td colspan="3"
            >The lines are the same; they differ in a note, a correction or the portions.</td
          ></tr
        >
      {/if}
    {/each}
  </tbody>
  {#if compared.same > 0}
    <tfoot>
      <tr
        ><td colspan="3" class="quiet"
          >{compared.same} {compared.same === 1 ? 'line is' : 'lines are'} the same in both.</td
        ></tr
      >
    </tfoot>
  {/if}
</table>

<style>
  th,
  td {
    padding: 0.3rem 0.6rem;
    border-bottom: 1px solid var(--line);
    text-align: left;
    vertical-align: baseline;
    overflow-wrap: anywhere;
  }
  thead th {
    font-size: 0.9rem;
    border-bottom: 3px solid var(--rim);
  }
  thead th:not(:first-child),
  td.grams {
    text-align: right;
    font-variant-numeric: tabular-nums;
  }
  td.grams {
    font-weight: 650;
    white-space: nowrap;
  }
  tbody th {
    font-weight: 500;
  }
</style>
