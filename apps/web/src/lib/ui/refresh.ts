import { invalidateAll } from '$app/navigation';
import { navigating } from '$app/state';
import { away } from '../away/away.svelte.ts';

/**
 * Fetches anew what the page shows. The kit drops a navigation that is under way when it is asked for
 * that, and with it the tap that began it: so that is waited for first.
 *
 * @returns whether the server answered; the page is as it was where it did not
 */
export async function refresh(): Promise<boolean> {
  do {
    // A navigation that has just been asked for is not announced before this turn is over.
    await new Promise((over) => setTimeout(over));
    await navigating.complete?.catch(() => undefined);
  } while (navigating.complete);
  const before = away.missed;
  await invalidateAll();
  return away.missed === before;
}
