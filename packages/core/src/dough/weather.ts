import { commonPractice, figure, fromMemory } from '../quantity/figure.ts';

const asae = fromMemory('ASAE D245, modified Chung-Pfost');

/** Parameters of the modified Chung-Pfost equation for grain. */
export const chungPfost = {
  hard: { e: 0.35616, f: 0.056788, c: 50.998, source: asae },
  soft: { e: 0.27908, f: 0.04236, c: 35.662, source: asae },
} as const;

/**
 * Equilibrium moisture of wheat in air, per cent dry basis. For grain; allow ±1.5 points for flour.
 *
 * @param celsius temperature of the room
 * @param humidity relative, above 0 and below 1
 * @example equilibriumMoisture(25, 0.6) // 14.84
 */
export function equilibriumMoisture(
  celsius: number,
  humidity: number,
  wheat: keyof typeof chungPfost = 'hard',
): number {
  const { e, f, c } = chungPfost[wheat];
  return 100 * (e - f * Math.log(-(celsius + c) * Math.log(humidity)));
}

/** Moisture on the wet basis from the dry basis, per cent. */
export const wetBasis = (dry: number): number => (100 * dry) / (100 + dry);

/** The room in which the thirst figures hold: an ordinary kitchen. */
export const ordinaryRoom = {
  celsius: figure(21, '°C', 2, commonPractice),
  humidity: figure(0.6, 'relative', 0.1, commonPractice),
};

/** Days in which a bag closes about two thirds of the gap between its moisture and the air's. */
export const bagResponse = figure(21, 'days', 10, commonPractice);
/** Days since opening where the household has not said. */
export const usualDaysOpen = figure(14, 'days', 10, commonPractice);
/** Spread of a bag's moisture about what is assumed of it, in points. */
export const moistureSpread = figure(0.7, 'points of moisture', 0.3, commonPractice);

export interface Room {
  readonly celsius?: number;
  /** Relative, 0 to 1; unknown where absent. */
  readonly humidity?: number;
}

/** Air outside this has no meaning for flour; the equation runs away at both ends. */
const clampHumidity = (humidity: number): number => Math.min(0.95, Math.max(0.1, humidity));

/**
 * Points by which flour in an opened bag departs from its usual moisture because of the room's
 * air, damped by how long it has been open.
 *
 * @returns 0 where the humidity is not known
 * @example moistureShift({celsius: 21, humidity: 0.75}) // about +1
 */
export function moistureShift(room: Room, daysOpen = usualDaysOpen.value): number {
  if (room.humidity === undefined) return 0;
  const celsius = room.celsius ?? ordinaryRoom.celsius.value;
  const now = wetBasis(equilibriumMoisture(celsius, clampHumidity(room.humidity)));
  const usual = wetBasis(
    equilibriumMoisture(ordinaryRoom.celsius.value, ordinaryRoom.humidity.value),
  );
  return (now - usual) * (1 - Math.exp(-daysOpen / bagResponse.value));
}
