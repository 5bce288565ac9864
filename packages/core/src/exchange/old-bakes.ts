import Papa from 'papaparse';
import type { BakeEvent } from '../bake/event.ts';
import { judgements, outcomeWords } from '../bake/outcome.ts';
import { states } from '../dough/state.ts';
import { isDay } from '../quantity/day.ts';

/** What a column of somebody's own table may be. */
export const oldColumns = {
  day: { says: 'the day', words: /^(?:date|day|when|baked(?: on)?|datum)$/i },
  bread: { says: 'the bread', words: /^(?:bread|recipe|loaf|formula|what|name|title)$/i },
  stars: {
    says: 'how it came out',
    words: /^(?:rating|stars?|score|result|out of.*|judged?|how it came out)$/i,
  },
  felt: {
    says: 'how the dough felt',
    words: /^(?:dough|felt|feel|consistency|texture|hydration feel)$/i,
  },
  height: { says: 'height in mm', words: /^(?:height.*|rise|oven ?spring)$/i },
  before: {
    says: 'dough in grams',
    words: /^(?:dough (?:weight|g|grams)|weight before|before|raw.*)$/i,
  },
  after: {
    says: 'bread in grams',
    words:
      /^(?:bread (?:weight|g|grams)|weight after|after|baked (?:weight|g)|loaf (?:weight|g))$/i,
  },
  note: { says: 'a note', words: /^(?:notes?|comments?|remarks?|what happened|changes?)$/i },
  skip: { says: 'nothing', words: /^$/ },
} as const;
export type OldColumn = keyof typeof oldColumns;
export const oldColumnIds = Object.keys(oldColumns) as OldColumn[];

/** A table as it was read: its headings, its rows, what each column is likely to be. */
interface OldTable {
  readonly heads: readonly string[];
  readonly rows: ReadonlyArray<readonly string[]>;
  readonly guessed: readonly OldColumn[];
}

/** Rows that are brought along at once. */
const mostOldBakes = 20_000;

/**
 * Reads somebody's table of bakes. Separators and quotes are found by themselves.
 *
 * @example oldTable('date;bread\n1.5.2026;Rye').guessed // ['day', 'bread']
 */
export function oldTable(text: string): OldTable {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, '').trim(), {
    skipEmptyLines: 'greedy',
  });
  const [heads = [], ...rows] = data.map((row) => row.map((cell) => cell.trim()));
  const taken = new Set<OldColumn>();
  const guessed = heads.map((head) => {
    const found = oldColumnIds.find(
      (id) => id !== 'skip' && !taken.has(id) && oldColumns[id].words.test(head),
    );
    if (found) taken.add(found);
    return found ?? 'skip';
  });
  return { heads, rows, guessed };
}

/** Which number of a date comes first where both could be days. */
export type DateOrder = 'day-first' | 'month-first';

const months = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
const two = (n: number): string => String(n).padStart(2, '0');

/**
 * A day as people write it, as ISO 8601 has it.
 *
 * @returns undefined where there is no such day
 * @example dayIn('3.5.2026') // '2026-05-03'
 * @example dayIn('5/3/26', 'month-first') // '2026-05-03'
 * @example dayIn('3 May 2026') // '2026-05-03'
 */
export function dayIn(text: string, order: DateOrder = 'day-first'): string | undefined {
  const made = (year: number, month: number, day: number): string | undefined => {
    const full = year < 100 ? 2000 + year : year;
    const iso = `${full}-${two(month)}-${two(day)}`;
    return isDay(iso) ? iso : undefined;
  };
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})/.exec(text);
  if (iso) return made(Number(iso[1]), Number(iso[2]), Number(iso[3]));
  const plain = /^(\d{1,2})[./-](\d{1,2})[./-](\d{2,4})/.exec(text);
  if (plain) {
    const [a, b, year] = plain.slice(1).map(Number) as [number, number, number];
    const [day, month] = order === 'day-first' ? [a, b] : [b, a];
    return made(year, month, day) ?? made(year, day, month);
  }
  const named =
    /^(?:\w+,? )?(?:(\d{1,2})\.? ([A-Za-z]{3,})|([A-Za-z]{3,}) (\d{1,2})),? (\d{4})/.exec(text);
  if (!named) return undefined;
  const month = months.indexOf((named[2] ?? named[3])!.slice(0, 3).toLowerCase()) + 1;
  return month === 0 ? undefined : made(Number(named[5]), month, Number(named[1] ?? named[4]));
}

const numberIn = (text: string): number | undefined => {
  const found = /-?\d+(?:[.,]\d+)?/.exec(text);
  return found ? Number(found[0].replace(',', '.')) : undefined;
};

/** Words that stood for judgements in books that were handed out before; "fair" was one too, of 3, and is read as today. */
const formerJudgements: Readonly<Record<string, number>> = { 'so-so': 2, 'as it should be': 5 };

/** How it came out, by a number of five or ten, by marks, or by its words. */
function starsIn(text: string): number | undefined {
  const marks = (text.match(/[★⭐●*]/gu) ?? []).length;
  if (marks >= 1 && marks <= 5) return marks;
  const word = text.toLowerCase();
  const said = judgements.findIndex((judgement) => judgement.toLowerCase() === word);
  if (said >= 0) return said + 1;
  const former = formerJudgements[word];
  if (former !== undefined) return former;
  const value = numberIn(text);
  if (value === undefined || value < 0) return undefined;
  const ofTen = value > 5 || /\/\s*10\b/.test(text);
  const stars = Math.round(ofTen ? value / 2 : value);
  return value > 10 ? undefined : Math.min(5, Math.max(1, stars));
}

/** Where a dough was felt: points, or a word of the scale, at the middle of its stretch. */
function feltIn(text: string): number | undefined {
  const word = text.toLowerCase();
  const at = states.findIndex((s) => word.includes(s.short));
  if (at >= 0) {
    const from = at === 0 ? -14 : states[at - 1]!.below;
    return (from + Math.min(states[at]!.below, 20)) / 2;
  }
  const value = numberIn(text);
  return value !== undefined && Math.abs(value) <= 40 ? value : undefined;
}

/** A bake from before, as it is brought along. */
interface OldBake {
  /** Made of what the row says: the same row twice is one bake. */
  readonly id: string;
  readonly bread: string;
  readonly day: string;
  readonly events: readonly BakeEvent[];
}

/** A row that could not be read, and why. */
interface OldFault {
  readonly row: number;
  readonly says: string;
}

/** A short name of a text: FNV-1a, twice over, in base 36. Source: Fowler, Noll & Vo, public domain. */
function nameOf(text: string): string {
  const hash = (seed: number): number => {
    let h = seed;
    for (let i = 0; i < text.length; i += 1) {
      h ^= text.charCodeAt(i);
      h = Math.imul(h, 0x01000193);
    }
    return h >>> 0;
  };
  return hash(0x811c9dc5).toString(36) + hash(0x050c5d1f).toString(36);
}

/**
 * Bakes of somebody's table, by what its columns were said to be. What a row does not say is not made up.
 *
 * @returns the bakes, and the rows that could not be read
 * @example oldBakes(oldTable('date,bread\n2026-05-03,Rye'), ['day', 'bread']).bakes[0].day // '2026-05-03'
 */
export function oldBakes(
  { rows }: Pick<OldTable, 'rows'>,
  columns: readonly OldColumn[],
  order: DateOrder = 'day-first',
): { readonly bakes: readonly OldBake[]; readonly faults: readonly OldFault[] } {
  const bakes: OldBake[] = [];
  const faults: OldFault[] = [];
  const seen = new Set<string>();
  for (const [i, row] of rows.slice(0, mostOldBakes).entries()) {
    const cell = (of: OldColumn): string => (row[columns.indexOf(of)] ?? '').trim();
    const at = i + 2;
    const day = dayIn(cell('day'), order);
    if (day === undefined) {
      faults.push({ row: at, says: `“${cell('day').slice(0, 40)}” is no day` });
      continue;
    }
    const bread = cell('bread').slice(0, 200) || 'A bread from before';
    const id = `old-${nameOf(`${day}\n${row.join('\u001f')}`)}`;
    if (seen.has(id)) continue;
    seen.add(id);
    const moment = (minute: number) => `${day}T12:${two(minute)}:00.000Z`;
    const felt = feltIn(cell('felt'));
    const stars = starsIn(cell('stars'));
    const [height, before, after] = (['height', 'before', 'after'] as const).map((c) =>
      numberIn(cell(c)),
    );
    const note = cell('note').slice(0, 4000);
    const words = outcomeWords.filter((w) => note.toLowerCase().includes(w));
    const told = stars !== undefined || note !== '' || height !== undefined || after !== undefined;
    const events: BakeEvent[] = [
      ...(felt === undefined
        ? []
        : [{ id: `${id}-felt`, at: moment(0), kind: 'felt' as const, data: { points: felt } }]),
      ...(told
        ? [
            {
              id: `${id}-outcome`,
              at: moment(1),
              kind: 'outcome' as const,
              data: {
                ...(stars === undefined ? {} : { stars }),
                words,
                note,
                ...(height !== undefined && height >= 1 && height <= 1000 ? { height } : {}),
                ...(before !== undefined && after !== undefined && after > 0 && after <= before
                  ? { before, after }
                  : {}),
              },
            },
          ]
        : []),
      { id: `${id}-end`, at: moment(2), kind: 'finished' as const, data: {} },
    ];
    bakes.push({ id, bread, day, events });
  }
  if (rows.length > mostOldBakes)
    faults.push({ row: mostOldBakes + 2, says: `only the first ${mostOldBakes} rows were read` });
  return { bakes, faults };
}
