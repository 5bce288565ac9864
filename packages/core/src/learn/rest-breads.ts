import { departureKey, rest, type Belief } from '../belief/belief.ts';

/**
 * So many figures are learned together, and where they get more, so many stay. Every bake costs as much as the square
 * of their number: 240 are 5,000 bakes in some 2 s. Own choice; a household has some twenty flours and bakes a dozen
 * breads by turns.
 */
const together = { most: 240, stay: 200 } as const;

/**
 * A belief in which breads that were seldom baked rest, where there are so many that they hold up every bake. Each goes
 * on from where it was left when it is baked again; what is lost is only what later bakes of other breads would have
 * said of it.
 *
 * @example restBreads(nothingLearned) === nothingLearned // true: there are few figures yet
 */
export function restBreads(belief: Belief): Belief {
  const { keys, bakes } = belief;
  if (keys.length <= together.most) return belief;
  const breads = keys.filter((key) => key.startsWith(`${departureKey}:`));
  // The sort is stable: of those baked as often, the one that came first.
  const seldom = breads.sort((a, b) => (bakes[a] ?? 0) - (bakes[b] ?? 0));
  return rest(belief, new Set(seldom.slice(0, keys.length - together.stay)));
}
