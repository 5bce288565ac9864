import { keptHeader } from './kept.ts';

/** How the kit asks for what pages show, and says which of a page’s parts it wants anew. */
const dataSuffix = '/__data.json';
const wanted = 'x-sveltekit-invalidated';

/** An answer in the kit’s own form, a line of JSON. */
const answered = (value: object): Response =>
  new Response(`${JSON.stringify(value)}\n`, { headers: { 'content-type': 'application/json' } });

/** The path of the page that a data request is for; none for any other request. */
const pageOf = (url: URL): string | undefined =>
  url.pathname.endsWith(dataSuffix) ? url.pathname.slice(0, -dataSuffix.length) || '/' : undefined;

/**
 * A `fetch` with which the kit never leaves the page for a server that is away: left to itself, it then goes to
 * the page as a browser does, and where nothing answers, everything on the screen is lost to the browser’s own
 * message. Here the page under the eyes stays as it is (each part “as it was”), and a page that cannot be had
 * leads back to it. The kit reads `window.fetch` at each request so that it may be wrapped.
 *
 * @param real what asks the server
 * @param here the address that the browser is at
 * @param missed told when the server did not answer
 */
export const stays =
  (real: typeof fetch, here: () => URL, missed: () => void): typeof fetch =>
  async (input, init) => {
    const url = new URL(input instanceof Request ? input.url : input, here());
    const page = url.origin === here().origin ? pageOf(url) : undefined;
    if (page === undefined) return real(input, init);
    try {
      const answer = await real(input, init);
      if (answer.status < 500) {
        // Whole, before it counts: a server may die in the middle of it.
        const text = await answer.text();
        if (answer.headers.has(keptHeader)) missed();
        return new Response(text, answer);
      }
    } catch {
      // As a server that cannot serve.
    }
    missed();
    const at = here();
    if (page === at.pathname) {
      const parts = [...(url.searchParams.get(wanted) ?? '')];
      return answered({ type: 'data', nodes: parts.map(() => ({ type: 'skip' })) });
    }
    return answered({ type: 'redirect', location: `${at.pathname}${at.search}` });
  };
