import type { Belief } from '../belief/belief.ts';
import { paceKey } from '../ferment/leaven-key.ts';
import { riseModelIn } from '../ferment/rise-model.ts';
import { usualWarmth } from '../ferment/usual-warmth.ts';
import { pantryIn, type Household } from '../household/household.ts';
import { kindOfBag } from '../ingredient/bag.ts';
import type { Feeding } from '../starter/feeding.ts';
import { peaksTeach } from '../starter/peaks-teach.ts';

/** Older peaks say little of what a starter is today. Own choice, no source. */
const mostPeaks = 12;

/**
 * A belief with what was seen of the jars themselves: what a bake wrote down of them the book has learned already.
 *
 * @param feedings by starter, the latest first
 * @returns the same belief where nobody saw a jar rise
 * @example withJars(belief, household, {}) === belief // true
 */
export function withJars(
  belief: Belief,
  household: Household,
  feedings: Readonly<Record<string, readonly Feeding[]>>,
): Belief {
  const jars = household.bags.filter((b) => kindOfBag(b) === 'starter');
  const inUse = jars.filter((b) => !b.finished);
  const pantry = pantryIn(household);
  const model = riseModelIn(household);
  let paces = belief.paces;
  for (const { id, ingredient } of jars) {
    const whole = pantry.ingredient(ingredient).whole ?? 0;
    const kitchen = household.room.celsius ?? usualWarmth.air;
    const seen = (feedings[id] ?? [])
      .filter((f) => f.bake === undefined && (f.peakAt ?? f.risingAt) !== undefined)
      .slice(0, mostPeaks)
      .reverse()
      .map((f) => ({ ...f, celsius: f.celsius ?? kitchen, whole }));
    if (seen.length === 0) continue;
    // A formula that names no jar means the only one.
    const own = inUse.length === 1 && inUse[0]!.id === id ? ['starter'] : [];
    for (const key of [`bag:${id}`, ...own].map((k) => `${paceKey}${k}`)) {
      const before = paces?.[key];
      const after = peaksTeach(before, seen, model);
      if (after && after !== before)
        paces = { ...paces, [key]: { ...after, rises: (before?.rises ?? 0) + seen.length } };
    }
  }
  return paces === belief.paces || !paces ? belief : { ...belief, paces };
}
