import { riseForecast, isForecast, withPaces } from '../ferment/rise-doubt.ts';
import { starterDough } from '../starter/feeding-for.ts';
import { starterParts } from '../starter/starter-parts.ts';
import { ripeEnd } from '../ferment/ripe-end.ts';
import { riseUntil } from '../ferment/rise-until.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import type { Bread } from './bread.ts';
import type { Stretch } from './rise-span.ts';

/** A starter's build can be sown with so much of ripe starter, % of its flour. Common practice, no source. */
const seedWithin = [4, 50] as const;
/** Hours that a build is thought to take where nothing presses. Common practice, no source. */
const usualHours = 8;
/** Nobody feeds longer ahead, hours. */
const longestHours = 16;

/**
 * How long a starter's build may take: the seed is made fit for it, the less the later.
 *
 * @example starterHours(bread, linesOfItsStarter) // {least: 240, usual: 480, most: 840, doubt: .2}
 */
export function starterHours(bread: Bread, lines: readonly ResolvedLine[]): Stretch {
  const { flour, water, whole } = starterParts(lines);
  const dough = starterDough({ flour, water, whole, keep: 0, celsius: bread.room });
  const end = ripeEnd({ ...dough, liquid: true }, bread.model);
  const paced = withPaces(dough, bread.paces);
  const [latest = longestHours, soonest = longestHours] = seedWithin.map(
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
