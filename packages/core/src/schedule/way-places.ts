import { commonPractice, figure } from '../figure/figure.ts';
import type { Air, RiseModel, RisingDough } from '../ferment/rise.ts';
import { withPaces, type Paces } from '../ferment/rise-doubt.ts';
import { riseUntil } from '../ferment/rise-until.ts';
import { isSour } from '../ferment/ripe-end.ts';
import { fridgeCelsius } from '../ferment/vessel.ts';
import type { WayId } from './way-id.ts';

/** A dough that goes into the cold stands in the room for so long first; a sourdough until it has swollen so far. */
const beforeCold = {
  hours: figure(1, 'h', 0.3, commonPractice),
  volume: figure(1.2, 'times', 0.05, commonPractice),
  most: figure(6, 'h', 2, commonPractice),
} as const;
/** Shaped, it goes there sooner. */
const shapedBeforeCold = figure(0.25, 'h', 0.1, commonPractice);
/** A dough that was divided and shaped straight out of the fridge. */
const outOfFridge = figure(8, '°C', 2, commonPractice);
/** A warm place: an oven with its light on, a box with a cup of hot water. Handbook section 12. */
export const warmPlace = figure(26, '°C', 1, 'common practice, no source: 24 to 26 °C');

/** What yeast loses by freezing, as a share of its pace. */
const frozenLoses = figure(0.25, 'share', 0.12, commonPractice);

/** Where a bread stands, and how its leaven works. */
interface Where {
  readonly room: number;
  readonly paces: Paces;
  readonly model: RiseModel;
}

/** Hours that a dough stands in the room before the fridge: in quarters. */
function hoursBeforeCold(dough: RisingDough, { room, paces, model }: Where): number {
  const { hours, volume, most } = beforeCold;
  if (!isSour(dough)) return hours.value;
  const standing = withPaces({ ...dough, air: inRoom(room) }, paces);
  const swollen = riseUntil(standing, { volume: volume.value }, model, most.value).hours;
  return Math.max(hours.value, Math.round(4 * (swollen ?? most.value)) / 4);
}

export const inRoom = (celsius: number): Air[] => [{ hours: 1, celsius }];
const intoFridge = (celsius: number, after: number): Air[] => [
  { hours: after, celsius },
  { hours: 1, celsius: fridgeCelsius.value },
];

/** Where a dough stands that rises some way: what becomes of it as it would be in the room; nothing where absent. */
interface WayPlace {
  /** What of it is still to be gone when its leaven is weighed. */
  readonly weighed?: WayId;
  /** What of it is still to be gone when somebody measured how warm it stands. */
  readonly measured?: WayId;
  /** Of the room that it stands in all through, °C. */
  readonly room?: number;
  readonly first?: (dough: RisingDough, where: Where) => RisingDough;
  readonly final?: (dough: RisingDough, where: Where) => RisingDough;
}

const shapedCold = (dough: RisingDough, { room }: Where): RisingDough => ({
  ...dough,
  air: intoFridge(room, shapedBeforeCold.value),
});

/** One row a way: plan, bake and lesson ask here where a dough stood. */
export const wayPlaces: Readonly<Record<WayId, WayPlace>> = {
  'as-it-is': {},
  amount: { weighed: 'as-it-is' },
  warm: { room: warmPlace.value, measured: 'as-it-is' },
  'cold-first': {
    first: (dough, where) => ({
      ...dough,
      air: intoFridge(where.room, hoursBeforeCold(dough, where)),
    }),
    // Shaped straight from the fridge it is cold at first.
    final: (dough) => ({ ...dough, celsius: outOfFridge.value }),
  },
  'cold-proof': { final: shapedCold },
  'amount-cold-proof': { weighed: 'cold-proof', final: shapedCold },
  'warm-cold-proof': { room: warmPlace.value, measured: 'cold-proof', final: shapedCold },
  frozen: {
    first: (dough) => ({
      ...dough,
      celsius: fridgeCelsius.value,
      yeast: dough.yeast * (1 - frozenLoses.value),
    }),
  },
};
