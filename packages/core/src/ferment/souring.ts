import { figure, type Figure } from '../figure/figure.ts';
import { riseFor, usualRise, type RiseModel, type RisingDough } from './rise.ts';
import { sourdoughShare } from './sourdough-rate.ts';

const own =
  'own model: ordered as common practice orders sourdoughs; no figure of it has a source, and it says more or less sour, not how sour';
const of = (value: number, unit: string, sd: number): Figure => figure(value, unit, sd, own);

/** Figures of souring. A ripe starter's lactobacilli are 1; acid in ml of tenth-normal alkali for 10 g of dough. */
const souringFigures = {
  growth: of(0.33, '1/h at their best', 0.1),
  crowd: of(1.3, 'of a ripe starter', 0.4),
  /** Power of the rate in broth: they slow less steeply in dough, as a starter's yeast does. */
  cold: of(0.56, 'power', 0.15),
  acid: of(6.7, 'ml/h at a ripe starter', 2),
  /** Acid at which they stop; more in whole grain, which buffers. */
  most: of(20, 'ml', 3),
  mostWhole: of(30, 'ml', 5),
  /** Of a ripe starter, which it brings along. */
  ripe: of(7, 'ml', 2),
  ripeWhole: of(11, 'ml', 3),
  wholeFaster: of(0.25, 'share', 0.2),
} as const satisfies Record<string, Figure>;

/** How a dough tastes of its acid. */
interface Tang {
  readonly label: string;
  /** Up to so much of the acid at which its flora stops: whole grain, which buffers, bears more. */
  readonly upTo: number;
}

/** One row a taste, the mildest first. Own choice, no source. */
export const tangs = {
  mild: { label: 'mild', upTo: 0.36 },
  light: { label: 'lightly sour', upTo: 0.47 },
  tangy: { label: 'tangy', upTo: 0.67 },
  sharp: { label: 'sharp', upTo: 0.82 },
  'too-sour': { label: 'too sour: it slackens and tears', upTo: Infinity },
} as const satisfies Record<string, Tang>;

export type TangId = keyof typeof tangs;
export const tangIds = Object.keys(tangs) as TangId[];

/** How a dough tastes that has so much of the acid at which its flora stops, 0 to 1. */
export const tangOf = (sour: number): TangId => tangIds.find((id) => sour <= tangs[id].upTo)!;

/** A rise that a dough goes through, hours. */
interface Stay {
  readonly dough: RisingDough;
  readonly hours: number;
}

/**
 * Acid of a sourdough after its rises: its lactobacilli grow from what the starter brings, by the dough's own
 * warmth, and sour it the more the more of them there are; whole grain buffers.
 *
 * @param stays one after the other; the first says how much starter went in
 * @returns acid as a share of that at which its flora stops, 0 to 1; 0 where there is no starter in it
 * @example sourness([{dough, hours: 5}]) // .4, of 25 % starter at 25 °C
 */
export function sourness(stays: readonly Stay[], model: RiseModel = usualRise): number {
  const first = stays[0]?.dough;
  if (!first || first.starter === 0) return 0;
  const f = souringFigures;
  const { whole } = first;
  const between = (white: Figure, wholeGrain: Figure): number =>
    white.value + (wholeGrain.value - white.value) * whole;
  const most = between(f.most, f.mostWhole);
  const share = first.starter / 100;
  let living = share;
  let acid = share * between(f.ripe, f.ripeWhole);
  const faster = 1 + f.wholeFaster.value * whole;
  for (const { dough, hours } of stays) {
    riseFor(dough, hours, model, (now, before) => {
      const rate =
        sourdoughShare((now.celsius + before.celsius) / 2, 'lactobacilli') ** f.cold.value;
      const step = now.hours - before.hours;
      const grown =
        living + step * f.growth.value * rate * living * Math.max(0, 1 - living / f.crowd.value);
      acid +=
        step * f.acid.value * faster * rate * ((living + grown) / 2) * Math.max(0, 1 - acid / most);
      living = grown;
      return false;
    });
  }
  return acid / most;
}
