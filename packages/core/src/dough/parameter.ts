import { isFlour } from '../formula/base.ts';
import { methods } from '../formula/measuring-method.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { isOwnCup } from '../ingredient/measure-weight.ts';
import {
  dampKey,
  departureKey,
  fillKeyBy,
  fillKeyOf,
  softeningKey,
  touchKeyBy,
} from '../belief/belief.ts';
import type { Kitchen, Measuring } from '../belief/kitchen.ts';
import { absorptionKeyOf, type LinearForm } from './linear-form.ts';
import { measuringSd } from './measuring.ts';
import { absorptionSlope } from './moisture.ts';

/** What of a dough a parameter moves. */
export type Channel = 'absorption' | 'softening' | 'moisture' | 'air' | 'fill' | 'mass' | 'level';

/** A dough at its middle: what slopes are taken at. */
export interface DoughMiddle {
  readonly base: number;
  /** Points by which the level moves for a gram more of a line. */
  readonly perGram: (form: LinearForm) => number;
}

/** Points that one unit of a channel puts on the level through one line. */
export const channelSlopes: Readonly<
  Record<Channel, (form: LinearForm, at: DoughMiddle) => number>
> = {
  absorption: ({ perStandard, line }, { base }) => (-100 * perStandard * line.grams) / base,
  softening: ({ softens, line }, { base }) => (100 * softens * line.grams) / base,
  moisture: ({ drinks, line }, { base }) => (-absorptionSlope(drinks) * line.grams) / base,
  air: ({ drinks, drawn, line }, { base }) =>
    (-absorptionSlope(drinks) * drawn * line.grams) / base,
  level: () => 1,
  fill: (form, at) => at.perGram(form) * form.line.grams,
  mass: (form, at) => at.perGram(form),
};

/** A kind of thing that is not surely known. */
interface Kind {
  readonly channel: Channel;
  /** It stays with the household, and bakes teach it; else it is drawn anew at every bake. */
  readonly learned: boolean;
  /** The parameter of this kind that moves a line; undefined where none does. */
  of(form: LinearForm, kitchen: Kitchen): Known | undefined;
}

/** A parameter's name and what is known of it before any bake. */
interface Known {
  readonly key: string;
  /** Standard deviation, in the unit of its channel. */
  readonly prior: number;
  /** What it is of, where it is of one thing. */
  readonly ingredient?: string;
  readonly line?: string;
}

/** Lines whose weight a person's way of filling a cup moves: not where the cup was weighed. */
export const filledByHabit = (line: ResolvedLine, { measures }: Measuring): boolean => {
  const { by, fill } = methods[line.measured];
  return by === 'volume' && isFlour(line) && !isOwnCup(line.of, measures, fill);
};

/** Spread that the moisture of an unmeasured bag puts on what a gram of it drinks. */
export const bagDamp = (drinks: number, { bagMoisture }: Kitchen['coefficients']): number =>
  Math.abs(bagMoisture.value * absorptionSlope(drinks)) / 100;

/** Key of the moisture of every bag that was not measured: the same air stands over all of them. */
const moistureKey = 'moisture';

/**
 * All that a level is in doubt about, one row a kind: level, interval, draws and learning are made from
 * this table. In order of their being drawn.
 */
const parameterKinds = {
  absorption: {
    channel: 'absorption',
    learned: true,
    of({ line, absorption, drinks }, { coefficients }) {
      if (!(absorption.sd > 0)) return undefined;
      // How moist an unmeasured bag is stays with it as its absorption does, and cannot be told from that.
      const damp =
        isFlour(line) && line.of.bag?.moisture === undefined ? bagDamp(drinks, coefficients) : 0;
      return {
        key: absorptionKeyOf(line),
        prior: damp === 0 ? absorption.sd : Math.hypot(absorption.sd, damp),
        ingredient: line.ingredient,
      };
    },
  },
  softening: {
    channel: 'softening',
    learned: true,
    of: ({ softens }, { coefficients }) =>
      softens > 0 ? { key: softeningKey, prior: coefficients.softening.sd } : undefined,
  },
  habit: {
    channel: 'fill',
    learned: true,
    of: ({ line }, kitchen) =>
      filledByHabit(line, kitchen)
        ? { key: fillKeyBy(kitchen.baker), prior: kitchen.coefficients.fillHabit.sd }
        : undefined,
  },
  habitOf: {
    channel: 'fill',
    learned: true,
    of: ({ line }, kitchen) =>
      filledByHabit(line, kitchen)
        ? {
            key: fillKeyOf(line.ingredient),
            prior: kitchen.coefficients.fillByFlour.sd,
            ingredient: line.ingredient,
          }
        : undefined,
  },
  air: {
    channel: 'air',
    learned: true,
    of: ({ line, drawn }, { coefficients: { damp } }) =>
      drawn !== 0 && isFlour(line) ? { key: dampKey, prior: damp.sd } : undefined,
  },
  departure: {
    channel: 'level',
    learned: true,
    of: (_, { coefficients: { departure } }) => ({ key: departureKey, prior: departure.sd }),
  },
  touch: {
    channel: 'level',
    learned: true,
    of: (_, { baker, coefficients: { touch } }) => ({ key: touchKeyBy(baker), prior: touch.sd }),
  },
  moisture: {
    channel: 'moisture',
    learned: false,
    of({ line, absorption }, { coefficients: { measuredMoisture, moistureSpread } }) {
      if (!isFlour(line) || absorption.value === 0) return undefined;
      const { bag } = line.of;
      return bag?.moisture === undefined
        ? { key: moistureKey, prior: moistureSpread.value }
        : {
            key: `${moistureKey}:${bag.id}`,
            prior: measuredMoisture.value,
            ingredient: line.ingredient,
          };
    },
  },
  measuring: {
    channel: 'mass',
    learned: false,
    of({ line }, kitchen) {
      const prior = measuringSd(line, kitchen);
      return prior > 0
        ? { key: `line:${line.id}`, prior, ingredient: line.ingredient, line: line.id }
        : undefined;
    },
  },
} as const satisfies Record<string, Kind>;

export type ParameterKind = keyof typeof parameterKinds;
const parameterKindNames = Object.keys(parameterKinds) as ParameterKind[];

/** One thing that is not surely known, with the lines of a dough that it moves. */
export interface Parameter extends Known {
  readonly kind: ParameterKind;
  readonly channel: Channel;
  readonly learned: boolean;
  /** Places in the list of forms. */
  readonly moves: readonly number[];
}

const rows = parameterKindNames.map((kind) => ({ kind, row: parameterKinds[kind] as Kind }));

/**
 * All parameters that move a dough.
 *
 * @example parametersOf(forms, kitchen).map((p) => p.key) // ['thirst:bread-flour', 'moisture', 'line:l1', …]
 */
export function parametersOf(forms: readonly LinearForm[], kitchen: Kitchen): Parameter[] {
  const found: Parameter[] = [];
  // No key is of two kinds.
  const places = new Map<string, number[]>();
  for (const { kind, row } of rows) {
    for (let i = 0; i < forms.length; i += 1) {
      const form = forms[i]!;
      if (form.line.grams === 0) continue;
      const known = row.of(form, kitchen);
      if (!known) continue;
      const { key, prior, ingredient, line } = known;
      const before = places.get(key);
      if (before) {
        // What moves the level itself does so once.
        if (row.channel !== 'level') before.push(i);
        continue;
      }
      const moves = [i];
      places.set(key, moves);
      const { channel, learned } = row;
      found.push({ key, prior, ingredient, line, kind, channel, learned, moves });
    }
  }
  return found;
}
