import { commonPractice, figure, type Figure } from '../figure/figure.ts';

/** What a dough stands in, and how fast its warmth follows the air's. */
interface Vessel {
  readonly label: string;
  /** Hours in which two thirds of the difference are gone, at a kilo. */
  readonly lag: Figure;
  /** Power of the kilos by which that grows; 0 where each piece cools by itself. */
  readonly byMass: number;
  /** Kilograms of one piece, where it stands in pieces. */
  readonly piece?: number;
}

const lag = (hours: number) => figure(hours, 'h for a kilo', hours / 4, commonPractice);

/** One row a vessel. */
export const vessels = {
  bowl: { label: 'a covered bowl', lag: lag(1.8), byMass: 0.5 },
  basket: { label: 'a basket', lag: lag(1.2), byMass: 0.5 },
  tin: { label: 'a tin', lag: lag(1), byMass: 0.5 },
  rolls: { label: 'a tray of rolls', lag: lag(0.4), byMass: 0, piece: 0.08 },
  'fridge-box': { label: 'a box in the fridge', lag: lag(2), byMass: 0.5 },
} as const satisfies Record<string, Vessel>;

export type VesselId = keyof typeof vessels;
export const vesselIds = Object.keys(vessels) as VesselId[];

/**
 * Hours in which a dough's warmth comes two thirds of the way to the air's.
 *
 * @example lagOf('bowl', 4) // 3.6
 */
export const lagOf = (vessel: VesselId, kilograms: number): number => {
  const { lag: hours, byMass } = vessels[vessel];
  return hours.value * kilograms ** byMass;
};

/** What a fridge holds a dough at. Common practice, no source. */
export const fridgeCelsius = figure(4, '°C', 1.5, commonPractice);
