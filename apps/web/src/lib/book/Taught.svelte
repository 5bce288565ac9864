<script lang="ts">
  import type { Household } from '@tender-crumb/core/household';
  import { taughtFigures, type Lesson } from '@tender-crumb/core/learn';

  let { lesson, household }: { lesson: Lesson | undefined; household: Household } = $props();

  const shown = 5;
  const rows = $derived(lesson ? taughtFigures(lesson, household, shown) : []);
</script>

{#if lesson}
  <section class="bowl grid content-start gap-1 p-4" aria-labelledby="taught">
    <h2 id="taught">What it taught</h2>
    {#if rows.length === 0}
      <p class="quiet">
        {lesson.aside
          ? 'Nothing: it is set aside.'
          : lesson.taught.length > 0
            ? 'As forecast. Everything is a little surer now.'
            : 'Nothing: the dough was not felt.'}
      </p>
    {:else}
      <ul class="grid gap-1">
        {#each rows as row (row.key)}
          <li>
            {row.says}: <b>{row.text(row.after)}</b>
            <span class="quiet">was {row.text(row.before)}</span>
          </li>
        {/each}
      </ul>
      <p><a class="link touch" href="/book/learned">All that the book learned</a></p>
    {/if}
  </section>
{/if}
