<script lang="ts">
  import Either from '../ui/Either.svelte';
  import { say } from '../ui/writing.ts';
  import type { Rescuing } from './rescuing.svelte.ts';

  let { rescue }: { rescue: Rescuing } = $props();
</script>

<div class="flex flex-wrap gap-4">
  <Either
    label="Where it is"
    size="large"
    value={rescue.over.where}
    choices={[
      ['bowl', 'in its bowl'],
      ['shaped', 'shaped'],
    ]}
    onpick={(where) => (rescue.over = { ...rescue.over, where })}
  />
  <Either
    label="Its leaven"
    size="large"
    value={rescue.over.leaven}
    choices={[
      ['yeast', 'yeast'],
      ['starter', 'starter'],
    ]}
    onpick={(leaven) => (rescue.over = { ...rescue.over, leaven })}
  />
  <Either
    label="It looks"
    size="large"
    value={rescue.over.looks}
    choices={[
      ['puffy', 'very puffy'],
      ['fallen', 'fallen in'],
      ['liquid', 'liquid'],
    ]}
    onpick={(looks) => (rescue.over = { ...rescue.over, looks })}
  />
  <Either
    label="It smells"
    size="large"
    value={rescue.over.smells}
    choices={[
      ['mild', 'mild'],
      ['of beer', 'of beer'],
      ['sharp', 'sharp, of vinegar'],
    ]}
    onpick={(smells) => (rescue.over = { ...rescue.over, smells })}
  />
</div>
<ol class="grid gap-3" aria-label="What can still be saved" aria-live="polite">
  {#each rescue.view.saves as { id: way, says, why }, i (way)}
    <li class="bowl p-4">
      <p class={i === 0 ? 'text-2xl font-semibold' : 'text-lg'}>{say(says)}</p>
      <p class="quiet">{say(why)}</p>
    </li>
  {/each}
</ol>
