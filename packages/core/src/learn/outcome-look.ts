import { sideOf, judgements, type Outcome } from '../bake/outcome.ts';
import { departureKey, type Belief } from '../belief/belief.ts';

/** So many judged loaves of a bread are remembered, the newest: habits change. Own choice, no source. */
const remembered = 60;

/**
 * What a judged loaf teaches of where its bread is right: how it came out against where its dough was last felt. The
 * bread is the one in view.
 *
 * @param felt points at the last touch, rested
 * @param key under which its bread is kept
 * @returns the same belief where nobody judged, or nobody felt
 * @example learnFromOutcome(nothingLearned, {stars: 5, words: [], note: ''}, 6).windows.departure.length // 1
 */
export function learnFromOutcome(
  belief: Belief,
  outcome: Outcome | undefined,
  felt: number | undefined,
  key: string = departureKey,
): Belief {
  const stars =
    outcome?.stars ?? (outcome?.words.includes('just right') ? judgements.length : undefined);
  if (outcome === undefined || stars === undefined || felt === undefined) return belief;
  const side = sideOf(outcome.words);
  const looks = belief.windows?.[key] ?? [];
  return {
    ...belief,
    windows: {
      ...belief.windows,
      [key]: [
        ...looks.slice(-(remembered - 1)),
        { points: felt, stars, ...(side ? { side } : {}) },
      ],
    },
  };
}
