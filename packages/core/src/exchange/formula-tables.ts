import type { PercentageSchool } from '../household/schools.ts';
import { stagesOf, type Formula } from '../formula/formula.ts';
import { percentOf } from '../formula/percentage.ts';
import { resolve, type ResolvedLine } from '../formula/resolve.ts';
import { totals } from '../formula/totals.ts';
import { cataloguePantry, type Pantry } from '../ingredient/pantry.ts';
import { gramsNumber } from '../quantity/number.ts';
import { aroundOf } from './around.ts';
import { csvRow } from './csv.ts';

/** One line of a formula as a table has it. */
interface Cells {
  readonly stage: string;
  readonly name: string;
  readonly grams: number;
  readonly percent?: number;
}

function cellsOf(formula: Formula, pantry: Pantry, school: PercentageSchool): Cells[] {
  const lines = resolve(formula, pantry);
  const sums = totals(lines);
  const cells = (line: ResolvedLine, stage: string): Cells => ({
    stage,
    name: line.of.name,
    grams: line.grams,
    ...(sums ? { percent: percentOf(line.grams, sums, school) } : {}),
  });
  return stagesOf(formula).flatMap((stage) =>
    lines.filter((l) => l.stage === stage.id && l.grams > 0).map((l) => cells(l, stage.name)),
  );
}

/**
 * A formula's lines as comma-separated values: stage, ingredient, grams, per cent.
 *
 * @example formulaCsv(formula).split('\n')[0] // 'part,ingredient,grams,percent'
 */
export const formulaCsv = (
  formula: Formula,
  pantry: Pantry = cataloguePantry,
  school: PercentageSchool = 'total',
): string =>
  [
    'part,ingredient,grams,percent',
    ...aroundCsv(formula, 'above'),
    ...cellsOf(formula, pantry, school).map(({ stage, name, grams, percent }) =>
      csvRow([stage, name, gramsNumber(grams), percent?.toFixed(2) ?? '']),
    ),
    ...aroundCsv(formula, 'below'),
  ].join('\n');

/** What stands round the lines, as rows of the table: its part, and its words. */
function aroundCsv(formula: Formula, where: 'above' | 'below'): string[] {
  const { style, makes, size, outside, steps } = aroundOf(formula);
  const row = (part: string, says: string) => csvRow([part, says, '', '']);
  return where === 'above'
    ? [style, makes && `Makes ${makes}`, size].flatMap((says) => (says ? [row('', says)] : []))
    : [
        ...outside.flatMap(({ heading, says }) => says.map((s) => row(heading, s))),
        ...steps.map((s) => row('Method', s)),
      ];
}

/**
 * A formula as a sheet in Markdown, with what stands round its dough.
 *
 * @example formulaMarkdown(formula).split('\n')[0] // '# Lockside'
 */
export function formulaMarkdown(
  formula: Formula,
  pantry: Pantry = cataloguePantry,
  school: PercentageSchool = 'total',
): string {
  const cells = cellsOf(formula, pantry, school);
  const parts = [...new Set(cells.map((c) => c.stage))].map((stage) =>
    [
      `## ${stage}`,
      '',
      '| Ingredient | Grams | % |',
      '| --- | ---: | ---: |',
      ...cells
        .filter((c) => c.stage === stage)
        .map((c) => `| ${c.name} | ${gramsNumber(c.grams)} | ${c.percent?.toFixed(1) ?? ''} |`),
    ].join('\n'),
  );
  const { notes } = formula;
  const { style, makes, size, outside, steps } = aroundOf(formula);
  return [
    `# ${formula.name}`,
    [style, makes && `Makes ${makes}`, size].filter(Boolean).join('\n\n'),
    ...parts,
    ...outside.map(
      ({ heading, says }) => `## ${heading}\n\n${says.map((s) => `- ${s}`).join('\n')}`,
    ),
    ...(steps.length > 0
      ? [`## Method\n\n${steps.map((s, i) => `${i + 1}. ${s}`).join('\n')}`]
      : []),
    ...(notes ? [`## Notes\n\n${notes}`] : []),
  ].join('\n\n');
}
