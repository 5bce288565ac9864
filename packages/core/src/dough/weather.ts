import { daysBetween } from '../quantity/day.ts';
import { fromMemory } from '../figure/figure.ts';
import type { Room } from '../household/room.ts';
import { coefficients, type Coefficients } from '../coefficients/coefficients.ts';

const asae = fromMemory('ASAE D245, modified Chung-Pfost');

/** Parameters of the modified Chung-Pfost equation for grain. */
const chungPfost = {
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

/** Air outside this has no meaning for flour; the equation runs away at both ends. */
const clampHumidity = (humidity: number): number => Math.min(0.95, Math.max(0.1, humidity));

/**
 * Days since a bag was opened.
 *
 * @returns undefined where one of the dates is not known or does not exist, 0 for a bag opened later than today
 * @example daysOpen('2026-03-01', '2026-03-15') // 14
 */
export function daysOpen(openedOn?: string, today?: string): number | undefined {
  if (!openedOn || !today) return undefined;
  const days = daysBetween(openedOn, today);
  return days === undefined ? undefined : Math.max(0, days);
}

/**
 * Points by which flour in an opened bag departs from its usual moisture because of the room's
 * air, damped by how long it has been open.
 *
 * @param days since the bag was opened; the usual where absent
 * @returns 0 where the humidity is not known
 * @example moistureShift({celsius: 21, humidity: 0.75}) // about +1
 */
export function moistureShift(
  room: Room,
  days?: number,
  table: Coefficients = coefficients,
): number {
  if (room.humidity === undefined) return 0;
  const { ordinaryCelsius, ordinaryHumidity, bagResponse, usualDaysOpen } = table;
  const celsius = room.celsius ?? ordinaryCelsius.value;
  const now = wetBasis(equilibriumMoisture(celsius, clampHumidity(room.humidity)));
  const usual = wetBasis(equilibriumMoisture(ordinaryCelsius.value, ordinaryHumidity.value));
  return (now - usual) * (1 - Math.exp(-(days ?? usualDaysOpen.value) / bagResponse.value));
}
