import { isFlour, isDryStuff, type Base } from '../formula/base.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { waterAccount, type WaterAccount } from './account.ts';
import { doubtOf, varianceOf } from '../belief/belief.ts';
import { ownPoints } from './own-points.ts';
import { z80 } from '../coefficients/coefficients.ts';
import { doughModel, type DoughModel } from './dough-model.ts';
import { fatSoftens, fatSoftensNext } from './fat-softening.ts';
import type { Kitchen } from '../belief/kitchen.ts';
import { pastTouchDoubt } from './past-touch.ts';
import { surplusOf, type LinearForm } from './linear-form.ts';
import {
  channelSlopes,
  parametersOf,
  type DoughMiddle,
  type Parameter,
  type ParameterKind,
} from './parameter.ts';

/** One thing that is not surely known, and what it does to the level. */
export interface Doubt {
  /** Key in the belief, or `line:…`, or `moisture`. */
  readonly key: string;
  readonly kind: ParameterKind;
  readonly ingredient?: string;
  /** Standard deviation that it puts on the level, in points. */
  readonly points: number;
}

export interface Level {
  /** Where the dough stands once everything has drunk its fill. */
  readonly points: number;
  /** Where it feels to be at the first touch, before slow drinkers have drunk. */
  readonly early: number;
  readonly sd: number;
  /** Ends of the 80 % interval. */
  readonly low: number;
  readonly high: number;
  /** Points by which the level moves for one unit of each learnable key. */
  readonly slopes: ReadonlyMap<string, number>;
  /** Catalogue's standard deviation of each learnable key. */
  readonly priors: ReadonlyMap<string, number>;
  /** Points that one standard deviation of what is drawn anew at every bake puts on it: fills of the cup, weather. */
  readonly passing: ReadonlyMap<string, number>;
  /** Largest first. */
  readonly doubts: readonly Doubt[];
  readonly account: WaterAccount;
  readonly baseGrams: number;
}

/**
 * The dough level with its 80 % interval, by linear propagation of every doubt.
 *
 * @param lines of the formula, corrections included
 * @returns undefined where there is no base, so that no level can be told
 * @example strong flour 400, water 230, oil 27, sugar 25, milk powder 11: points −1.4, low −4.7, high 1.9
 */
export function level(lines: readonly ResolvedLine[], kitchen: Kitchen): Level | undefined {
  const model = doughModel(lines, kitchen);
  const { forms, base } = model;
  if (!(base.grams > 0)) return undefined;
  const account = waterAccount(model);
  const drawn = (100 * (account.brings + account.softens - account.drinks)) / base.grams;
  const points = drawn + ownPoints(kitchen);
  const at: DoughMiddle = { base: base.grams, perGram: perGram(model, drawn) };
  const slopes = new Map<string, number>();
  const priors = new Map<string, number>();
  const passing = new Map<string, number>();
  let passingVariance = 0;
  const doubts: Doubt[] = [];
  for (const parameter of parametersOf(forms, kitchen)) {
    const { key, kind, ingredient, prior, learned } = parameter;
    const slope = slopeOf(parameter, forms, at);
    if (learned) {
      slopes.set(key, slope);
      priors.set(key, prior);
    }
    const sd = learned ? doubtOf(kitchen.belief, key, prior) : prior;
    const own = Math.abs(slope) * sd;
    if (!learned) {
      passing.set(key, slope * sd);
      passingVariance += own ** 2;
    }
    if (own > 0) doubts.push({ key, kind, ingredient, points: own });
  }
  const past = pastTouchDoubt(points);
  if (past > 0) {
    passing.set('past-touch', past);
    passingVariance += past ** 2;
  }
  doubts.sort((a, b) => b.points - a.points);
  const sd = Math.sqrt(passingVariance + varianceOf(kitchen.belief, slopes, priors));
  return {
    points,
    early: points + (100 * account.later) / base.grams,
    sd,
    low: points - z80 * sd,
    high: points + z80 * sd,
    slopes,
    priors,
    passing,
    doubts,
    account,
    baseGrams: base.grams,
  };
}

function slopeOf(
  { channel, moves }: Parameter,
  forms: readonly LinearForm[],
  at: DoughMiddle,
): number {
  const slope = channelSlopes[channel];
  let sum = 0;
  for (const i of moves) sum += slope(forms[i]!, at);
  return sum;
}

/**
 * Points by which the level moves for a gram more of a line: by what it leaves over, by what it is of
 * the base, and by how far it moves the dough towards a dry base.
 */
function perGram({ forms, base, softening, fatPercent }: DoughModel, points: number) {
  const perDryness = dryingSlope(forms, base, points);
  // Where fat saturates, a gram more of it does less than those before it, and more flour thins it out.
  const saturates = softening * (fatSoftensNext(fatPercent) - fatSoftens(fatPercent));
  return (form: LinearForm): number => {
    const drying = dryingBy(form.line, base);
    const grows = form.base + drying * base.dryGrams;
    return (
      (100 * surplusOf(form, softening) -
        points * form.base +
        saturates * (100 * form.fat - fatPercent * grows)) /
        base.grams +
      perDryness * drying
    );
  };
}

const dryingBy = (line: ResolvedLine, { perFlour, perDry }: Base): number =>
  isFlour(line) ? perFlour : isDryStuff(line) ? perDry : 0;

/** Points by which the level moves as the dryness goes from 0 to 1, at this dough's slope. */
function dryingSlope(forms: readonly LinearForm[], base: Base, points: number): number {
  if (base.perFlour === 0 && base.perDry === 0) return 0;
  const drunk = forms.reduce((sum, { perDryness, line }) => sum + perDryness * line.grams, 0);
  return (-100 * drunk - points * base.dryGrams) / base.grams;
}
