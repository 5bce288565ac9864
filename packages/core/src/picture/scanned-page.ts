import { illegible } from '../reader/illegible.ts';
import { middle } from './middle.ts';
import type { PageRow } from './page-rows.ts';

/** A page that was read: with its picture where it is a photo. */
export interface ScannedPage {
  /** Of its picture; absent where it has none. */
  readonly id?: string;
  readonly width?: number;
  readonly height?: number;
  readonly rows: readonly PageRow[];
}

/** A row of a text, and where it stands in a picture. */
export interface PlacedRow {
  readonly page: ScannedPage;
  readonly row: PageRow;
  /** How high it is against the other rows of its page: a title stands higher. */
  readonly high: number;
}

const heightOf = ({ box }: PageRow): number => box.y1 - box.y0;

/** How high the middle row of a page is, pixels. */
const usualHeight = (rows: readonly PageRow[]): number =>
  Math.max(1, middle(rows.map(heightOf)) ?? 1);

/**
 * Less sure than this, a figure is asked about, and so is a row whose words are less sure than that. Own choices, held to
 * the tests' cards: of what a second look agrees on, more would be asked about at .8 and no less read wrongly.
 */
const [sureFigures, sureWords] = [0.6, 0.6];

/**
 * Whether a row was hard to read, so that its figures are asked about.
 *
 * @example isUnclear({text: '2 cup milk', figures: .58, words: .8, box}) // true
 */
export const isUnclear = ({ text, figures, words }: PageRow): boolean =>
  text !== '' && (figures < sureFigures || words < sureWords);

/**
 * Where the rows of a text stand in the pictures that it was read from. A row that was typed over stands in none.
 *
 * @returns by the lines of the text, counted from 1
 * @example placedRows('500 g flour', [page]).get(1)!.row.box
 */
export function placedRows(
  text: string,
  pages: readonly ScannedPage[],
): ReadonlyMap<number, PlacedRow> {
  const open = pages.flatMap((page) => {
    const rows = page.rows.filter((r) => r.text !== '');
    const usual = usualHeight(rows);
    return rows.map((row) => ({ page, row, high: heightOf(row) / usual }));
  });
  const found = new Map<number, PlacedRow>();
  if (open.length === 0) return found;
  text.split('\n').forEach((line, i) => {
    const at = open.findIndex(({ row }) => row.text === line.trim());
    if (at < 0) return;
    found.set(i + 1, open[at]!);
    open.splice(at, 1);
  });
  return found;
}

/** The text of pages, one after another. */
export const textOf = (rows: readonly Pick<PageRow, 'text'>[]): string =>
  rows
    .map((r) => r.text)
    .join('\n')
    .trim();

/** Letters that must be clear before a page is one that can be read: a short row. Own choice, no source. */
const leastClear = 12;
/** And of all its rows so many. Own choice, no source. */
const clearShare = 0.4;

/**
 * Whether a page was read at all: handwriting, a cat and a blank sheet give a few rows of nonsense, or none.
 *
 * @example isReadable([]) // false
 */
export function isReadable(rows: readonly PageRow[]): boolean {
  const told = rows.filter((r) => r.text !== '');
  const clear = told.filter(
    (r) => r.words >= sureWords && r.text !== illegible && /\p{L}{3}/u.test(r.text),
  );
  const letters = clear.reduce((sum, r) => sum + r.text.length, 0);
  return letters >= leastClear && clear.length >= clearShare * told.length;
}
