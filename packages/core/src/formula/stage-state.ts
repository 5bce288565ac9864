import { figure, fromMemory } from '../figure/figure.ts';
import type { StuffState } from '../ingredient/state.ts';
import type { StageHead } from './formula.ts';

/** Starch of wheat and rye swells for good from here on. */
const gelatinises = figure(60, '°C', 5, fromMemory('starch gelatinises from 52 to 70 °C'));

/** What bakers call parts that are boiled or scalded. */
const cookedNames =
  /\b(?:tang ?zhong|yudane|water roux|roux|scald(?:ed)?|porridge|cooked|boiled|mash|custard)\b/i;

/**
 * What the lines of a stage have become once they go into the dough: a soaker's are soaked, and one that
 * stood hot, or is called so, is cooked.
 *
 * @example stateIn({id: 's1', kind: 'soaker', name: 'Tangzhong'}) // 'cooked'
 */
export function stateIn({ kind, name, process }: StageHead): StuffState | undefined {
  if (kind !== 'soaker') return undefined;
  return (process?.celsius ?? 0) >= gelatinises.value || cookedNames.test(name)
    ? 'cooked'
    : 'soaked';
}
