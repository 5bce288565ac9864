<script lang="ts">
  import { page } from '$app/state';
</script>

<svelte:head><title>Not here · Tender Crumb</title></svelte:head>
<section class="bowl mx-auto mt-10 max-w-xl p-6">
  <h1>{page.status === 404 ? 'Not on the shelf' : 'That did not work'}</h1>
  <p class="mt-2">{page.error?.message}</p>
  <p class="mt-4"><a class="link" href="/">Back to the Shelf</a></p>
</section>
