/** Pages that open without the server: what a kitchen needs, and the book's first page. */
const places = /^\/(?:|bench(?:\/[^/]+)?|bake(?:\/[^/]+)?|book|pantry)(?:\/__data\.json)?\/?$/;
/** What those pages ask for. */
const asked = /^\/api\/v1\/shown\//;

/** Whether a page is kept for when the server is away. */
export const isKept = ({ pathname }: Pick<URL, 'pathname'>): boolean =>
  places.test(pathname) || asked.test(pathname) || pathname === '/__data.json';

/** The program without a page in it, and what every page of a bake or a bench has in common. */
export const emptyPage = '/bake/kept';
const commonData = '/bake/__data.json';

/**
 * Where to look for what was never kept: a bake that was begun while the server was away has a page too.
 *
 * @param key as from {@link keptKey}
 * @example insteadOf('/bake/x7') // '/bake/kept': the program, which makes the page of what the browser keeps
 * @example insteadOf('/book/x7') // undefined
 */
export function insteadOf(key: string): string | undefined {
  if (/^\/(?:bake|bench)\/[^/?]+$/.test(key)) return emptyPage;
  return /^\/(?:bake|bench)\/[^/?]+\/__data\.json$/.test(key) ? commonData : undefined;
}

/** Says on an answer that it is not the server’s, but what was kept of an earlier one. */
export const keptHeader = 'x-kept';

/**
 * What a page asks for besides itself; nothing where it has all that it shows.
 *
 * @example askedBy('/bench/loaf') // '/api/v1/shown/bench/loaf'
 */
export const askedBy = (path: string): string | undefined =>
  path === '/bake'
    ? '/api/v1/shown/day'
    : /^\/(?:bench|bake)\/./.test(path)
      ? `/api/v1/shown${path}`
      : undefined;

/**
 * Under what an answer is kept: its address, without what the program says of itself in it.
 *
 * @example keptKey(new URL('http://x/bake/__data.json?x-sveltekit-invalidated=01')) // '/bake/__data.json'
 */
export function keptKey(url: URL): string {
  const query = new URLSearchParams(url.search);
  query.delete('x-sveltekit-invalidated');
  query.delete('x-sveltekit-trailing-slash');
  const text = query.toString();
  return text === '' ? url.pathname : `${url.pathname}?${text}`;
}

/** What is said where a page was never opened here. */
export const offlinePage = `<!doctype html>
<html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<title>The server is away · Tender Crumb</title>
<style>body{font:1.1rem/1.5 system-ui,sans-serif;margin:0;padding:2rem;color-scheme:light dark;background:light-dark(#f3f6fa,#0c1424);color:light-dark(#13203a,#eaf0fc)}a{color:inherit;display:inline-block;padding:.7rem 0}</style>
<h1>The server is away</h1>
<p>This page was not opened on this device before, so that nothing of it is here. What was opened is: the shelf, its
formulas, and the bakes under way. What you tap there is kept, and sent when the server is back.</p>
<p><a href="/">The shelf</a><br><a href="/bake">Bake day</a></p>
</html>`;
