import { invalidateAll } from '$app/navigation';
import { navigating } from '$app/state';

/**
 * Fetches anew what the page shows. The kit drops a navigation that is under way when it is asked for
 * that, and with it the tap that began it: so that is waited for first.
 */
export async function refresh(): Promise<void> {
  do {
    // A navigation that has just been asked for is not announced before this turn is over.
    await new Promise((over) => setTimeout(over));
    await navigating.complete?.catch(() => undefined);
  } while (navigating.complete);
  await invalidateAll();
}
