import { Matrix, inverse } from 'ml-matrix';
import { level, absorptionKeyOf, absorptionSlope, windowFor } from '@tender-crumb/core/dough';
import { between, isFlour, resolve, totals, type ResolvedLine } from '@tender-crumb/core/formula';
import { blankBelief, softeningKey, kitchenOf } from '@tender-crumb/core/belief';
import { coefficients } from '@tender-crumb/core/coefficients';
import { defaultHousehold } from '@tender-crumb/core/household';
import { heldIn, shiftOf, tables } from '@tender-crumb/core/ingredient';
import { readerOf, readRecipe } from '@tender-crumb/core/reader';
import { styles, type StyleId } from '@tender-crumb/core/style';

/** A customary bread: its style and its lines as a recipe has them. */
export interface Bread {
  readonly name: string;
  readonly style: StyleId;
  readonly lines: readonly string[];
}

/** What one bread says. */
export interface Look {
  readonly bread: Bread;
  /** Its level by the tables alone, points. */
  readonly tables: number;
  readonly window: readonly [number, number];
  readonly edge: number;
  /** Points for one unit of each figure. */
  readonly slopes: ReadonlyMap<string, number>;
  /** Points for one unit of the softening, which is left as it is. */
  readonly softens: number;
  /** Spread of each figure by its table. */
  readonly priors: ReadonlyMap<string, number>;
}

/** Spread of a line's absorption by the tables alone, with the moisture that stays with its bag. */
function tableSd(line: ResolvedLine, dryness: number): number {
  const of = tables.find((i) => i.id === line.ingredient)!;
  const held = line.of.state && heldIn(of, line.of.state);
  const { sd } = held ?? of.absorption;
  const dry = held ? sd : (of.dryBaseAbsorption?.sd ?? sd);
  const damp = isFlour(line)
    ? (coefficients.bagMoisture.value * absorptionSlope(of.absorption.value)) / 100
    : 0;
  return Math.hypot(between(sd, dry, dryness), damp);
}

/** What each bread says of the figures, in a household that weighs and knows nothing else. */
export function looksOf(breads: readonly Bread[]): Look[] {
  const kitchen = kitchenOf(defaultHousehold, blankBelief);
  return breads.map((bread) => {
    const reader = { ...readerOf(defaultHousehold), style: bread.style };
    const { formula, unread } = readRecipe(bread.lines.join('\n'), reader);
    if (unread.length > 0) throw new Error(`${bread.name}: “${unread[0]!.text}” is not read`);
    const lines = resolve(formula);
    const { dryness } = totals(lines)!;
    const at = level(lines, kitchen)!;
    const slopes = new Map([...at.slopes].filter(([key]) => key.startsWith('thirst:')));
    return {
      bread,
      // The catalogue has the shifts of the last fit in it: they are taken out again.
      tables: at.points - [...slopes].reduce((sum, [key, slope]) => sum + slope * shiftOf(key), 0),
      window: windowFor(bread.style, dryness),
      edge: styles[bread.style].edge,
      slopes,
      priors: new Map(
        lines
          .filter((l) => slopes.has(absorptionKeyOf(l)))
          .map((l) => [absorptionKeyOf(l), tableSd(l, dryness)] as const),
      ),
      softens: at.slopes.get(softeningKey) ?? 0,
    };
  });
}

export interface Posterior {
  readonly keys: readonly string[];
  /** Spread of each by its table. */
  readonly prior: readonly number[];
  readonly shift: readonly number[];
  /** What is left in doubt of a household's own bag: of its kind, and of the bag beside its kind. */
  readonly covariance: Matrix;
}

/**
 * How much of a table's spread is from bag to bag, as a share of its standard deviation: breads baked
 * elsewhere say nothing of that. Flours are well known and differ by the bag; of other goods most of the
 * spread is that nobody measured them. Own estimate, no source.
 */
const bagShare = (key: string): number => {
  const id = key.split(':')[1];
  return tables.find((i) => i.id === id)?.role === 'flour' && key.split(':').length === 2
    ? 0.9
    : 0.1;
};

/** A figure that the breads move by less of its spread than this stays as its table has it. Own choice. */
const tellingShare = 0.1;

/** How far a bread's level may be from the middle of its window, standard deviation in points. */
export const spreadOf = ({ window: [low, high], edge, softens, slopes, priors }: Look): number =>
  Math.hypot(
    (high - low) / 2,
    edge,
    coefficients.departure.sd,
    softens * coefficients.softening.sd,
    // It was baked with somebody's own bags.
    ...[...slopes].map(([key, slope]) => slope * bagShare(key) * priors.get(key)!),
  );

/** The figures after the breads: prior precision, and what each bread adds to it. */
export function posterior(looks: readonly Look[]): Posterior {
  const sds = new Map<string, number>();
  for (const { priors } of looks) {
    for (const [key, sd] of priors) sds.set(key, Math.max(sd, sds.get(key) ?? 0));
  }
  const keys = [...sds.keys()].sort();
  const prior = keys.map((key) => sds.get(key)!);
  const ofKind = keys.map((key, i) => prior[i]! ** 2 * (1 - bagShare(key) ** 2));
  const ofBag = keys.map((key, i) => (prior[i]! * bagShare(key)) ** 2);
  let precision = Matrix.diag(ofKind.map((variance) => 1 / variance));
  let information = Matrix.zeros(keys.length, 1);
  for (const look of looks) {
    const [low, high] = look.window;
    const noise = spreadOf(look) ** 2;
    const slope = Matrix.columnVector(keys.map((key) => look.slopes.get(key) ?? 0));
    precision = precision.add(slope.mmul(slope.transpose()).div(noise));
    information = information.add(slope.clone().mul(((low + high) / 2 - look.tables) / noise));
  }
  const kinds = inverse(precision);
  const moved = kinds.mmul(information).to1DArray();
  const shift = moved.map((by, i) => (Math.abs(by) < tellingShare * prior[i]! ? 0 : by));
  return { keys, prior, shift, covariance: kinds.add(Matrix.diag(ofBag)) };
}

/** Level of a bread with the figures moved so, points. */
export const levelWith = ({ tables: by, slopes }: Look, { keys, shift }: Posterior): number =>
  by + keys.reduce((sum, key, i) => sum + (slopes.get(key) ?? 0) * shift[i]!, 0);

/** How far a level is outside the bread's window, points; 0 inside. */
export const outsideOf = ({ window: [low, high] }: Look, points: number): number =>
  points < low ? points - low : points > high ? points - high : 0;
