import { figure, fromMemory } from '../figure/figure.ts';

const ganzle = fromMemory('Gänzle, Ehmann & Hammes 1998, refit of the table');

/** µ = a x^b e^(−c x), x degrees below the warmest that it bears, 1/h in broth. */
const floras = {
  lactobacilli: {
    a: figure(0.1206, '1/h', 0.02, ganzle),
    b: figure(1.567, 'power', 0.1, ganzle),
    c: figure(0.1945, '1/K', 0.01, ganzle),
    most: figure(41, '°C', 0.5, ganzle),
  },
  yeast: {
    a: figure(0.0123, '1/h', 0.003, ganzle),
    b: figure(2.993, 'power', 0.2, ganzle),
    c: figure(0.3372, '1/K', 0.02, ganzle),
    most: figure(36, '°C', 0.5, ganzle),
  },
} as const;

type Flora = keyof typeof floras;

/**
 * Growth of a sourdough's flora in broth, 1/h; 0 above what it bears. In dough it is about half.
 *
 * @example sourdoughRate(27, 'yeast') // about .42
 */
export function sourdoughRate(celsius: number, of: Flora): number {
  const { a, b, c, most } = floras[of];
  const x = most.value - celsius;
  return x > 0 ? a.value * x ** b.value * Math.exp(-c.value * x) : 0;
}

/** Degrees below the warmest at which it grows fastest: b / c, where the slope is nought. */
const bestRate = Object.fromEntries(
  (Object.keys(floras) as Flora[]).map((of) => {
    const { b, c, most } = floras[of];
    return [of, sourdoughRate(most.value - b.value / c.value, of)];
  }),
) as Record<Flora, number>;

/**
 * The same as a share of its best.
 *
 * @example sourdoughShare(27, 'yeast') // 1, within a hundredth
 */
export const sourdoughShare = (celsius: number, of: Flora): number =>
  sourdoughRate(celsius, of) / bestRate[of];
