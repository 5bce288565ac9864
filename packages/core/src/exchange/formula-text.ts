import type { PercentageSchool } from '../household/schools.ts';
import { aroundOf } from './around.ts';
import { stagesOf, type Formula } from '../formula/formula.ts';
import { percentOf } from '../formula/percentage.ts';
import { resolve } from '../formula/resolve.ts';
import { totals } from '../formula/totals.ts';
import { cataloguePantry, type Pantry } from '../ingredient/pantry.ts';
import { gramsNumber } from '../quantity/number.ts';

/**
 * A formula as plain text, one ingredient a line, with the school's percentages in brackets; the
 * reader reads it back.
 *
 * @example formulaText(formula).split('\n')[0] // 'Lockside'
 */
export function formulaText(
  formula: Formula,
  pantry: Pantry = cataloguePantry,
  school: PercentageSchool = 'total',
): string {
  const lines = resolve(formula, pantry);
  const sums = totals(lines);
  const stages = stagesOf(formula).map((stage) => {
    const own = lines
      .filter((l) => l.stage === stage.id && l.grams > 0)
      .map((l) => {
        const percent = sums ? ` (${percentOf(l.grams, sums, school).toFixed(1)} %)` : '';
        return `${gramsNumber(l.grams)} g ${l.of.name}${percent}`;
      });
    return [`${stage.name}:`, ...own].join('\n');
  });
  const { style, makes, size, outside, steps } = aroundOf(formula);
  return [
    formula.name,
    [style, makes && `Makes ${makes}`, size].filter(Boolean).join('\n'),
    ...stages,
    ...outside.map(({ heading, says }) => [`${heading}:`, ...says].join('\n')),
    ...(steps.length > 0 ? [`Method\n${steps.map((s, i) => `${i + 1}. ${s}`).join('\n')}`] : []),
  ].join('\n\n');
}
