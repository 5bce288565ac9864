import { browser } from '$app/environment';
import { error, redirect } from '@sveltejs/kit';
import { outbox } from '../sync/here.ts';
import { pairAddress } from '../sync/pair-address.ts';
import { away } from './away.svelte.ts';
import { keptHeader } from './kept.ts';
import { shownText } from './shown-text.ts';

/** Longer than this nobody waits for a server that may be away, ms. */
const patienceMs = 6000;

/**
 * What a page shows: from the server, and where that does not answer, as this browser kept it when it was opened last.
 *
 * @param place under which the server has it: `bench/loaf`
 * @throws the kit's error where there is nothing of it anywhere
 */
export async function shown<T>(fetch: typeof globalThis.fetch, place: string): Promise<T> {
  const answer = await asked(fetch, place);
  if (answer?.ok) {
    const value = (await answer.json()) as T;
    if (browser && answer.headers.has(keptHeader)) away.miss();
    else if (browser) {
      away.back();
      void keepShown(place, value);
    }
    return value;
  }
  if (answer && answer.status < 500) {
    const { title = '', code } = (await answer.json().catch(() => ({}))) as {
      title?: string;
      code?: string;
    };
    if (answer.status === 401 && browser)
      redirect(303, pairAddress(code === 'forgotten' ? 'forgotten' : 'closed', location.pathname));
    error(answer.status as 404, title);
  }
  const kept = browser ? await outbox().keep.readText(shownText(place)) : undefined;
  if (kept !== undefined) {
    away.miss();
    return kept as T;
  }
  error(503, 'The server does not answer, and this page is not on this device yet.');
}

/** So many pages a browser keeps at most, the last ones that were opened. */
const most = 60;

async function keepShown(place: string, value: unknown): Promise<void> {
  const { keep } = outbox();
  await keep.keepText(shownText(place), value);
  await keep.thinTexts(shownText(''), most);
}

/** The server's answer; none where it gave none. */
async function asked(fetch: typeof globalThis.fetch, place: string): Promise<Response | undefined> {
  try {
    return await fetch(
      `/api/v1/shown/${place}`,
      browser ? { signal: AbortSignal.timeout(patienceMs) } : {},
    );
  } catch (fault) {
    if (!browser) throw fault;
    return undefined;
  }
}
