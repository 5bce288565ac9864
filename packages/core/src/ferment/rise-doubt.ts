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

/** What is believed of a leaven's pace: a normal of its logarithm. */
export interface Pace {
  readonly mean: number;
  readonly sd: number;
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
  /** Change of the logarithm of the time for one of that of each leaven's pace. */
  readonly slopes: Readonly<Record<'yeast' | 'starter', number>>;
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
  const dough = withPaces(given, paces);
  const time = riseUntil(dough, end, model);
  if (time.hours === undefined) return time;
  const middle = Math.log(time.hours);
  const moved = new Map(
    rows.map(([id, { sd, moved }]) => {
      const spread = id === 'yeast' || id === 'starter' ? (paces[id]?.sd ?? sd.value) : sd.value;
      const of = moved({ dough, end, model }, spread);
      const time = riseUntil(of.dough, of.end, movedOnce(model, id, of.model));
      return [id, { spread, by: at(time) - middle }] as const;
    }),
  );
  const passing = Math.sqrt(
    rows.reduce((sum, [id, row]) => (row.stays ? sum : sum + moved.get(id)!.by ** 2), 0),
  );
  const slope = (id: 'yeast' | 'starter') => {
    const { by, spread } = moved.get(id)!;
    return spread > 0 ? by / spread : 0;
  };
  const slopes = { yeast: slope('yeast'), starter: slope('starter') };
  return bandOf(time.hours, { passing, slopes }, paces);
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
  const ofPace = (id: 'yeast' | 'starter') =>
    slopes[id] * (paces[id]?.sd ?? riseDoubts[id].sd.value);
  const sd = Math.hypot(passing, ofPace('yeast'), ofPace('starter'));
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
  return starter ? paced(faster, 'starter', starter.mean) : faster;
};

export const isForecast = (of: RiseForecast): of is RiseBand => 'middle' in of;
