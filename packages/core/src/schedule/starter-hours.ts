import { riseForecast, isForecast, withPaces } from '../ferment/rise-doubt.ts';
import { starterDough } from '../starter/feeding-for.ts';
import { builtDough } from '../starter/own-build.ts';
import { starterParts } from '../starter/starter-parts.ts';
import { ripeEnd } from '../ferment/ripe-end.ts';
import { riseUntil } from '../ferment/rise-until.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import type { Bread } from './bread.ts';
import { keepsFor, riseSpan, type Stretch } from './rise-span.ts';

/** A starter's build can be sown with so much of ripe starter, % of its flour. Common practice, no source. */
const seedWithin = [4, 50] as const;
/** Hours that a build is thought to take where nothing presses. Common practice, no source. */
const usualHours = 8;
/** Nobody feeds longer ahead, hours. */
const longestHours = 16;

/** A seed that is weighed to a fifth of itself, in steps of the scale. Own choice, no source. */
const seedSteps = 5;

/**
 * The least ripe starter that a household's scale weighs for a build, % of its flour.
 *
 * @param flour of the build, grams
 * @example leastSeed(50, 1) // 5: 5 g of starter, half of it flour
 */
export const leastSeed = (flour: number, scaleStep: number): number =>
  Math.min(seedWithin[1], Math.max(seedWithin[0], (100 * seedSteps * scaleStep) / 2 / flour));

/** How long a build by its recipe's own proportions takes; undefined where it never ripens. */
function ownHours(
  { room: celsius, paces, model }: Bread,
  lines: readonly ResolvedLine[],
  seed: number,
): Stretch | undefined {
  const dough = builtDough({ ...starterParts(lines), keep: 0, celsius, seed });
  const end = ripeEnd({ ...dough, liquid: true }, model);
  const told = riseSpan(
    { dough, end, forecast: riseForecast(dough, end, paces, model) },
    paces,
    model,
  );
  const keeps = Math.round(60 * keepsFor(dough, end, longestHours, paces, model));
  return told && { ...told, most: Math.max(told.usual, keeps) };
}

/**
 * How long a starter's build may take: by its recipe's own proportions, or the seed is made fit for it, the less the later.
 *
 * @param seed of its recipe's own build; none where it is made fit
 * @example starterHours(bread, linesOfItsStarter) // {least: 240, usual: 480, most: 840, doubt: .2}
 */
export function starterHours(bread: Bread, lines: readonly ResolvedLine[], seed?: number): Stretch {
  const own = seed === undefined ? undefined : ownHours(bread, lines, seed);
  if (own) return own;
  const { flour, water, whole } = starterParts(lines);
  const dough = starterDough({ flour, water, whole, keep: 0, celsius: bread.room });
  const end = ripeEnd({ ...dough, liquid: true }, bread.model);
  const paced = withPaces(dough, bread.paces);
  const within = [leastSeed(flour, bread.scaleStep ?? 1), seedWithin[1]];
  const [latest = longestHours, soonest = longestHours] = within.map(
    (starter) => riseUntil({ ...paced, starter }, end, bread.model, longestHours).hours,
  );
  const usual = Math.min(latest, Math.max(soonest, usualHours));
  const forecast = riseForecast({ ...dough, starter: 15 }, end, bread.paces, bread.model);
  return {
    least: Math.round(60 * soonest),
    usual: Math.round(60 * usual),
    most: Math.round(60 * latest),
    doubt: isForecast(forecast) ? forecast.sd : 0.25,
  };
}

/** A starter that was left to itself takes so many times as long as a ripe one, and may stand on overnight. Common practice, no source. */
const waking = { times: 1.5, spread: 0.35, most: 14 } as const;
/** Fed with as much flour as there is of it: a third of its flour is its own. */
const wakingSeed = 33;

/**
 * How long a feeding takes that wakes a starter, equal parts of starter, flour and water.
 *
 * @example wakingHours(bread).usual // about 450 at 22 °C
 */
export function wakingHours({ room: celsius, paces, model }: Bread): Stretch {
  const dough = {
    ...starterDough({ flour: 30, water: 30, whole: 0, keep: 0, celsius }),
    starter: wakingSeed,
  };
  const end = ripeEnd({ ...dough, liquid: true }, model);
  const ripe = riseUntil(withPaces(dough, paces), end, model, waking.most).hours ?? waking.most;
  const usual = Math.min(waking.most, ripe * waking.times);
  return {
    least: Math.round(60 * ripe),
    usual: Math.round(60 * usual),
    most: Math.round(60 * Math.max(usual, waking.most)),
    doubt: waking.spread,
  };
}
