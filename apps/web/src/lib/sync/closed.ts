import { unpairedHeard } from './api.ts';
import { shownText } from '../away/shown-text.ts';
import { outbox } from './here.ts';
import { pairAddress } from './pair-address.ts';

/** What this browser keeps of pages for when the server is away. */
export async function dropKeptPages(): Promise<void> {
  await outbox().keep.dropTexts(shownText(''));
  // Whole pages; not there on plain http.
  if ('caches' in globalThis) await caches.delete('pages');
}

/**
 * Closes a page whose device is not let in any more, once that is heard: what a kitchen showed is gone from the screen
 * and from what the browser keeps. What was tapped and not sent stays until the code was entered, or until the baker of a
 * forgotten device has decided.
 */
export function closeWhereUnpaired(): () => void {
  const box = outbox();
  let heard: 'forgotten' | 'closed' | undefined;
  let closing = false;
  const close = () => {
    // What is being kept just now is kept first.
    if (!heard || closing || box.standing.keeping > 0 || location.pathname === '/pair') return;
    closing = true;
    const to = pairAddress(heard, location.pathname + location.search);
    void dropKeptPages().finally(() => location.assign(to));
  };
  const hear = (why: 'forgotten' | 'closed') => {
    heard = why;
    close();
  };
  unpairedHeard.add(hear);
  const end = box.subscribe(close);
  return () => {
    unpairedHeard.delete(hear);
    end();
  };
}
