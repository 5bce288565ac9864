import { departureKey, type Belief } from '../belief/belief.ts';
import { earned, scored, type SaidWord } from '../belief/certainty-earned.ts';
import { feelOf } from '../belief/hands.ts';
import type { Kitchen } from '../belief/kitchen.ts';
import { calledFor } from '../correct/aims.ts';
import { certaintyWords } from '../correct/certainty.ts';
import { level, type Level } from '../dough/level.ts';
import { minded } from '../dough/past-touch.ts';
import { windowIn } from '../dough/own-window.ts';
import type { Formula } from '../formula/formula.ts';
import { resolve } from '../formula/resolve.ts';
import type { Pantry } from '../ingredient/pantry.ts';
import { normalBelow } from '../quantity/normal.ts';

/** Corrections of the level: those that a touch can find right or wrong. */
const ofLevel = /^(?:water|flour):/;

/** A window is worked out anew with each loaf: of a bread that was judged more often the latest say enough. Own choice. */
const mostLooks = 16;

function withLatest(kitchen: Kitchen): Kitchen {
  const looks = kitchen.belief.windows?.[departureKey];
  if (!looks || looks.length <= mostLooks) return kitchen;
  const windows = { [departureKey]: looks.slice(-mostLooks) };
  return { ...kitchen, belief: { ...kitchen.belief, windows } };
}

/** The formula as it would be if no correction of its level had been taken. */
const asWritten = (formula: Formula): Formula => ({
  ...formula,
  taken: formula.taken.filter((t) => !ofLevel.test(t.correction)),
});

/**
 * Scores what was said of a formula's level against where its dough was felt, whether that was taken or left: the dough
 * as it would have been without is as far from its forecast as the one that was mixed.
 *
 * @param kitchen of the bread, as it was believed before the bake
 * @param seen the level as it was forecast, how far the dough stands on its dry base, and by how many points it was felt off
 *   the forecast of what was mixed
 * @returns the belief as it was where nothing was called for, or the bread was guessed
 */
export function scoreSaid(
  belief: Belief,
  formula: Formula,
  kitchen: Kitchen,
  pantry: Pantry,
  { forecast, dryness, off }: { forecast: Level; dryness: number; off: number },
): Belief {
  if (formula.styleGuessed) return belief;
  const taken = formula.taken.some((t) => ofLevel.test(t.correction));
  const at = taken ? level(resolve(asWritten(formula), pantry), kitchen) : forecast;
  if (!at) return belief;
  const { window, edge } = windowIn(formula.style, dryness, withLatest(kitchen));
  const called = calledFor(at.points, at.sd, [{ window, edge, probability: 1 }]);
  if (!called) return belief;
  const foreseen = normalBelow(
    Math.abs(minded(at.points, called.off)) / Math.hypot(at.sd, feelOf(kitchen)),
  );
  const felt = at.points + off;
  const right = called.off > 0 ? felt > window[1] : felt < window[0];
  const word = certaintyWords(earned(belief, called.certainty), kitchen.coefficients);
  return scored(
    belief,
    foreseen,
    right,
    word === 'as likely as not' ? undefined : (word as SaidWord),
  );
}
