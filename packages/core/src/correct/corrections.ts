import { glutenCorrection } from './gluten.ts';
import { saltCorrection } from './salt.ts';
import type { Correction, CorrectionContext } from './correction.ts';
import type { PossibleStyle } from '../style/possible-style.ts';
import { waterCorrection } from './water.ts';
import { yeastAmountCorrection, yeastFoodCorrection, yeastKindCorrection } from './yeast.ts';

/** Every kind of correction that does not lean on the level, in a baker's order. */
const makers: ReadonlyArray<(context: CorrectionContext) => Correction | undefined> = [
  glutenCorrection,
  saltCorrection,
  yeastKindCorrection,
  yeastAmountCorrection,
  yeastFoodCorrection,
];

const isThere = <T>(it: T | undefined): it is T => it !== undefined;

const byMakers = (context: CorrectionContext): Correction[] =>
  makers.map((make) => make(context)).filter(isThere);

/** A style less likely than this is not asked. Own choice, no source. */
const leastAsked = 0.02;

/** No correction is surer than it is that the bread is one that asks for it. */
function asSureAsTheStyle(
  found: readonly Correction[],
  context: CorrectionContext,
  others: readonly PossibleStyle[],
): Correction[] {
  if (others.length === 0) return [...found];
  // Those that are next to impossible ask for what it asks for.
  const asked = others
    .filter((o) => o.probability >= leastAsked)
    .map(({ style, probability }) => ({
      probability,
      keys: new Set(
        byMakers({ ...context, formula: { ...context.formula, style } }).map((c) => c.key),
      ),
    }));
  const own = 1 - asked.reduce((sum, o) => sum + o.probability, 0);
  return found.map((c) => {
    const most = asked.reduce((sum, o) => sum + (o.keys.has(c.key) ? o.probability : 0), own);
    return c.certainty > most ? { ...c, certainty: most } : c;
  });
}

/**
 * All corrections that a formula calls for as it stands; those of the level only where it can be told.
 *
 * @param others breads that it may be as well, where its style is a guess
 */
export function corrections(
  context: CorrectionContext,
  levelKnown = true,
  others: readonly PossibleStyle[] = [],
): Correction[] {
  const water = levelKnown ? waterCorrection(context) : undefined;
  return [...(water ? [water] : []), ...asSureAsTheStyle(byMakers(context), context, others)];
}
