import type { Step } from '../formula/step.ts';

/** A formula holds so many steps, each of so many letters. */
const mostRows = 100;
const mostLetters = 2000;

/**
 * Steps in as many rows as a formula holds: where there are more, neighbours share one, and none is gone.
 *
 * @example inRows([{says: 'Knead.'}, {says: 'Bake.'}]).length // 2
 */
export function inRows(steps: readonly Step[]): Step[] {
  const each = Math.ceil(steps.length / mostRows);
  if (each <= 1) return [...steps];
  return Array.from({ length: Math.ceil(steps.length / each) }, (_, i) => {
    const own = steps.slice(i * each, (i + 1) * each);
    const says = own
      .map((s) => s.says)
      .join(' ')
      .slice(0, mostLetters);
    return { ...own[0]!, says };
  });
}
