/**
 * A value whose parts are worked out when they are first looked at, and once: what nobody looks at costs nothing.
 *
 * @param parts each from the whole, so that one part rests on others
 * @example lazily<{a: number; b: number}>({a: () => 2, b: (all) => all.a * 3}).b // 6
 */
export function lazily<T extends object>(parts: {
  readonly [K in keyof T]-?: (all: T) => T[K];
}): T {
  const all = {} as T;
  for (const key of Object.keys(parts) as Array<keyof T>) {
    let known: { readonly value: T[keyof T] } | undefined;
    Object.defineProperty(all, key, {
      enumerable: true,
      get: () => (known ??= { value: parts[key](all) }).value,
    });
  }
  return all;
}
