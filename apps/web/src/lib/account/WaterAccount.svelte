<script lang="ts">
  import { accountBars, type AccountSegment, type WaterAccount } from '@tender-crumb/core/dough';
  import { asMass } from '../ui/writing.ts';

  let {
    account,
    lit,
    called = (_, name) => name,
    onlight,
  }: {
    account: WaterAccount;
    /** The line that is pointed at, here or in the sheet. */
    lit: string | undefined;
    /** What a line is called where its name alone would not tell it: the starter's water from the dough's. */
    called?: (line: string, name: string) => string;
    onlight: (line: string | undefined) => void;
  } = $props();

  const bars = $derived(accountBars(account));
  /** Share of the bar below which a label would only be a stump; the line still lights up. */
  const leastLabelled = 0.1;
  const words = { brings: 'adds', softens: 'softens like', drinks: 'absorbs' } as const;
</script>

{#snippet bar(name: string, grams: number, segments: readonly AccountSegment[])}
  <div class="row">
    <span class="name">{name} <b>{asMass(grams)}</b></span>
    <div class="bar" role="list" aria-label="{name} {asMass(grams)} of water">
      {#each segments as s (s.kind + s.line)}
        <span
          role="listitem"
          class="segment"
          class:lit={lit === s.line}
          class:dim={lit !== undefined && lit !== s.line}
          style:left="{s.from * 100}%"
          style:width="{(s.to - s.from) * 100}%"
          data-role={s.kind === 'softens' ? 'fat' : s.role}
          title="{called(s.line, s.name)} {words[s.kind]} {asMass(s.grams)}{s.kind === 'softens'
            ? ' of water'
            : ''}"
          onpointerenter={() => onlight(s.line)}
          onpointerleave={() => onlight(undefined)}
        >
          <span class={s.to - s.from > leastLabelled ? 'label' : 'sr-only'}>
            <span class="what">{called(s.line, s.name)}</span>
            <b>{asMass(s.grams)}</b><span class="sr-only"> {words[s.kind]}</span>
          </span>
        </span>
      {/each}
    </div>
  </div>
{/snippet}

<div class="account">
  {@render bar('Adds', account.brings + account.softens, bars.brings)}
  {@render bar('Absorbs', account.drinks, bars.drinks)}
</div>

<style>
  .account {
    display: grid;
    gap: 0.3rem;
  }
  .row {
    display: grid;
    grid-template-columns: 7.5rem 1fr;
    align-items: center;
  }
  .name {
    font-size: 0.875rem;
    color: var(--soft);
  }
  .name b {
    color: var(--ink);
    font-weight: 650;
  }
  .bar {
    position: relative;
    height: 1.7rem;
    background: var(--sunk);
    border-radius: 2px 2px 8px 8px;
    overflow: hidden;
  }
  .segment {
    position: absolute;
    inset-block: 0;
    border-right: 1.5px solid var(--enamel);
    overflow: hidden;
    transition:
      left 160ms ease-out,
      width 160ms ease-out;
  }
  .segment.lit {
    box-shadow: inset 0 0 0 3px var(--ink);
  }
  .segment.dim {
    background-color: color-mix(in oklab, var(--base), var(--enamel) 60%);
  }
  .label {
    position: absolute;
    inset: 0.18rem auto 0.18rem 0.25rem;
    padding: 0 0.35rem;
    display: flex;
    gap: 0.35rem;
    max-width: calc(100% - 0.5rem);
    overflow: hidden;
    border-radius: 3px;
    background: color-mix(in oklab, var(--enamel), transparent 8%);
    font-size: 0.75rem;
    line-height: 1.35rem;
    white-space: nowrap;
  }
  /* A long name gives way, its grams do not. */
  .what {
    min-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .label b {
    flex: none;
    font-weight: 650;
  }
  @media (max-width: 640px) {
    .row {
      grid-template-columns: 1fr;
    }
  }
</style>
