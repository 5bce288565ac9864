import { away } from '$lib/away/away.svelte.ts';
import { stays } from '$lib/away/stays.ts';

window.fetch = stays(
  window.fetch,
  () => new URL(location.href),
  () => away.miss(),
);
