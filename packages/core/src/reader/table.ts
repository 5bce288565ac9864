import Papa from 'papaparse';
import { unitNamed } from './units.ts';

/** A line of a text before it is cleaned. */
export interface RawLine {
  readonly at: number;
  readonly raw: string;
  /** What it means, where that is not what it says. */
  readonly text?: string;
  readonly item?: boolean;
}

type ColumnKind =
  'bread' | 'part' | 'name' | 'grams' | 'kg' | 'lb' | 'oz' | 'amount' | 'unit' | 'percent' | 'note';
/** Columns of another weight than grams: what stands in their cells is so many of it. */
const weights = ['kg', 'lb', 'oz'] as const;

/** What a column of a table holds, by its heading. */
const columns: ReadonlyArray<readonly [RegExp, ColumnKind]> = [
  [/^(?:recipe|bread|formula|loaf|title)$/i, 'bread'],
  [/^(?:part|stage|step|phase)$/i, 'part'],
  [/^(?:ingredients?|items?|name|what|material|component|flour)$/i, 'name'],
  [/^(?:grams?|g|weight(?: ?\(g(?:rams)?\))?|mass|wt\.?|gms?|metric|weight in grams)$/i, 'grams'],
  [/^(?:kg|kgs|kilos?|kilograms?|weight \(kg\))$/i, 'kg'],
  [/^(?:lbs?|pounds?)$/i, 'lb'],
  [/^(?:oz|ozs|ounces?)$/i, 'oz'],
  [/^(?:%|percent(?:age)?|baker[’'s]*s? ?(?:%|percent(?:age)?)|bp|b%|pct)$/i, 'percent'],
  [/^(?:amount|quantity|qty|volume|us|measure|cups?|imperial|how much)$/i, 'amount'],
  [/^(?:units?)$/i, 'unit'],
  [/^(?:notes?|comments?|remarks?|brand|state)$/i, 'note'],
];

/** Cells of a row: quotes are as spreadsheets write them. */
const split = (raw: string, by: string): string[] =>
  by === ','
    ? (Papa.parse<string[]>(raw).data[0] ?? []).map((cell) => cell.trim())
    : splitPlain(raw, by);

const splitPlain = (raw: string, by: string): string[] =>
  by === 'spaces' ? raw.split(/\s{2,}/).map((cell) => cell.trim()) : splitMarks(raw, by);

const splitMarks = (raw: string, by: string): string[] =>
  raw
    .replace(/^\s*\|/, '')
    .replace(/\|\s*$/, '')
    .split(by)
    .map((cell) => cell.replace(/\*\*|^"|"$/g, '').trim());

const separatorOf = (raw: string, spaces = false): string | undefined => {
  const bars = raw.replace(/[│┃]/g, '|');
  if (/\S\s*\|\s*\S/.test(bars) || /^\s*\|.*\|/.test(bars)) return '|';
  if (/\S\t+\S/.test(raw)) return '\t';
  if (spaces) return 'spaces';
  const semicolons = /^[^,;]*(?:;[^,;]*){1,6}$/.test(raw);
  // "500 g flour; 340 g water": things one after another, and no cells of one thing.
  return semicolons && !raw.split(';').every((cell) => /^\s*[\d½¼¾⅓⅔][\d.,/]*\s*\p{L}/u.test(cell))
    ? ';'
    : undefined;
};

const isNumber = (cell: string): boolean =>
  /^[\d.,½¼¾⅓⅔/\s]+$/.test(cell) && /[\d½¼¾⅓⅔]/.test(cell);

/** The kinds of a heading row's cells; undefined where it is none. */
function headingOf(cells: readonly string[]) {
  const plain = cells.map((cell) => columns.find(([pattern]) => pattern.test(cell))?.[1]);
  // Beside percentages a column whose short name was not known is of grams: a photo makes all kinds of signs of a g.
  const weighs = plain.some((kind) => kind === 'grams' || weights.some((w) => w === kind));
  const found = plain.map((kind, i) =>
    !kind && !weighs && plain.includes('percent') && /^\S{1,3}$/.test(cells[i]!) ? 'grams' : kind,
  );
  // A corner that is left empty stands over the names, where every other cell says what it is.
  const corner =
    cells.length > 1 && found.every((kind, i) => (kind === undefined) === (cells[i] === ''));
  const kinds =
    corner && cells.filter((c) => c === '').length === 1 && !found.includes('name')
      ? found.map((kind) => kind ?? ('name' as const))
      : found;
  return kinds.includes('name') && kinds.some((k) => k && k !== 'name' && k !== 'note')
    ? kinds
    : undefined;
}

/** One row of a table in the words of a recipe. */
function inWords(cells: readonly string[], kinds: ReturnType<typeof headingOf>): string {
  const filled = cells.filter(Boolean);
  if (!kinds) {
    // Without a heading: an amount anywhere, and what is left is the name.
    const amounts = filled.filter((c) => /^[~≈]?[\d.½¼¾⅓⅔]/.test(c) && !/%\s*$/.test(c));
    const percent = filled.find((c) => /^[\d.,]+\s*%$/.test(c));
    const unit = filled.find((c) => unitNamed(c) !== undefined);
    const rest = filled
      .filter((c) => !amounts.includes(c) && c !== percent && c !== unit)
      .join(' ');
    const [amount, ...others] = amounts;
    const first = unit && amount ? `${amount} ${unit}` : amount;
    const brackets = [...others, ...(percent ? [percent] : [])].map((c) => `(${c})`);
    return [first, rest, ...brackets].filter(Boolean).join(' ');
  }
  const of = (kind: string): string[] =>
    cells.flatMap((cell, i) => (kinds[i] === kind && cell && !/^[-–—]$/.test(cell) ? [cell] : []));
  const [name = ''] = of('name');
  const grams = of('grams').map((c) => (isNumber(c) ? `${c.trim()} g` : c));
  const amounts = of('amount').map((c) => (isNumber(c) ? `${c} ${of('unit')[0] ?? ''}`.trim() : c));
  const percent = of('percent').map((c) => (/%/.test(c) ? c : isNumber(c) ? `${c} %` : ''))[0];
  const heavy = weights.flatMap((unit) =>
    of(unit).map((c) => (isNumber(c) ? `${c.trim()} ${unit}` : c)),
  );
  const [first = '', ...others] = [...grams, ...heavy, ...amounts];
  const brackets = [...others, percent, ...of('note')].filter(Boolean).map((c) => `(${c})`);
  if (!first) return percent ? `${percent} ${name}` : name;
  return [first, name, ...brackets].join(' ');
}

/**
 * Rows of tables, with bars or tabs between their cells, in the words of a recipe; all else as it is.
 *
 * @example tableRows([{at: 1, raw: '| name | g |'}, {at: 2, raw: '| flour | 500 |'}])[1]?.text // '500 g flour'
 */
export function tableRows(lines: readonly RawLine[]): RawLine[] {
  let kinds: ReturnType<typeof headingOf>;
  let width = 0;
  let comma = false;
  let spaced = false;
  let part = '';
  let bread = '';
  return lines.flatMap((line): RawLine[] => {
    // Commas part cells only below a heading that is written so: elsewhere they part words.
    const spreadsheet =
      line.raw.includes(',') && !/\d/.test(line.raw) && headingOf(split(line.raw, ','));
    if (spreadsheet) comma = true;
    else if (!line.raw.trim()) comma = false;
    // Columns that spaces part are some only below a heading that is written so.
    if (/\s{2,}\S/.test(line.raw) && !/\d/.test(line.raw) && headingOf(split(line.raw, 'spaces')))
      spaced = true;
    else if (!/\S\s{2,}\S/.test(line.raw)) spaced = false;
    const by = comma ? ',' : separatorOf(line.raw, spaced);
    if (by === undefined) {
      if (!line.raw.trim()) kinds = undefined;
      return [line];
    }
    const cells = split(line.raw, by);
    if (cells.every((c) => /^[-:=\s]*$/.test(c))) return [{ ...line, text: '---' }];
    const heading = headingOf(cells);
    if (heading) {
      kinds = heading;
      width = cells.length;
      part = '';
      bread = '';
      return [{ ...line, text: '---' }];
    }
    if (kinds && cells.length > width + 1) kinds = undefined;
    const only = cells.filter(Boolean);
    if (only.length === 1) return [{ ...line, text: only[0]! }];
    if (/^(?:total|sum|dough weight)$/i.test(cells[0] ?? '')) {
      return [{ ...line, text: `total: ${only.join(' ')}` }];
    }
    if (!kinds && !only.some((c) => /[\d½¼¾⅓⅔]/.test(c))) return [line];
    const row = { ...line, text: inWords(cells, kinds), item: true };
    const title = cells[kinds?.indexOf('bread') ?? -1] ?? '';
    const another = title !== '' && title !== bread;
    if (another) [bread, part] = [title, ''];
    const named = cells[kinds?.indexOf('part') ?? -1] ?? '';
    const opens = named !== '' && named !== part;
    if (opens) part = named;
    return [
      ...(another ? [{ at: line.at, raw: title, text: `**${title}**` }] : []),
      ...(opens ? [{ at: line.at, raw: named, text: `${named}:` }] : []),
      row,
    ];
  });
}
