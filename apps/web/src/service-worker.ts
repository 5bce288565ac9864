/// <reference types="@sveltejs/kit" />
/// <reference lib="webworker" />
import { build, files, version } from '$service-worker';
import {
  askedBy,
  emptyPage,
  insteadOf,
  isKept,
  keptHeader,
  keptKey,
  offlinePage,
} from '$lib/away/kept.ts';

/**
 * Without the server: the program itself, and the pages that a kitchen needs then, as they were last. Wherever the
 * server answers, its answer is what is shown.
 */
const worker = globalThis as unknown as ServiceWorkerGlobalScope;

const shell = `shell-${version}`;
const pages = 'pages';
const own = new Set([...build, ...files]);
/** Longer than this nobody waits for a server that may be away, ms. */
const patience = 6000;
/** Pages are fetched to be kept no more often than this, ms; what is opened is kept as it is opened. */
const again = 600_000;

worker.addEventListener('install', (event) => {
  event.waitUntil(
    caches
      .open(shell)
      .then((cache) => cache.addAll([...own]))
      .then(() => worker.skipWaiting()),
  );
});

worker.addEventListener('activate', (event) => {
  event.waitUntil(
    (async () => {
      for (const name of await caches.keys())
        if (name !== shell && name !== pages) await caches.delete(name);
      // Pages of an older version name files that are gone.
      await caches.delete(pages);
      await worker.clients.claim();
    })(),
  );
});

/** Whether the server did not answer the last time. */
let isAway = false;

/** Tells every page whether what it shows came from the server. */
async function tell(away: boolean): Promise<void> {
  isAway = away;
  for (const client of await worker.clients.matchAll()) client.postMessage({ away });
}

const withPatience = (request: Request): Promise<Response> =>
  fetch(request, { signal: AbortSignal.timeout(patience) });

/** A kept answer, which says that it is one. */
function marked(known: Response): Response {
  const answer = new Response(known.body, known);
  answer.headers.set(keptHeader, 'yes');
  return answer;
}

/** The server's answer, and a copy of it; where it does not answer, the copy. */
async function fresh(request: Request, url: URL): Promise<Response> {
  const key = keptKey(url);
  const cache = await caches.open(pages);
  try {
    const answer = await withPatience(request);
    void tell(false);
    // Whoever is not let in any more keeps nothing of it.
    if (answer.status === 401 || answer.status === 403 || new URL(answer.url).pathname === '/pair')
      await caches.delete(pages);
    else if (answer.ok && isKept(url) && !url.searchParams.has('x-sveltekit-invalidated'))
      await cache.put(key, answer.clone());
    return answer;
  } catch (fault) {
    void tell(true);
    const instead = insteadOf(key);
    const known = (await cache.match(key)) ?? (instead && (await cache.match(instead)));
    if (known) return marked(known);
    if (request.mode === 'navigate')
      return new Response(offlinePage, {
        status: 503,
        headers: { 'content-type': 'text/html; charset=utf-8' },
      });
    throw fault;
  }
}

worker.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== worker.location.origin) return;
  if (own.has(url.pathname)) {
    event.respondWith(caches.match(url.pathname).then((known) => known ?? fetch(request)));
  } else if (
    request.mode === 'navigate' ||
    url.pathname.endsWith('/__data.json') ||
    url.pathname.startsWith('/api/v1/shown/')
  ) {
    event.respondWith(fresh(request, url));
  }
});

const keptAt = new Map<string, number>();

/** Fetches the pages that a kitchen needs: each as it is opened, and as it is gone to. */
async function keep(): Promise<void> {
  const asked = await fetch('/api/v1/kept').catch(() => undefined);
  if (!asked?.ok) return;
  const { paths } = (await asked.json()) as { paths: readonly string[] };
  const cache = await caches.open(pages);
  for (const path of [emptyPage, ...paths]) {
    if (Date.now() - (keptAt.get(path) ?? 0) < again) continue;
    const data = path === '/' ? '/__data.json' : `${path}/__data.json`;
    try {
      for (const address of path === emptyPage ? [path] : [path, data, askedBy(path)]) {
        if (address === undefined) continue;
        const answer = await fetch(address);
        if (answer.ok && !answer.redirected)
          await cache.put(keptKey(new URL(address, worker.location.origin)), answer);
      }
      keptAt.set(path, Date.now());
    } catch {
      return;
    }
  }
}

worker.addEventListener('message', (event: ExtendableMessageEvent) => {
  const { wanted } = event.data as { wanted?: 'pages' };
  if (wanted !== 'pages') return;
  // A page that was just opened has not heard how it came.
  event.source?.postMessage({ away: isAway });
  event.waitUntil(keep());
});
