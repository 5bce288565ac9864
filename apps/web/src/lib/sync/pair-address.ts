/**
 * Where a device that is not let in goes, and what it is told there.
 *
 * @example pairAddress('forgotten', '/bench/loaf') // '/pair?to=%2Fbench%2Floaf&why=forgotten'
 */
export const pairAddress = (why: 'forgotten' | 'closed', to: string): string =>
  `/pair?${new URLSearchParams({ to, ...(why === 'forgotten' ? { why } : {}) })}`;
