import type { Fill, Measures } from '../quantity/measures.ts';
import type { Line, MeasuringMethod } from './formula.ts';

/** What a way of measuring is. */
interface MethodTraits {
  readonly label: string;
  readonly by: 'scale' | 'volume' | 'count';
  /** How flour gets into the cup, where that is not as the household always does it. */
  readonly fill?: Fill;
  /** Further doubt that it brings, by the name of its coefficient. */
  readonly doubt?: 'heaping' | 'about';
}

/** One row a way of measuring; nothing else switches on it. */
export const methods: Readonly<Record<MeasuringMethod, MethodTraits>> = {
  scale: { label: 'scale', by: 'scale' },
  volume: { label: 'measured', by: 'volume' },
  spooned: { label: 'spooned', by: 'volume', fill: 'spooned' },
  dipped: { label: 'dipped', by: 'volume', fill: 'dipped' },
  heaping: { label: 'heaping', by: 'volume', doubt: 'heaping' },
  about: { label: 'by eye', by: 'scale', doubt: 'about' },
  count: { label: 'counted', by: 'count' },
};

/** The household's measures as a line is filled: one that is dipped where the household spoons. */
export function measuresFor({ measured }: Pick<Line, 'measured'>, measures: Measures): Measures {
  const { fill } = methods[measured];
  return fill === undefined || fill === measures.fill ? measures : { ...measures, fill, cups: {} };
}
