/** Uniform draws from 0 up to 1. The core has no chance of its own: whoever calls brings one. */
export type Random = () => number;

/**
 * A seeded generator (mulberry32), so that the same question has the same answer.
 *
 * @example seededRandom(9)() // always the same first draw
 */
export function seededRandom(seed: number): Random {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** Normal draws of mean 0 and standard deviation 1, in pairs. Source: Box and Muller 1958. */
export function normalDraws(random: Random): () => number {
  let spare: number | undefined;
  return () => {
    if (spare !== undefined) {
      const second = spare;
      spare = undefined;
      return second;
    }
    const radius = Math.sqrt(-2 * Math.log(1 - random()));
    const angle = 2 * Math.PI * random();
    spare = radius * Math.sin(angle);
    return radius * Math.cos(angle);
  };
}
