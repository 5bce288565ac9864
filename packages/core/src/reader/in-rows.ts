import type { Step } from '../formula/step.ts';

/** A formula holds so many steps, each of so many letters. */
const mostRows = 100;
const mostLetters = 2000;

/**
 * Steps in as many rows as a formula holds: where there are more, neighbours share one, and none is gone as long as all of them
 * have room in it.
 *
 * @example inRows([{says: 'Knead.'}, {says: 'Bake.'}]).length // 2
 */
export function inRows(steps: readonly Step[]): Step[] {
  if (steps.length <= mostRows) return [...steps];
  const rows: Step[] = [];
  for (const step of steps) {
    const last = rows.at(-1);
    const says = last && `${last.says} ${step.says}`;
    if (says !== undefined && says.length <= mostLetters)
      rows[rows.length - 1] = { ...last!, says };
    else rows.push(step);
  }
  return rows.slice(0, mostRows);
}
