import { demoData, type DemoData } from '../../../../demo/household.ts';
import { defaultHousehold, learnFromBake, nothingLearned, type Belief } from '../core.ts';
import { testTime } from '../../../../scripts/test-clock.mjs';
import { between } from './near.ts';

/** What a bread's bakes showed, in points: each from the fourth on. */
interface Bread {
  readonly id: string;
  readonly bakes: number;
  /** Felt less forecast. */
  readonly missed: readonly number[];
  /** Felt less what the same formula felt like the last time. */
  readonly since: readonly number[];
}

const mean = (of: readonly number[]): number => of.reduce((sum, x) => sum + x, 0) / of.length;
const rms = (of: readonly number[]): number => Math.sqrt(mean(of.map((x) => x * x)));
/** Mean in standard errors. */
const inErrors = (of: readonly number[]): number => {
  const spread = Math.sqrt(of.reduce((sum, x) => sum + (x - mean(of)) ** 2, 0) / (of.length - 1));
  return (mean(of) * Math.sqrt(of.length)) / spread;
};

/** Bakes of a bread that are passed over: what they taught is what is judged. */
const first = 3;

/** The invented household's book as it was learned, bake by bake. */
function breadsOf({ bakes, formulas, bags, settings }: DemoData): Bread[] {
  let belief: Belief = nothingLearned;
  const felt = new Map<string, { missed: number[]; asWritten: number[] }>();
  for (const { formulaId, version, events, room, startedAt } of bakes) {
    const { formula } = formulas.find((f) => f.id === formulaId)!.versions[version - 1]!;
    const today = startedAt.slice(0, 10);
    const household = { ...defaultHousehold, ...settings, bags, room, today };
    const learned = learnFromBake(formula, events, household, belief, formulaId)!;
    belief = learned.belief;
    const { forecast, mixed, felt: at, odd } = learned.lesson;
    // A household sets an odd bake aside; what it teaches all the same is in the rest.
    if (odd) continue;
    const of = felt.get(formulaId) ?? { missed: [], asWritten: [] };
    of.missed.push(at! - mixed.points);
    of.asWritten.push(at! - (mixed.points - forecast.points));
    felt.set(formulaId, of);
  }
  return [...felt].map(([id, { missed, asWritten }]) => ({
    id,
    bakes: missed.length,
    missed: missed.slice(first),
    since: asWritten.map((x, i) => x - asWritten[i - 1]!).slice(first),
  }));
}

/** Days at the end that nothing is learned from: they are foretold by what was learned before. */
const heldBack = 60;

/**
 * How far the last two months lie from three ways of foretelling them, points, root mean square: by what the book had
 * learned until then, as the bread felt the last time before, and as the formula says by the tables.
 */
function heldBackOf({ bakes, formulas, bags, settings }: DemoData, end: Date) {
  const from = new Date(end.getTime() - heldBack * 86_400_000).toISOString();
  let belief: Belief = nothingLearned;
  const last = new Map<string, number>();
  const missed = { book: [] as number[], lastTime: [] as number[], formula: [] as number[] };
  for (const { formulaId, version, events, room, startedAt } of bakes) {
    const { formula } = formulas.find((f) => f.id === formulaId)!.versions[version - 1]!;
    const household = {
      ...defaultHousehold,
      ...settings,
      bags,
      room,
      today: startedAt.slice(0, 10),
    };
    const by = (known: Belief) => learnFromBake(formula, events, household, known, formulaId)!;
    const learned = by(belief);
    const { forecast, mixed, felt, odd } = learned.lesson;
    if (odd || felt === undefined) continue;
    // What was spooned in is known to all three.
    const asWritten = felt - (mixed.points - forecast.points);
    if (startedAt < from) {
      belief = learned.belief;
      last.set(formulaId, asWritten);
      continue;
    }
    const before = last.get(formulaId);
    if (before === undefined) continue;
    missed.book.push(felt - mixed.points);
    missed.lastTime.push(asWritten - before);
    missed.formula.push(felt - by(nothingLearned).lesson.mixed.points);
  }
  return missed;
}

const today = testTime();
const source = 'own choice: as good as the last bake is what a household has without a program';

describe('forecasts of an invented household, whose air, bags and hands the model does not know', () => {
  for (const { id, bakes, missed, since } of breadsOf(demoData(today))) {
    between(
      'Demo household',
      `${id}: mean of felt less forecast after three bakes, in standard errors (${bakes} bakes)`,
      'own choice: twice its standard error',
      () => inErrors(missed),
      [-2, 2],
    );
    if (bakes < 9) continue;
    between(
      'Demo household',
      `${id}: forecast’s spread beside that of “as last time”`,
      source,
      () => rms(missed) / rms(since),
      [0, 1],
    );
  }

  const held = heldBackOf(demoData(today), today);
  between(
    'Demo household',
    `its last ${heldBack} days held back (${held.book.length} bakes): the book’s error, points`,
    source,
    () => rms(held.book),
    [0, 4],
  );
  between(
    'Demo household',
    'the same, beside the error of “as last time”',
    source,
    () => rms(held.book) / rms(held.lastTime),
    [0, 1],
  );
  between(
    'Demo household',
    'the same, beside the error of “as the formula says”',
    source,
    () => rms(held.book) / rms(held.formula),
    [0, 1],
  );
  const manyHeld = Array.from({ length: 12 }, (_, i) =>
    heldBackOf(demoData(today, 1001 + i), today),
  );
  between(
    'Demo household',
    'of 12 other seeds, the last days held back: the book’s error beside that of “as last time”, all together',
    source,
    () => rms(manyHeld.flatMap((h) => h.book)) / rms(manyHeld.flatMap((h) => h.lastTime)),
    [0, 1],
  );

  const others = Array.from({ length: 12 }, (_, i) => breadsOf(demoData(today, 1001 + i))).flat();
  const often = others.filter((b) => b.bakes >= 9);
  const share = (of: readonly Bread[], holds: (b: Bread) => boolean): number =>
    of.filter(holds).length / of.length;
  between(
    'Demo household',
    `of ${often.length} breads of 12 other seeds: share whose forecast beats “as last time”`,
    source,
    () => share(often, (b) => rms(b.missed) < rms(b.since)),
    [0.8, 1],
  );
  between(
    'Demo household',
    'the same: share whose mean stands beyond twice its standard error',
    'Student’s t with 5 to 20 bakes: .05 to .1',
    () => share(often, (b) => Math.abs(inErrors(b.missed)) > 2),
    [0, 0.15],
  );
});
