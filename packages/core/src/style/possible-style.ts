import type { StyleId } from './style.ts';

/** A style that a formula may be of. */
export interface PossibleStyle {
  readonly style: StyleId;
  /** Between 0 and 1; of all styles together 1. */
  readonly probability: number;
}
