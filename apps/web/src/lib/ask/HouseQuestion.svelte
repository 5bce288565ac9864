<script lang="ts">
  import { hasSettled, type Household, type HouseQuestionId } from '@tender-crumb/core/household';
  import { sync } from '../sync/sync.svelte.ts';
  import { later } from '../ui/later.ts';
  import type { HouseAnswer } from './house-questions.ts';

  /** Something that the kitchen has not said of itself yet, asked where it is needed for the first time. */
  let {
    of,
    household,
    ...rest
  }: {
    of: HouseQuestionId;
    household: Household;
    /** `large` is for floury hands. */
    size?: 'small' | 'large';
    onanswer?: (answer: HouseAnswer) => void;
  } = $props();

  const part = later(() => import('./HouseAsked.svelte'));
</script>

{#if !hasSettled(of, sync.settled(household))}
  {#await part() then { default: HouseAsked }}<HouseAsked {of} {household} {...rest} />{/await}
{/if}
