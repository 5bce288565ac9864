/** Draws that a seed decides. */
export interface Chance {
  /** Even, 0 to below 1. */
  uniform(): number;
  /** Standard normal. */
  normal(): number;
}

/**
 * Seeded draws. Source: mulberry32, public domain; normals by Box and Muller.
 *
 * @example seeded(1).uniform() === seeded(1).uniform() // true
 */
export function seeded(seed: number): Chance {
  let state = seed >>> 0;
  const uniform = (): number => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  const normal = (): number =>
    Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
  return { uniform, normal };
}
