<script lang="ts">
  import DoughLooks from '../drawing/DoughLooks.svelte';
  import Either from '../ui/Either.svelte';
  import { say } from '../ui/writing.ts';
  import Causes from './Causes.svelte';
  import type { Rescuing } from './rescuing.svelte.ts';

  let { rescue }: { rescue: Rescuing } = $props();
</script>

<section aria-labelledby="looks">
  <h2 id="looks" class="text-lg">How does it look and feel?</h2>
  <div class="mt-2">
    <DoughLooks
      style={rescue.style}
      kind="ball"
      at={rescue.felt}
      onpick={(points) => (rescue.felt = points)}
    />
  </div>
  <div class="mt-3">
    <Either
      label="When"
      size="large"
      value={rescue.rested ? 'rested' : 'mixed'}
      choices={[
        ['mixed', 'just mixed'],
        ['rested', 'it has rested 20 minutes'],
      ]}
      onpick={(when) => (rescue.rested = when === 'rested')}
    />
  </div>
</section>
{#if rescue.view.dough}
  <section class="bowl grid gap-3 p-4" aria-live="polite" aria-label="What to do now">
    <p class="text-2xl font-semibold first-letter:uppercase">
      {say(rescue.view.dough.advice.says)}
    </p>
    {#if rescue.view.dough.wait}<p class="text-lg">{say(rescue.view.dough.wait)}</p>{/if}
    {#if rescue.view.dough.causes.length > 0}<Causes causes={rescue.view.dough.causes} />{/if}
  </section>
{/if}
