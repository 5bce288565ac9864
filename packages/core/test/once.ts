/**
 * What is worked out for several checks is worked out once, and not before the first of them.
 *
 * @example once(() => slow())() // and no slower the second time
 */
export function once<T>(work: () => T): () => T {
  let known: { readonly of: T } | undefined;
  return () => (known ??= { of: work() }).of;
}
