import { figure, type Figure } from '../figure/figure.ts';
import { z80, type Coefficients } from '../coefficients/coefficients.ts';
import { osmoticPower } from './osmotic-brake.ts';
import type { RiseFigures } from '../coefficients/rise-figures.ts';
import { usualRise, type RiseModel, type RisingDough } from './rise.ts';
import { longestRise, riseUntil, type RiseEnd, type RiseTime } from './rise-until.ts';

/** What a time is worked out of. */
interface Case {
  readonly dough: RisingDough;
  readonly end: RiseEnd;
  readonly model: RiseModel;
}

/** One thing that is not surely known of a rise. */
interface Doubt {
  /** Spread of it, in its own unit. */
  readonly sd: Figure;
  /** It is of the leaven and stays with it, so that what is noted teaches it; the rest is drawn anew. */
  readonly stays: boolean;
  /** The case with it one spread away; the same where it does not matter. */
  readonly moved: (of: Case, by: number) => Case;
}

const fromFit =
  'own model: what differs from leaven to leaven stays with its pace, the rest with the day; no source';
const doubt = (unit: string, sd: number, moved: Doubt['moved'], stays = false): Doubt => ({
  sd: figure(sd, unit, sd / 3, fromFit),
  stays,
  moved,
});

const scaled = (
  figures: RiseFigures,
  by: number,
  ...keys: Array<keyof RiseFigures>
): RiseFigures => ({
  ...figures,
  ...Object.fromEntries(
    keys.map((key) => [key, { ...figures[key], value: figures[key].value * by }]),
  ),
});

const braked = (c: Coefficients, by: number): Coefficients => {
  const scale = Math.exp(-by / osmoticPower);
  return {
    ...c,
    osmoticScale: { ...c.osmoticScale, value: c.osmoticScale.value * scale },
    osmoticScaleTolerant: {
      ...c.osmoticScaleTolerant,
      value: c.osmoticScaleTolerant.value * scale,
    },
  };
};

const paced = (dough: RisingDough, leaven: 'yeast' | 'starter', by: number): RisingDough => ({
  ...dough,
  pace: { ...dough.pace, [leaven]: (dough.pace?.[leaven] ?? 1) * Math.exp(by) },
});

/** A starter with another temper; a dough without one has none. */
const tempered = (of: Case, by: Temper): Case =>
  of.dough.starter > 0
    ? {
        ...of,
        dough: {
          ...of.dough,
          temper: {
            best: (of.dough.temper?.best ?? 0) + by.best,
            most: (of.dough.temper?.most ?? 0) + by.most,
          },
        },
      }
    : of;

/** All that the time of a rise is in doubt about, one row each; in logarithms but for the room. */
export const riseDoubts = {
  room: doubt('°C', 1.5, (of, by) => ({
    ...of,
    dough: {
      ...of.dough,
      air: of.dough.air.map((a) => ({ ...a, celsius: a.celsius + by })),
    },
  })),
  yeast: doubt(
    'ln of its pace',
    0.15,
    (of, by) => ({ ...of, dough: paced(of.dough, 'yeast', by) }),
    true,
  ),
  starter: doubt(
    'ln of its pace',
    0.22,
    (of, by) => ({ ...of, dough: paced(of.dough, 'starter', by) }),
    true,
  ),
  best: doubt(
    '°C of where it is fastest',
    2,
    (of, by) => tempered(of, { best: by, most: 0 }),
    true,
  ),
  most: doubt('°C of what it bears', 1.3, (of, by) => tempered(of, { best: 0, most: by }), true),
  ripeness: doubt('ln of what a starter is worth that day', 0.1, (of, by) => ({
    ...of,
    dough: { ...of.dough, starter: of.dough.starter * Math.exp(by) },
  })),
  waking: doubt('ln', 0.25, (of, by) => ({
    ...of,
    model: {
      ...of.model,
      figures: scaled(of.model.figures, Math.exp(by), 'riseWakeGas', 'sourWake'),
    },
  })),
  growth: doubt('ln', 0.12, (of, by) => ({
    ...of,
    model: {
      ...of.model,
      figures: scaled(of.model.figures, Math.exp(by), 'riseGrowth', 'sourGrowth'),
    },
  })),
  brake: doubt('ln', 0.1, (of, by) => ({
    ...of,
    model: { ...of.model, coefficients: braked(of.model.coefficients, by) },
  })),
  weighing: doubt('ln', 0.03, (of, by) => ({
    ...of,
    dough: {
      ...of.dough,
      yeast: of.dough.yeast * Math.exp(by),
      starter: of.dough.starter * Math.exp(by),
    },
  })),
  end: doubt('ln of what it gains', 0.08, (of, by) => ({
    ...of,
    end:
      'volume' in of.end
        ? { volume: 1 + (of.end.volume - 1) * Math.exp(by) }
        : { gas: of.end.gas * Math.exp(by) },
  })),
} as const satisfies Record<string, Doubt>;

export type RiseDoubt = keyof typeof riseDoubts;
const rows = Object.entries(riseDoubts) as Array<[RiseDoubt, Doubt]>;

/** Degrees by which a starter's best warmth, and what it bears, lie above the figures. */
type Temper = NonNullable<RisingDough['temper']>;

/** What is believed of a leaven's pace: a normal of its logarithm; of a starter with its temper beside it. */
export interface Pace {
  readonly mean: number;
  readonly sd: number;
  /** A starter's temper: its middle, and how it varies together with its pace. */
  readonly temper?: Temper & {
    /** Covariance of pace and best, pace and most, best, best and most, most. */
    readonly together: readonly [number, number, number, number, number];
  };
}

/** Doubts that are of one leaven, in the order of its covariance. */
export const ofStarter = ['starter', 'best', 'most'] as const;
type OfLeaven = 'yeast' | (typeof ofStarter)[number];

/** Covariance of a starter's pace, best warmth and what it bears. */
export function starterCovariance(pace: Pace | undefined): number[][] {
  const sd = pace?.sd ?? riseDoubts.starter.sd.value;
  const { best, most } = riseDoubts;
  const [a, b, c, d, e] = pace?.temper?.together ?? [
    0,
    0,
    best.sd.value ** 2,
    0,
    most.sd.value ** 2,
  ];
  return [
    [sd ** 2, a, b],
    [a, c, d],
    [b, d, e],
  ];
}

/** Spread of a doubt, as what is believed of the leavens has it. */
export function spreadOf(id: RiseDoubt, paces: Paces): number {
  if (id === 'yeast') return paces.yeast?.sd ?? riseDoubts.yeast.sd.value;
  const at = (ofStarter as readonly string[]).indexOf(id);
  if (at < 0) return riseDoubts[id].sd.value;
  return Math.sqrt(Math.max(0, starterCovariance(paces.starter)[at]![at]!));
}

/** What a household believes of the leavens in a dough; as the figures have them where absent. */
export interface Paces {
  readonly yeast?: Pace;
  readonly starter?: Pace;
}

/** A time with the ends of its 80 % interval, hours. */
export interface RiseBand {
  readonly middle: number;
  readonly low: number;
  readonly high: number;
  /** Spread of its logarithm, and what of that stays with the leaven by leaven and what is drawn anew. */
  readonly sd: number;
  readonly passing: number;
  /** Change of the logarithm of the time for one of that of each leaven's pace, and for a degree of a starter's temper. */
  readonly slopes: Readonly<Record<'yeast' | 'starter', number>> &
    Readonly<Partial<Record<'best' | 'most', number>>>;
}

export type RiseForecast = RiseBand | Exclude<RiseTime, { readonly hours: number }>;

const at = (time: RiseTime): number => Math.log(time.hours ?? longestRise);

/** Models with one doubt of theirs moved by its spread, by the doubt. */
const movedModels = new WeakMap<RiseModel, Partial<Record<RiseDoubt, RiseModel>>>();

/** The same model for the same move: what was worked out with it is known the next time. */
function movedOnce(model: RiseModel, id: RiseDoubt, moved: RiseModel): RiseModel {
  if (moved === model) return model;
  const known = movedModels.get(model) ?? {};
  movedModels.set(model, known);
  return (known[id] ??= moved);
}

/** The doubts of a rise, in one order. */
export const riseDoubtIds = rows.map(([id]) => id);

/** When a rise is over, and by how much of the logarithm of that each doubt moves it, by its spread. */
interface RiseMoves {
  readonly hours: number;
  readonly by: ReadonlyMap<RiseDoubt, number>;
  readonly spreads: ReadonlyMap<RiseDoubt, number>;
}

/**
 * Each doubt of a rise moved by its spread on its own.
 *
 * @returns undefined where it never comes to that end
 */
export function riseMoves(
  given: RisingDough,
  end: RiseEnd,
  paces: Paces,
  model: RiseModel,
): RiseMoves | undefined {
  const dough = withPaces(given, paces);
  const time = riseUntil(dough, end, model);
  if (time.hours === undefined) return undefined;
  const middle = Math.log(time.hours);
  const spreads = new Map(rows.map(([id]) => [id, spreadOf(id, paces)] as const));
  const by = new Map(
    rows.map(([id, { moved }]) => {
      const of = moved({ dough, end, model }, spreads.get(id)!);
      const then = riseUntil(of.dough, of.end, movedOnce(model, id, of.model));
      return [id, at(then) - middle] as const;
    }),
  );
  return { hours: time.hours, by, spreads };
}

/**
 * When a dough comes to an end of its rise, with its band: each doubt moved by its spread on its own, in the
 * logarithm of the time.
 *
 * @param paces what is believed of its leavens
 * @returns the band, or how far it comes where it never comes there
 * @example riseForecast(dough of 1 % instant, {volume: 2}).sd // .17
 */
export function riseForecast(
  given: RisingDough,
  end: RiseEnd,
  paces: Paces = {},
  model: RiseModel = usualRise,
): RiseForecast {
  const found = riseMoves(given, end, paces, model);
  if (!found) return riseUntil(withPaces(given, paces), end, model) as RiseForecast;
  const { hours, by: moved, spreads } = found;
  const passing = Math.sqrt(
    rows.reduce((sum, [id, row]) => (row.stays ? sum : sum + moved.get(id)! ** 2), 0),
  );
  const slope = (id: OfLeaven) => {
    const spread = spreads.get(id)!;
    return spread > 0 ? moved.get(id)! / spread : 0;
  };
  const slopes = {
    yeast: slope('yeast'),
    starter: slope('starter'),
    ...(given.starter > 0 ? { best: slope('best'), most: slope('most') } : {}),
  };
  return bandOf(hours, { passing, slopes }, paces);
}

/**
 * A time with its band, of what it is in doubt about.
 *
 * @param hours the time itself
 * @example bandOf(5, {passing: .1, slopes: {yeast: -1, starter: 0}}, {yeast: {mean: 0, sd: .15}}).sd // .18
 */
export function bandOf(
  hours: number,
  { passing, slopes }: Pick<RiseBand, 'passing' | 'slopes'>,
  paces: Paces,
): RiseBand {
  const known = starterCovariance(paces.starter);
  const by = ofStarter.map((id) => slopes[id] ?? 0);
  const sour = by.reduce(
    (sum, a, i) => sum + by.reduce((part, b, k) => part + a * b * known[i]![k]!, 0),
    0,
  );
  const ofYeast = slopes.yeast * spreadOf('yeast', paces);
  const sd = Math.sqrt(passing ** 2 + ofYeast ** 2 + Math.max(0, sour));
  return {
    middle: hours,
    low: hours * Math.exp(-z80 * sd),
    high: hours * Math.exp(z80 * sd),
    sd,
    passing,
    slopes,
  };
}

/** A dough with its leavens as fast as they are believed to be. */
export const withPaces = (dough: RisingDough, { yeast, starter }: Paces): RisingDough => {
  const faster = yeast ? paced(dough, 'yeast', yeast.mean) : dough;
  if (!starter) return faster;
  const own = paced(faster, 'starter', starter.mean);
  if (!starter.temper || !(own.starter > 0)) return own;
  const { best, most } = starter.temper;
  return { ...own, temper: { best, most } };
};

export const isForecast = (of: RiseForecast): of is RiseBand => 'middle' in of;
