import { osmoticBrake, splits } from './osmotic-brake.ts';
import { cardinalRate } from './cardinal-rate.ts';
import { coefficients, type Coefficients } from '../coefficients/coefficients.ts';
import {
  gasFigures,
  riseFigures,
  warmthFigures,
  type RiseFigures,
} from '../coefficients/rise-figures.ts';
import { lagOf, vessels, type VesselId } from './vessel.ts';

/** Air about a dough for some hours; the last stretch goes on. */
export interface Air {
  readonly hours: number;
  readonly celsius: number;
}

/** A dough, a pre-ferment or a starter that rises. Percentages and grams are per 100 g of all its flour. */
export interface RisingDough {
  /** Commercial yeast as instant, %, and whether it was bred for sweet doughs. */
  readonly yeast: number;
  readonly tolerant?: boolean;
  /** Ripe starter: its flour, %. */
  readonly starter: number;
  readonly salt: number;
  /** Sugars that are no lactose and no polyol. */
  readonly sugar: number;
  readonly fat: number;
  readonly water: number;
  /** Share of whole grain, 0 to 1. */
  readonly whole: number;
  /** A pre-ferment or starter as thin as a batter. */
  readonly liquid?: boolean;
  /** Temperature of the dough at the start, °C. */
  readonly celsius: number;
  readonly air: readonly Air[];
  readonly vessel: VesselId;
  readonly kilograms: number;
  /** So much butter that it is chilled before it is shaped. */
  readonly chilled?: true;
  /** Volume at the start, in times that of the dough without gas. */
  readonly fromVolume?: number;
  /** The leaven works already, as after a first rise. */
  readonly awake?: boolean;
  /** How much faster or slower this household's leavens work than the figures say, as a factor. */
  readonly pace?: { readonly yeast?: number; readonly starter?: number };
  /** Degrees by which this starter's best warmth, and what it bears, lie above the figures. */
  readonly temper?: { readonly best: number; readonly most: number };
}

/** A dough at a moment. */
export interface RisePoint {
  readonly hours: number;
  /** Times that of the dough without gas. */
  readonly volume: number;
  readonly celsius: number;
  /** Gas made so far, ml per 100 g of flour. */
  readonly gas: number;
  /** Sugar left, and starch that can still become sugar, g per 100 g of flour. */
  readonly sugar: number;
  readonly starch: number;
  /** Yeast alive, % instant, and a starter's flora, 1 for a ripe starter. */
  readonly yeast: number;
  readonly flora: number;
}

/** What a rise is worked out with. */
export interface RiseModel {
  readonly figures: RiseFigures;
  readonly coefficients: Coefficients;
  /** Metres above the sea: thinner air lets the same gas take more room. */
  readonly altitude?: number;
  /** Longest step of the integration, hours, where it may be rough. */
  readonly step?: number;
}

export const usualRise: RiseModel = { figures: riseFigures, coefficients };

/** Places in the state. */
const [Y, AWAKE, GROWS, X, SOUR, S, STARCH, D, H, G, T] = [
  0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10,
] as const;
const size = 11;

/** Density of the dough, and so its volume without gas, ml per 100 g of flour. */
const bareVolume = ({ water, fat, sugar, salt }: RisingDough): number =>
  (100 + water + fat + sugar + salt) / gasFigures.density.value;

/** Pressure of the air at a height as a share of that at the sea: the standard atmosphere, 845 hPa at 1,500 m. */
export const pressureAt = (metres = 0): number => (1 - 2.25577e-5 * metres) ** 5.25588;

const ln2 = Math.LN2;

/** Share of the living that dies in an hour of that warmth. */
export const dyingRate = (celsius: number): number => {
  const { killing, killingMinutes, killingStep, harmFrom } = warmthFigures;
  if (celsius < harmFrom.value) return 0;
  return (60 * ln2 * 10 ** ((celsius - killing.value) / killingStep.value)) / killingMinutes.value;
};

/** A starter bears at least so much more than what it likes best, °C. Own choice, no source. */
const leastAbove = 2;

/** The dough's own constants, worked out once. */
function constantsOf(dough: RisingDough, { figures: f, coefficients: c, altitude }: RiseModel) {
  const { whole, liquid = false, salt, sugar, water, fat, tolerant = false, pace = {} } = dough;
  const { best = 0, most = 0 } = dough.temper ?? {};
  const pressure = pressureAt(altitude);
  const osmotic = osmoticBrake({ salt, sugar, water }, c, tolerant);
  const { slowingFat, fatBrake } = gasFigures;
  const brake = osmotic * Math.max(0, 1 - fatBrake.value * Math.max(0, fat - slowingFat.value));
  const piece = vessels[dough.vessel] as { piece?: number };
  const small = piece.piece ?? dough.kilograms;
  // Skin beside substance goes with the third root of the mass; a kilo's loaf is the measure.
  const skin = (1 / Math.max(small, 1e-3)) ** (1 / 3) - 1;
  const unit = (1 / 0.08) ** (1 / 3) - 1;
  const leak = 1 + (f.leakSmall.value * Math.max(0, skin)) / unit;
  const between = (white: number, wholeGrain: number) => white + (wholeGrain - white) * whole;
  return {
    brake,
    gasYeast: f.riseGas.value * (pace.yeast ?? 1),
    growYeast: f.riseGrowth.value * (pace.yeast ?? 1),
    gasSour: f.sourGas.value * (pace.starter ?? 1),
    growSour: f.sourGrowth.value * (pace.starter ?? 1),
    more: 1 + gasFigures.wholeGas.value * whole,
    malts: f.maltingRate.value * (1 + gasFigures.wholeSugar.value * whole),
    starch: f.starchMalting.value,
    holds: between(f.holdWhite.value, f.holdWhole.value) / leak,
    full: liquid ? f.fullLiquid.value : between(f.fullWhite.value, f.fullWhole.value),
    bare: bareVolume(dough) * pressure,
    lag: lagOf(dough.vessel, dough.kilograms),
    water,
    crowd: f.riseCrowd.value,
    crowdSour: f.sourCrowd.value,
    wakeGas: f.riseWakeGas.value,
    wakeGrowth: f.riseWakeGrowth.value,
    wakeSour: f.sourWake.value,
    sourLeast: f.sourLeast.value,
    sourBest: f.sourBest.value + best,
    // What it bears lies above what it likes best.
    sourMost: Math.max(f.sourMost.value + most, f.sourBest.value + best + leastAbove),
    loses: f.slowLoss.value,
    power: liquid
      ? gasFigures.fullPowerWhite.value
      : between(gasFigures.fullPowerWhite.value, gasFigures.fullPowerWhole.value),
    pressure,
    coldGas: f.coldGas.value,
  };
}
type Constants = ReturnType<typeof constantsOf>;

/** The state at the start. */
function startOf(dough: RisingDough, k: Constants, { figures: f }: RiseModel): Float64Array {
  const at = new Float64Array(size);
  const awake = dough.awake ? 1 : 0;
  at[Y] = dough.yeast * (dough.awake ? f.grownYeast.value : 1);
  at[AWAKE] = awake;
  at[GROWS] = awake;
  at[X] = (dough.starter / 100) * (dough.awake ? f.grownSour.value : 1);
  at[SOUR] = dough.awake ? 1 : 0.5;
  at[S] =
    f.sugarAtFirst.value * (1 + gasFigures.wholeSugar.value * dough.whole) + splits * dough.sugar;
  at[STARCH] = k.starch;
  at[H] = ((dough.fromVolume ?? 1) - 1) * k.bare;
  // What has risen before is full of gas.
  if (dough.awake) at[D] = dissolvedAt(dough.celsius, k.water) * k.pressure;
  at[T] = dough.celsius;
  return at;
}

const dissolvedAt = (celsius: number, water: number): number =>
  water * gasFigures.dissolved.value * Math.exp(-gasFigures.dissolvedSlope.value * (celsius - 26));

const { perSugar, hungry, maltingSlope } = gasFigures;
const { gasBest, gasMost, growthLeast, growthBest, growthMost } = warmthFigures;

/** Change of the state in an hour. */
function slope(y: Float64Array, air: number, k: Constants, into: Float64Array): void {
  const warm = y[T]!;
  const sugar = Math.max(0, y[S]!);
  const fed = sugar / (sugar + hungry.value);
  const gassing = cardinalRate(warm, k.coldGas, gasBest.value, gasMost.value);
  const growth = cardinalRate(warm, growthLeast.value, growthBest.value, growthMost.value);
  const sour = y[X]! > 0 ? cardinalRate(warm, k.sourLeast, k.sourBest, k.sourMost) : 0;
  const yeast = y[Y]!;
  const flora = y[X]!;
  const gas =
    k.brake *
    k.more *
    fed *
    (k.gasYeast * gassing * yeast * y[AWAKE]! + k.gasSour * sour * flora * (0.5 + 0.5 * y[SOUR]!));
  const dies = dyingRate(warm);
  const grow = k.brake * fed;
  into[Y] =
    grow * k.growYeast * growth * yeast * y[GROWS]! * Math.max(0, 1 - yeast / k.crowd) -
    dies * yeast;
  into[X] =
    grow * k.growSour * sour * flora * y[SOUR]! * Math.max(0, 1 - flora / k.crowdSour) -
    dies * flora;
  // Salt and sugar hold up waking too.
  into[AWAKE] = (k.brake * (1 - y[AWAKE]!) * gassing) / k.wakeGas;
  into[GROWS] = (k.brake * (1 - y[GROWS]!) * growth) / k.wakeGrowth;
  into[SOUR] = (k.brake * (1 - y[SOUR]!) * sour) / k.wakeSour;
  const malt =
    k.malts * (Math.max(0, y[STARCH]!) / k.starch) * Math.exp(maltingSlope.value * (warm - 30));
  into[STARCH] = -malt;
  into[S] = malt - gas / perSugar.value;
  const most = dissolvedAt(warm, k.water) * k.pressure;
  const room = most > 0 ? (most - y[D]!) / (0.15 * most) : 0;
  const solved = room <= 0 ? 0 : room >= 1 ? 1 : room;
  const back = 2 * Math.max(0, y[D]! - most);
  into[D] = gas * solved - back;
  const volume = 1 + y[H]! / k.bare;
  const filled = (volume - 1) / (k.full - 1);
  const held = k.holds * Math.max(0, 1 - Math.max(0, filled) ** k.power);
  into[H] = held * (gas * (1 - solved) + back) - k.loses * Math.max(0, y[H]!);
  into[G] = gas;
  into[T] = (air - warm) / k.lag;
}

/** Longest step, hours: the closed forms hold to a millionth with it. */
const longestStep = 1 / 40;

const work = Array.from({ length: 5 }, () => new Float64Array(size));

/** One step of the classical Runge–Kutta scheme, of fourth order. */
function step(y: Float64Array, hours: number, air: number, k: Constants): void {
  const [k1, k2, k3, k4, at] = work as [
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  slope(y, air, k, k1);
  for (let i = 0; i < size; i += 1) at[i] = y[i]! + (hours / 2) * k1[i]!;
  slope(at, air, k, k2);
  for (let i = 0; i < size; i += 1) at[i] = y[i]! + (hours / 2) * k2[i]!;
  slope(at, air, k, k3);
  for (let i = 0; i < size; i += 1) at[i] = y[i]! + hours * k3[i]!;
  slope(at, air, k, k4);
  for (let i = 0; i < size; i += 1) {
    y[i] = y[i]! + (hours / 6) * (k1[i]! + 2 * k2[i]! + 2 * k3[i]! + k4[i]!);
  }
}

const pointAt = (hours: number, y: Float64Array, k: Constants): RisePoint => ({
  hours,
  volume: 1 + y[H]! / k.bare,
  celsius: y[T]!,
  gas: y[G]!,
  sugar: Math.max(0, y[S]!),
  starch: y[STARCH]!,
  yeast: y[Y]!,
  flora: y[X]!,
});

/**
 * A dough's rise, moment by moment: commercial yeast and a sourdough's flora side by side, each asleep at
 * first; gas by what is alive and awake, by warmth, by one osmotic brake and by the sugar that is left; gas
 * dissolved first, then held the less the fuller the dough is; starch that becomes sugar; warmth that follows
 * the air; what is too hot dies. Integrated by a fourth-order Runge–Kutta scheme of fixed steps, which end
 * where the air changes, held to closed forms (test/ferment/rise.test.ts).
 *
 * @param hours how long to follow it, above 0
 * @param seen is shown every step; when it says true, the rise ends there
 * @returns the last moment
 * @example riseFor(dough, 2, usualRise, () => false).volume // of 1 % instant, 26 °C: about 3
 */
export function riseFor(
  dough: RisingDough,
  hours: number,
  model: RiseModel = usualRise,
  seen: (at: RisePoint, before: RisePoint) => boolean = () => false,
): RisePoint {
  const k = constantsOf(dough, model);
  const y = startOf(dough, k, model);
  let now = pointAt(0, y, k);
  let [stretch, left] = [0, dough.air[0]?.hours ?? Infinity];
  while (now.hours < hours - 1e-9) {
    while (left <= 1e-9 && stretch < dough.air.length - 1) {
      stretch += 1;
      left = dough.air[stretch]!.hours;
    }
    const last = stretch >= dough.air.length - 1;
    const length = Math.min(model.step ?? longestStep, hours - now.hours, last ? Infinity : left);
    step(y, length, dough.air[stretch]?.celsius ?? dough.celsius, k);
    left -= length;
    const next = pointAt(now.hours + length, y, k);
    if (seen(next, now)) return next;
    now = next;
  }
  return now;
}
