<script lang="ts">
  import type { SentenceLed } from '@tender-crumb/core/lead';
  import { say } from '../ui/writing.ts';

  let { sentences }: { sentences: readonly SentenceLed[] } = $props();

  const words = { followed: 'followed', changed: 'changed', 'not-used': 'not used' } as const;
  const count = (led: SentenceLed['led']) => sentences.filter((s) => s.led === led).length;
  const said = $derived(
    (['followed', 'changed', 'not-used'] as const)
      .filter((led) => count(led) > 0)
      .map((led) => `${count(led)} ${words[led]}`)
      .join(', '),
  );
</script>

<!-- The recipe's own words beside the plan: none of them is gone. -->
<details>
  <summary class="touch">Its recipe: {said}</summary>
  <ol class="mt-1 grid gap-1.5">
    {#each sentences as { says, led, why }, i (i)}
      <li data-led={led}>
        <span class="italic">“{says}”</span>
        <span class="block text-sm"
          ><b class:text-act={led === 'changed'} class:quiet={led === 'not-used'}>{words[led]}</b>
          {why ? say(why) : ''}</span
        >
      </li>
    {/each}
  </ol>
</details>
