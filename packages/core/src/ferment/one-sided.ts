import { normalBelow, normalDensity } from '../quantity/normal.ts';

/**
 * What “not yet” and “past already” make of a normal: how many spreads its middle moves, and what part of its variance goes.
 * Source: moments of the truncated normal, Johnson, Kotz & Balakrishnan, Continuous Univariate Distributions, chapter 13,
 * from memory.
 *
 * @param off where it was cut off, in spreads from its middle
 * @example oneSided(-9, 'not-yet').lift // 0: nobody thought that it could be so soon
 */
export function oneSided(
  off: number,
  sense: 'not-yet' | 'past',
): { readonly lift: number; readonly shrink: number } {
  const side = sense === 'not-yet' ? 1 : -1;
  const cut = side * off;
  const left = 1 - normalBelow(cut);
  // Far past what was thought possible, the line itself is the best guess.
  const lift = left > 1e-9 ? normalDensity(cut) / left : cut;
  return { lift: side * lift, shrink: Math.min(1, Math.max(0, lift * (lift - cut))) };
}
