<script lang="ts">
  import { page } from '$app/state';

  const titles: Readonly<Record<number, string>> = {
    404: 'Not on the shelf',
    503: 'The kitchen cannot be opened right now',
    507: 'There is no room left',
  };
  const title = $derived(titles[page.status] ?? 'That did not work');
</script>

<svelte:head><title>{title} · Tender Crumb</title></svelte:head>
<section class="bowl mx-auto mt-10 max-w-xl p-6">
  <h1>{title}</h1>
  <p class="mt-2">{page.error?.message}</p>
  <p class="mt-4"><a class="link" href="/">Back to the Shelf</a></p>
</section>
