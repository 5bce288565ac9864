import { restedFeel, stillToDrink } from '../hands/rested-feel.ts';
import { bakeState, type BakeState } from '../bake/state.ts';
import { mixedLines } from '../bake/mixed.ts';
import type { BakeEvent } from '../bake/event.ts';
import type { Coefficients } from '../coefficients/coefficients.ts';
import { withBaker } from '../household/baker.ts';
import { coefficientFor } from '../belief/learned-table.ts';
import { departure, departureKey, doubtOf, wake, type Belief } from '../belief/belief.ts';
import { feelOf, withTouch } from '../belief/hands.ts';
import { pantryIn, type Household } from '../household/household.ts';
import { beliefToday, kitchenOf } from '../belief/kitchen.ts';
import { level, type Level } from '../dough/level.ts';
import { baseOf, tableAbsorption } from '../formula/base.ts';
import type { Formula } from '../formula/formula.ts';
import { resolve, type ResolvedLine } from '../formula/resolve.ts';
import { absorptionKeyOf } from '../dough/linear-form.ts';
import { totals } from '../formula/totals.ts';
import { cannotTell } from '../dough/cannot-tell.ts';
import { bookKey, inView } from './for-bread.ts';
import { scoreSaid } from './score-said.ts';
import { levelMark, type LevelMark } from './level-mark.ts';
import { doubted, freshSack, mainFlour } from './sack.ts';
import { nothingWatched, watchSack } from './sack-watch.ts';
import { foreseenBy, slipSpread } from './slip.ts';
import { foreseenVariance, isOdd, learnFromTouches, type Touch } from './bowl.ts';
import { measuredBy, withMeasured, type Measured } from './measure.ts';
import type { DeviceId } from '../machine/device.ts';
import { deviceFor } from '../process/device-for.ts';
import { learnFromRises } from './rises.ts';
import { learnFromOutcome } from './outcome-look.ts';

/** What a bake taught about one figure. */
interface Taught {
  /** Under which the book keeps it; see learned-figures.ts. */
  readonly key: string;
  readonly ingredient?: string;
  readonly bag?: string;
  /** In the figure's own unit. */
  readonly before: { readonly value: number; readonly sd: number };
  readonly after: { readonly value: number; readonly sd: number };
}

/** What a bake taught. */
export interface Lesson {
  /** The formula's level as it was forecast before the bake. */
  readonly forecast: LevelMark;
  /** The dough as mixed, before it was felt: forecast with what was really weighed and added. */
  readonly mixed: LevelMark;
  /** Where it was felt to be, as it would feel after its rest. */
  readonly felt?: number;
  /** How far the dough stood on its dry base; none in lessons of the first version. */
  readonly dryness?: number;
  /** Grams added at the check. */
  readonly added: ReadonlyArray<{ readonly ingredient: string; readonly grams: number }>;
  readonly taught: readonly Taught[];
  /** What it measured apart from the dough. */
  readonly measured?: readonly Measured[];
  /** It stood so far from its forecast that it taught less. */
  readonly odd?: true;
  /** Its flour stood off, this dough and some before it: is it a new sack? */
  readonly asks?: { readonly key: string; readonly doughs: number };
  /** The baker set it aside: it taught nothing. */
  readonly aside?: true;
}

type KeptTaught = Taught & Readonly<Record<'before' | 'after', { readonly thirst?: number }>>;

/**
 * A lesson as it was kept: those of the first versions called what a figure was a thirst.
 *
 * @example lessonOf({taught: [{key: 'k', before: {thirst: .6, sd: .1}, after: {thirst: .61, sd: .1}}]}).taught[0].after.value // .61
 */
export function lessonOf(kept: unknown): Lesson {
  const lesson = kept as Lesson & { readonly taught: readonly KeptTaught[] };
  const value = ({ thirst, value, sd }: KeptTaught['before']) => ({ value: thirst ?? value, sd });
  return {
    ...lesson,
    taught: lesson.taught.map((t) => ({ ...t, before: value(t.before), after: value(t.after) })),
  };
}

/** Spread of what slow drinkers have still to drink, as a share of it. Own estimate, no source. */
const earlyDoubt = 0.4;

/**
 * Learns from one finished bake: what was added plus how it felt, at every touch, is the measurement.
 * Where the dough was not felt, or cannot be told, nothing is learned and the belief stays as it was.
 *
 * @param given the household as it was on the day
 * @param bread id of the formula, whose own departure from the model is learned with the rest
 * @param device in which it was made; as its formula says where nobody said
 * @returns undefined where the formula has no level
 */
export function learnFromBake(
  formula: Formula,
  events: readonly BakeEvent[],
  given: Household,
  before: Belief,
  bread?: string,
  device: DeviceId = deviceFor(formula),
): { belief: Belief; lesson: Lesson; flour?: string } | undefined {
  const state: BakeState = bakeState(events);
  const household = withBaker(given, state.baker);
  const belief = beliefToday(household, before);
  const kitchen = kitchenOf(household, inView(belief, bread));
  const pantry = pantryIn(household);
  const planned = resolve(formula, pantry);
  const forecast = level(planned, kitchen);
  const lines = mixedLines(formula, state, pantry, planned);
  const mixed = lines === planned ? forecast : level(lines, kitchen);
  if (!forecast || !mixed) return undefined;

  const sums = totals(lines);
  // A number that would be wrong is nothing to compare a feel with.
  const canTell =
    sums !== undefined &&
    mixed.sd > 0 &&
    cannotTell(lines, sums, { ...mixed, sd: 0 }, formula.unread) === undefined;
  const touch = canTell ? state.felt.at(-1) : undefined;
  // A touch before slow drinkers have drunk is compared with the forecast for that moment.
  const felt = touch && restedFeel(touch, mixed);
  const spoons = lines.length - state.added.length;
  const dough = (added: number): Level | undefined =>
    added === state.added.length ? mixed : level(lines.slice(0, spoons + added), kitchen);
  const touches = touch
    ? state.felt.flatMap((at) => touchOf(at, dough(at.after), bread) ?? [])
    : [];
  const feel = feelOf(kitchen);
  const counts = state.counts !== false;
  const own = bookKey(departureKey, bread);
  const woken = wake(belief, own);
  const [first] = touches;
  const flour = first && mainFlour(first);
  const told = state.sack;
  // Another sack: what was known of the old one goes before this dough teaches of the new.
  const known = counts && flour && told === 'new' ? freshSack(woken, flour) : woken;
  const foreseenAs = (of: Belief) => (first ? foreseenVariance(of, first, 0) : 0);
  const foreseen = foreseenAs(known);
  /** A first touch tells of the hand, too. */
  const withHand = (of: Belief): Belief =>
    first
      ? withTouch(of, kitchen, (noise) => foreseenBy(first.residual, foreseen + noise * noise))
      : of;
  const unsteady = told === 'odd' ? Math.hypot(feel, slipSpread.value) : feel;
  const taken = counts ? withHand(learnFromTouches(known, touches, unsteady)) : belief;
  const watched =
    counts && flour
      ? watchSack(
          woken.watch?.[flour] ?? nothingWatched,
          first.residual /
            Math.hypot(feel, Math.sqrt(known === woken ? foreseen : foreseenAs(woken))),
        )
      : undefined;
  const isNew = told === 'new' || told === 'odd';
  const unsure =
    watched?.asks !== undefined && !isNew
      ? doubted(taken, flour!, first!.slopes.get(flour!)!, told, own)
      : taken;
  const learned =
    watched && flour
      ? { ...unsure, watch: { ...unsure.watch, [flour]: isNew ? nothingWatched : watched.watch } }
      : unsure;
  const scoredToo =
    counts && felt !== undefined
      ? scoreSaid(learned, formula, kitchen, pantry, {
          forecast,
          dryness: sums!.dryness,
          off: felt - mixed.points,
        })
      : learned;
  const looked = counts ? learnFromOutcome(scoredToo, state.outcome, felt, own) : belief;
  const book =
    household.today && counts && touches.length > 0 ? { ...looked, day: household.today } : looked;
  const bake = { formula, lines, state, household, device };
  const risen = counts ? learnFromRises(bake, book) : { belief: book, measured: [] };
  const noted = counts ? measuredBy(belief, bake) : [];
  const measured = [...risen.measured, ...noted];
  return {
    ...(flour ? { flour } : {}),
    belief: withMeasured(risen.belief, noted),
    lesson: {
      forecast: levelMark(forecast),
      mixed: levelMark(mixed),
      dryness: baseOf(lines).dryness,
      ...(felt === undefined ? {} : { felt }),
      added: state.added.map(({ ingredient, grams }) => ({ ingredient, grams })),
      taught:
        felt === undefined || !counts
          ? []
          : taught(lines, mixed, [known, learned], kitchen.coefficients, bread),
      ...(measured.length > 0 ? { measured } : {}),
      ...(counts ? {} : { aside: true as const }),
      ...(first && isOdd(first.residual, foreseen + feel * feel) ? { odd: true as const } : {}),
      ...(flour && watched?.asks !== undefined
        ? { asks: { key: flour, doughs: watched.asks } }
        : {}),
    },
  };
}

/** Key of what slow drinkers have drunk of the bowl by a touch before their rest. */
const restKey = 'rest';

/** What stands by the keys of one bread in view, by those of the book. */
const inBook = (by: ReadonlyMap<string, number>, bread: string | undefined) =>
  new Map([...by].map(([key, value]) => [bookKey(key, bread), value] as const));

/** What one touch says of the dough as it was then. */
function touchOf(
  felt: BakeState['felt'][number],
  at: Level | undefined,
  bread: string | undefined,
): Touch | undefined {
  if (!at) return undefined;
  const { points, passing } = at;
  return {
    residual: restedFeel(felt, at) - points,
    slopes: inBook(at.slopes, bread),
    priors: inBook(at.priors, bread),
    passing:
      felt.rested === false
        ? new Map(passing).set(restKey, stillToDrink(at) * earlyDoubt)
        : passing,
  };
}

/** Figures that moved, the largest move in points first. */
function taught(
  lines: readonly ResolvedLine[],
  at: Level,
  [before, after]: readonly [Belief, Belief],
  coefficients: Coefficients,
  bread: string | undefined,
): Taught[] {
  const base = baseOf(lines);
  const seen = new Map(lines.map((l) => [absorptionKeyOf(l), l]));
  return [...at.slopes]
    .map(([inView, slope]) => {
      const line = seen.get(inView);
      const table = line
        ? tableAbsorption(line.of, base).value
        : (coefficientFor(inView, coefficients)?.value ?? 0);
      const prior = at.priors.get(inView)!;
      const key = bookKey(inView, bread);
      const read = (belief: Belief) => ({
        value: table + departure(belief, key),
        sd: doubtOf(belief, key, prior),
      });
      return {
        move: Math.abs(slope * (departure(after, key) - departure(before, key))),
        taught: {
          key,
          ...(line ? { ingredient: line.ingredient } : {}),
          ...(line?.of.bag ? { bag: line.of.bag.id } : {}),
          before: read(before),
          after: read(after),
        },
      };
    })
    .sort((a, b) => b.move - a.move)
    .map((t) => t.taught);
}
