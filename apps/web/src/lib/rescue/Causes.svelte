<script lang="ts">
  import { likelihood, type Cause } from '@tender-crumb/core/rescue';
  import { say } from '../ui/writing.ts';

  let { causes }: { causes: readonly Cause[] } = $props();
</script>

<section aria-labelledby="causes">
  <h2 id="causes" class="text-lg">What probably happened</h2>
  <ul class="mt-1 grid gap-1.5">
    {#each causes.slice(0, 6) as { id, says, share } (id)}
      <li class="grid grid-cols-[6.5rem_minmax(0,1fr)] items-baseline gap-2">
        <span class="font-semibold">{likelihood(share)}</span>
        <span>
          {say(says)}
          <span class="quiet">{Math.round(100 * share)} in 100</span>
        </span>
      </li>
    {/each}
  </ul>
</section>
