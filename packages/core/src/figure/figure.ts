/** A published or customary number, never without its unit, its spread and where it comes from. */
export interface Figure {
  readonly value: number;
  readonly unit: string;
  /** Standard deviation, in the same unit; 0 where the figure is a definition. */
  readonly sd: number;
  readonly source: string;
}

/**
 * Makes a figure.
 *
 * @example figure(0.62, 'g water per g', 0.02, commonPractice) // strong bread flour's absorption
 */
export const figure = (value: number, unit: string, sd: number, source: string): Figure => ({
  value,
  unit,
  sd,
  source,
});

export const commonPractice = 'common practice, no source';
export const fromMemory = (what: string): string => `${what}, from memory`;
export const ownModel = 'own model, calibrated on the level checks';
