import { defaultSettings } from './household.ts';

/** A step of the scale that is more than this share of what is weighed leaves it to luck. Own choice. */
const coarseShare = 0.2;

/**
 * So little that the usual scale tells it badly: what the house's own shows is asked.
 *
 * @param grams that are to be weighed
 * @example wantsFineScale(3.5) // true
 */
export const wantsFineScale = (grams: number): boolean =>
  grams > 0 && grams * coarseShare < defaultSettings.scaleStep;
