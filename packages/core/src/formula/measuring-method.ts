import type { Fill } from '../quantity/measures.ts';
import type { MeasuringMethod } from './formula.ts';

/** What a way of measuring is. */
export interface MethodTraits {
  readonly label: string;
  readonly by: 'scale' | 'volume' | 'count';
  /** How flour gets into the cup, where that is not as the household always does it. */
  readonly fill?: Fill;
  /** Further doubt that it brings, by the name of its coefficient. */
  readonly doubt?: 'heaping' | 'about';
}

/** One row a way of measuring; nothing else switches on it. */
export const methods: Readonly<Record<MeasuringMethod, MethodTraits>> = {
  scale: { label: 'on the scale', by: 'scale' },
  volume: { label: 'cup or spoon, as always', by: 'volume' },
  spooned: { label: 'spooned in, levelled', by: 'volume', fill: 'spooned' },
  dipped: { label: 'dipped into the bag', by: 'volume', fill: 'dipped' },
  heaping: { label: 'heaping', by: 'volume', doubt: 'heaping' },
  about: { label: 'about, by eye', by: 'scale', doubt: 'about' },
  count: { label: 'counted', by: 'count' },
};
