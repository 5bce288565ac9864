import { pouredWater } from '../formula/poured-water.ts';
import { roundAway } from '../quantity/number.ts';
import { absorptionKeyOf } from '../dough/linear-form.ts';
import { stateAt } from '../dough/state.ts';
import { earned } from '../belief/certainty-earned.ts';
import { fillKeyBy, placeOf } from '../belief/belief.ts';
import { ownPoints } from '../dough/own-points.ts';
import { filledByHabit } from '../dough/parameter.ts';
import { sumGrams } from '../quantity/sum-grams.ts';
import { level as levelOf } from '../dough/level.ts';
import { thickenerOf, thickeningGrams, type Thickener } from '../dough/thickener.ts';
import { judgedAs } from '../dough/window.ts';
import { calledFor } from './aims.ts';
import { makeCorrection, type Correction, type CorrectionContext } from './correction.ts';

/** Step to which a correction is rounded, away from zero: a gram, or a tenth in a very small dough. */
const step = (baseGrams: number): number => (baseGrams < 50 ? 0.1 : 1);

/** What the level rests on, for the baker: the bakes of its main flour, or the catalogue. */
function levelBasis(context: CorrectionContext): Pick<Correction, 'basis' | 'restsOn'> {
  const { looks } = context;
  const main = thickenerOf(context.lines)?.line;
  const key = main && absorptionKeyOf(main);
  const bakes = (key !== undefined && context.kitchen.belief.bakes[key]) || 0;
  const of = looks === 0 ? '' : ` and ${looks} ${looks === 1 ? 'loaf' : 'loaves'} of yours`;
  return {
    basis: `${absorptionBasis(bakes)}${of}`,
    ...(key !== undefined && bakes > 0 ? { restsOn: key } : {}),
  };
}

function absorptionBasis(bakes: number): string {
  if (bakes === 0) return 'what these flours usually absorb';
  return bakes === 1 ? 'what your last bake taught' : `your last ${bakes} bakes with this flour`;
}

/**
 * The least water, added or held back, that brings the middle of the bubble into the window.
 * Where the formula is too loose and pours too little water to hold back, flour is added instead:
 * it drinks only about .6 g a gram, so that it takes more.
 *
 * @returns undefined inside the window
 * @example fresh-milled 480 with the water for 440: +19 g
 */
export function waterCorrection(context: CorrectionContext): Correction | undefined {
  const { level, aims, lines } = context;
  const called = calledFor(level.points, level.sd, aims);
  if (!called) return undefined;
  const { off } = called;
  const grams = roundAway((-off * level.baseGrams) / 100, step(level.baseGrams));
  const certainty = noSurerThanCups(earned(context.kitchen.belief, called.certainty), context);
  const basis = levelBasis(context);
  const state = stateAt(level.points, judgedAs(context.formula.style, context.totals));
  const drinker = mainDrinker(context);

  if (grams > 0) {
    return makeCorrection(context, {
      kind: 'water',
      reason: `So much ${drinker} makes the dough ${state.says}.`,
      ...basis,
      certainty,
      ifLeft: 'A tight dough rises less, tears when shaped and bakes dense.',
      changes: [{ stage: context.stage, ingredient: 'water', grams }],
    });
  }

  const spare = pouredWater(lines, context.stage);
  if (spare >= -grams) {
    return makeCorrection(context, {
      kind: 'water',
      reason: `As written, the dough is ${state.says}.`,
      ...basis,
      certainty,
      ifLeft: 'A loose dough spreads instead of rising, and sticks.',
      changes: [{ stage: context.stage, ingredient: 'water', grams }],
    });
  }

  const thickener = thickenerOf(lines);
  if (!thickener) return undefined;
  const { line } = thickener;
  const more = roundAway(
    thickenedTo(level.points - off, thickener, context),
    step(level.baseGrams),
  );
  // What drinks nothing stiffens nothing.
  if (!(more > 0 && Number.isFinite(more))) return undefined;
  return makeCorrection(context, {
    kind: 'flour',
    reason: `As written, the dough is ${state.says}. There is no water to hold back.`,
    ...basis,
    certainty,
    ifLeft: 'A loose dough spreads instead of rising, and sticks.',
    changes: [{ stage: line.stage, ingredient: line.ingredient, grams: more }],
  });
}

/** More of it thins the fat out, which then softens more: so often it is looked at again. */
const looks = 4;

/** Grams of what stiffens the dough that bring it to a level, that of a bread's own departure left in it. */
function thickenedTo(
  to: number,
  { line, absorption, joins }: Thickener,
  { lines, level, kitchen }: CorrectionContext,
): number {
  const own = ownPoints(kitchen);
  const drinks = level.account.entries.find((e) => e.line === line.id)?.absorption ?? absorption;
  let [grams, points, base] = [0, level.points, level.baseGrams];
  for (let look = 0; look < looks && points > to + 1e-9; look += 1) {
    grams += thickeningGrams(points - own, to - own, base, { absorption: drinks, joins });
    if (!(grams > 0 && Number.isFinite(grams))) return grams;
    const at = levelOf(
      lines.map((l) => (l.id === line.id ? { ...l, grams: l.grams + grams } : l)),
      kitchen,
    )!;
    points = at.points;
    base = at.baseGrams;
  }
  return grams;
}

/** What is filled by cups that nobody weighed is never surer than this. Own choice. */
const surestByCup = 0.8;

/** Chance that a correction is called for, where cups fill the bowl. */
function noSurerThanCups(chance: number, { lines, totals, kitchen }: CorrectionContext): number {
  const byCup = sumGrams(lines.filter((l) => filledByHabit(l, kitchen)));
  const known = placeOf(kitchen.belief, fillKeyBy(kitchen.baker)) !== undefined;
  return !known && byCup > totals.flourGrams / 2 ? Math.min(chance, surestByCup) : chance;
}

/** Name of what drinks most for its weight among the large drinkers: the one to blame. */
function mainDrinker({ level }: CorrectionContext): string {
  const large = level.account.entries.filter((e) => e.drinks > 0.15 * level.account.drinks);
  const worst = large.sort((a, b) => b.absorption - a.absorption)[0];
  return worst ? worst.of.name : 'flour';
}
