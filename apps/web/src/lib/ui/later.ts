/** Longer than this nothing is put off, ms: a page that is never idle is served all the same. */
const latest = 4000;

/** Does something once the page has nothing else to do. */
export const idle = (then: () => void): void =>
  void (globalThis.requestIdleCallback
    ? globalThis.requestIdleCallback(then, { timeout: latest })
    : setTimeout(then, latest / 2));

/**
 * A part of the page that is not shown at once: loaded when it is asked for, and fetched before that while nothing else
 * is, so that it is there when the server is away.
 *
 * @param load as `() => import('./Part.svelte')`
 * @returns the same part however often it is asked for
 */
export function later<T>(load: () => Promise<T>): () => Promise<T> {
  let part: Promise<T> | undefined;
  const once = () =>
    (part ??= load().catch((fault: unknown) => {
      // The next one who asks tries again.
      part = undefined;
      throw fault;
    }));
  if ('document' in globalThis) idle(() => void once().catch(() => undefined));
  return once;
}
