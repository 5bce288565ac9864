import { judgements } from '../bake/outcome.ts';
import type { BakeRecord } from '../book/record.ts';
import { measureIds, measureOf, valueText } from '../book/measures.ts';
import { traitIds, traitOf } from '../book/traits.ts';
import type { Household } from '../household/household.ts';
import { devices } from '../machine/device.ts';
import { gramsNumber, gramsText, percentText } from '../quantity/number.ts';
import { csvRow } from './csv.ts';

const heads = ['bake', 'day', 'bread', 'made', 'judged', 'words', 'note'] as const;

/**
 * First row of the bakes as comma-separated values.
 *
 * @example bakesCsvHead().startsWith('bake,day,bread') // true
 */
export const bakesCsvHead = (): string =>
  csvRow([...heads, ...measureIds.map((id) => `${measureOf(id).says} (${measureOf(id).unit})`)]);

/** A bake as a row of comma-separated values: what was noted of it, and every measure with its plain number. */
export function bakeCsvRow(record: BakeRecord): string {
  const { state, circumstances, name, method, id } = record;
  const { outcome } = state;
  return csvRow([
    id,
    circumstances.day,
    name,
    method,
    outcome?.stars === undefined ? '' : judgements[outcome.stars - 1]!,
    (outcome?.words ?? []).join(' '),
    outcome?.note ?? '',
    ...measureIds.map((m) => {
      const value = measureOf(m).of(record);
      return value === undefined ? '' : String(Number(value.toFixed(3)));
    }),
  ]);
}

/**
 * First row of the lines of bakes.
 *
 * @example linesCsvHead() // 'bake,day,bread,ingredient,bag,planned g,baked g'
 */
export const linesCsvHead = (): string =>
  csvRow(['bake', 'day', 'bread', 'ingredient', 'bag', 'planned g', 'baked g']);

/** Lines of a bake as rows of comma-separated values. */
export function linesCsvRows({ id, circumstances, name, made, planned }: BakeRecord): string[] {
  const meant = new Map(planned.map((l) => [l.id, l.grams]));
  return made.map((line) =>
    csvRow([
      id,
      circumstances.day,
      name,
      line.of.name,
      line.bag ?? '',
      meant.has(line.id) ? gramsNumber(meant.get(line.id)!) : '',
      gramsNumber(line.grams),
    ]),
  );
}

/** Text that Markdown would take for a mark of its own. */
const plain = (text: string): string => text.replaceAll(/([\\`*_{}[\]<>#|])/g, '\\$1');

/**
 * A bake as a sheet in Markdown: how it came out, what went in, what was done.
 *
 * @param household whose bags and pans have names
 * @example bakeMarkdown(record, household).startsWith('# Lockside') // true
 */
export function bakeMarkdown(record: BakeRecord, household: Household): string {
  const { name, circumstances, method, state, made, planned, totals } = record;
  const { outcome, notes } = state;
  const meant = new Map(planned.map((l) => [l.id, l.grams]));
  const flour = totals?.flourGrams ?? 0;
  const seen = measureIds.flatMap((id) => {
    const value = measureOf(id).of(record);
    return value === undefined ? [] : [`- ${measureOf(id).says}: ${valueText(id, value)}`];
  });
  const named = traitIds.flatMap((id) =>
    [...traitOf(id).of(record).values()].map(
      (value) => `- ${traitOf(id).says}: ${plain(traitOf(id).named(value, household))}`,
    ),
  );
  return [
    `# ${plain(name)}`,
    '',
    `${circumstances.day}, ${devices[method].label}`,
    '',
    ...(outcome
      ? [
          `**${outcome.stars === undefined ? 'Nobody judged it' : judgements[outcome.stars - 1]}** ${outcome.words.join(', ')}`,
          '',
          ...(outcome.note ? [plain(outcome.note), ''] : []),
        ]
      : []),
    '| | planned | baked | of the flour |',
    '|---|--:|--:|--:|',
    ...made.map((line) => {
      const plan = meant.get(line.id);
      return `| ${plain(line.of.name)} | ${plan === undefined ? 'added' : gramsText(plan)} | ${gramsText(line.grams)} | ${flour > 0 ? percentText((100 * line.grams) / flour) : ''} |`;
    }),
    '',
    '## What was done and measured',
    '',
    ...named,
    ...seen,
    ...(Object.keys(notes).length > 0
      ? [
          '',
          '## Notes',
          '',
          ...Object.entries(notes).map(([step, text]) => `- ${step}: ${plain(text)}`),
        ]
      : []),
    '',
  ].join('\n');
}
