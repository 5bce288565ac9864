import type { Coefficients } from '../coefficients/coefficients.ts';

/**
 * How surely a correction is called for, in words.
 *
 * @param certainty chance, 0 to 1
 * @example certaintyWords(.95, coefficients) // 'very likely'
 */
export const certaintyWords = (
  certainty: number,
  { certaintyHigh, certaintyFair }: Coefficients,
): string =>
  certainty >= certaintyHigh.value
    ? 'very likely'
    : certainty >= certaintyFair.value
      ? 'likely'
      : 'as likely as not';
