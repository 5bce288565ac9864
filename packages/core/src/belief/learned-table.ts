import {
  dampKey,
  departureKey,
  fillByKey,
  fillKey,
  softeningKey,
  touchByKey,
  touchKey,
} from './belief.ts';
import type { Coefficients } from '../coefficients/coefficients.ts';

/** Which coefficient a learned key departs from, by the first word of the key. */
const coefficientOf: Readonly<Record<string, keyof Coefficients>> = {
  [softeningKey]: 'softening',
  [fillKey]: 'fillHabit',
  [fillByKey]: 'fillHabit',
  [departureKey]: 'departure',
  [touchKey]: 'touch',
  [touchByKey]: 'touch',
  [dampKey]: 'damp',
};

/**
 * What the table of coefficients has for a learned key; undefined for an absorption, which has a table of its own.
 *
 * @example coefficientFor('softening', coefficients)?.value // 0.3
 * @example coefficientFor('thirst:bread-flour', coefficients) // undefined
 */
export function coefficientFor(
  key: string,
  coefficients: Coefficients,
): { readonly value: number; readonly sd: number } | undefined {
  if (key.startsWith(`${fillKey}:`)) return coefficients.fillByFlour;
  const name = coefficientOf[key.split(':')[0]!];
  return name && coefficients[name];
}
