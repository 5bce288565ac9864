import { commonPractice, figure } from '../figure/figure.ts';
import type { Air, RisingDough } from '../ferment/rise.ts';
import { fridgeCelsius } from '../ferment/vessel.ts';
import type { WayId } from './way-id.ts';

/** A dough that goes into the cold stands in the room for so long first. */
export const beforeCold = figure(1, 'h', 0.3, commonPractice);
/** Shaped, it goes there sooner. */
const shapedBeforeCold = figure(0.25, 'h', 0.1, commonPractice);
/** A dough that was divided and shaped straight out of the fridge. */
const outOfFridge = figure(8, '°C', 2, commonPractice);
/** A warm place: an oven with its light on, a box with a cup of hot water. Handbook section 12. */
export const warmPlace = figure(26, '°C', 1, 'common practice, no source: 24 to 26 °C');

/** What yeast loses by freezing, as a share of its pace. */
const frozenLoses = figure(0.25, 'share', 0.12, commonPractice);

export const inRoom = (celsius: number): Air[] => [{ hours: 1, celsius }];
const intoFridge = (celsius: number, after: number): Air[] => [
  { hours: after, celsius },
  { hours: 1, celsius: fridgeCelsius.value },
];

/** Where a dough stands that rises some way: what becomes of it as it would be in the room; nothing where absent. */
interface WayPlace {
  /** Of the room that it stands in all through, °C. */
  readonly room?: number;
  readonly first?: (dough: RisingDough, room: number) => RisingDough;
  readonly final?: (dough: RisingDough, room: number) => RisingDough;
}

/** One row a way: plan, bake and lesson ask here where a dough stood. */
export const wayPlaces: Readonly<Record<WayId, WayPlace>> = {
  'as-it-is': {},
  amount: {},
  warm: { room: warmPlace.value },
  'cold-first': {
    first: (dough, room) => ({ ...dough, air: intoFridge(room, beforeCold.value) }),
    // Shaped straight from the fridge it is cold at first.
    final: (dough) => ({ ...dough, celsius: outOfFridge.value }),
  },
  'cold-proof': {
    final: (dough, room) => ({ ...dough, air: intoFridge(room, shapedBeforeCold.value) }),
  },
  frozen: {
    first: (dough) => ({
      ...dough,
      celsius: fridgeCelsius.value,
      yeast: dough.yeast * (1 - frozenLoses.value),
    }),
  },
};
