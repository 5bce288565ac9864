import type { ResolvedLine } from '../formula/resolve.ts';
import { devices, type DeviceId } from '../machine/device.ts';
import { loadingOrders } from '../machine/loading-order.ts';
import type { CourseNoted } from '../bake/state.ts';
import type { RunStepKindId } from './run-step-kind.ts';

/** What a caution of a step looks at. */
export interface StepFacts {
  readonly kind: RunStepKindId;
  readonly device: DeviceId;
  readonly lines: readonly ResolvedLine[];
  readonly course?: Pick<CourseNoted, 'kind' | 'delay'>;
  /** Hours that the step lasts, where that is known. */
  readonly hours?: number;
  /** The place that it stands in, °C. */
  readonly celsius?: number;
  /** The machine's pan is coated: it must not be scratched. */
  readonly coated: boolean;
  readonly pot: boolean;
  readonly steam: boolean;
  /** Somebody in the household must not eat gluten. */
  readonly glutenFree: boolean;
}

interface StepCaution {
  readonly id: string;
  readonly at: readonly RunStepKindId[];
  readonly when: (facts: StepFacts) => boolean;
  readonly text: string;
  readonly source: string;
}

const inMachine = ({ device }: StepFacts): boolean =>
  devices[device].loading !== loadingOrders.bowl;
const bakedInMachine = (f: StepFacts): boolean =>
  inMachine(f) &&
  f.course?.kind !== 'dough' &&
  (f.kind === 'programme' || f.course?.kind === 'by-eye');
const has =
  (of: (line: ResolvedLine) => boolean) =>
  ({ lines }: StepFacts): boolean =>
    lines.some((l) => l.grams > 0 && of(l));
const perishable = has((l) => l.of.perishable === true);
const egg = has((l) => l.of.allergens.includes('egg'));
const gluten = has((l) => l.of.allergens.includes('gluten'));

/** Hours in the warm that perishables may stand beyond the usual rises. US food-safety guidance. */
const mostWarm = 3;
const coldEnough = 4;

const makers = 'common practice; the maker’s manual goes before it';

/** Cautions at the step where they matter. Handbook section 17: general guidance that defers to local rules and manuals. */
export const stepCautions: readonly StepCaution[] = [
  {
    id: 'moving-hook',
    at: ['mix', 'check', 'programme'],
    when: ({ device, kind }) =>
      device === 'mixer' || (kind !== 'mix' && devices[device].loading !== loadingOrders.bowl),
    text: 'Stop the hook or paddle before you touch the dough. Keep hair and sleeves away.',
    source: makers,
  },
  {
    id: 'raw-dough',
    at: ['check', 'shape'],
    when: () => true,
    text: 'Do not taste raw dough. Wash your hands.',
    source: 'US food-safety guidance',
  },
  {
    id: 'rings',
    at: ['feed'],
    when: () => true,
    text: 'If it is pink, orange or furry, throw it away and wash all. Rings off, wash your hands.',
    source: 'common practice, no source',
  },
  {
    id: 'mill',
    at: ['weigh'],
    when: has((l) => l.of.freshMilled === true),
    text: 'Keep hands, hair and sleeves away from a running mill.',
    source: makers,
  },
  {
    id: 'shared-machine',
    at: ['weigh'],
    when: (f) => f.glutenFree && inMachine(f),
    text: 'A machine that kneaded wheat is not gluten-free: use a pan and paddle of their own, or none.',
    source: '21 CFR 101.91; common practice',
  },
  {
    id: 'gluten-guest',
    at: ['weigh'],
    when: (f) => f.glutenFree && !inMachine(f) && gluten(f),
    text: 'This dough has gluten, and flour flies. Keep bowls, boards and cloths for a gluten-free guest away.',
    source: 'common practice, no source',
  },
  {
    id: 'delay-perishable',
    at: ['weigh', 'programme'],
    when: (f) => (f.course?.delay ?? 0) > 0 && perishable(f),
    text: 'No delay timer with milk, egg or soft cheese: no more than 2 hours in all between 4 and 60 °C.',
    source: 'US food-safety guidance',
  },
  {
    id: 'long-warm',
    at: ['soak', 'first-rise', 'final-proof'],
    when: (f) =>
      perishable(f) && (f.hours ?? 0) > mostWarm && (f.celsius ?? coldEnough + 1) > coldEnough,
    text: 'With milk, egg or soft cheese, rest this long only in the fridge, at 4 °C or below.',
    source: 'US food-safety guidance',
  },
  {
    id: 'starter-jar',
    at: ['ripen'],
    when: () => true,
    text: 'Leave the lid loose: gas breaks a closed jar.',
    source: 'common practice, no source',
  },
  {
    id: 'look-into-oven',
    at: ['heat'],
    when: () => true,
    text: 'Look into the oven first: a dough, a tray or a cloth may be inside.',
    source: 'common practice, no source',
  },
  {
    id: 'hot-pot',
    at: ['heat', 'bake'],
    when: ({ pot }) => pot,
    text: 'The pot and its lid are as hot as the oven. Dry gloves, a place for the lid, and mind the steam.',
    source: 'common practice, no source',
  },
  {
    id: 'steam-glass',
    at: ['bake'],
    when: ({ steam }) => steam,
    text: 'Steam burns: keep face and arms away from the door. No water on hot glass.',
    source: 'common practice, no source',
  },
  {
    id: 'oven-door',
    at: ['bake'],
    when: (f) => !bakedInMachine(f),
    text: 'Gloves on both hands. The first air out of the door is the hottest.',
    source: 'common practice, no source',
  },
  {
    id: 'egg-core',
    at: ['bake', 'programme'],
    when: egg,
    text: 'With egg in it the middle reaches 71 °C at least; bread is done well above that.',
    source: 'US food-safety guidance',
  },
  {
    id: 'plug-gloves',
    at: ['programme', 'bake'],
    when: bakedInMachine,
    text: 'Pull the plug and put gloves on before you lift the pan. The paddle may be in the loaf, and is hot.',
    source: makers,
  },
  {
    id: 'coated-pan',
    at: ['programme', 'cool'],
    when: (f) => inMachine(f) && f.coated,
    text: 'No metal in the coated pan: a wooden spoon for the paddle. Soak pan and paddle at once; clean them without bleach.',
    source: makers,
  },
  {
    id: 'power',
    at: ['programme', 'mix'],
    when: (f) => inMachine(f),
    text: 'After a power cut, check that the programme still runs.',
    source: makers,
  },
];

/**
 * What is to be minded at a step.
 *
 * @example cautionsAt({kind: 'heat', …}).map((c) => c.id) // ['look-into-oven']
 */
export const cautionsAt = (
  facts: StepFacts,
): Array<{ readonly id: string; readonly text: string }> =>
  stepCautions
    .filter((c) => c.at.includes(facts.kind) && c.when(facts))
    .map(({ id, text }) => ({ id, text }));
