import { middle } from './middle.ts';
import { around, levelWith, type Box, type PrintedWord } from './word.ts';

/** What stands together in a row of a page, a wide gap before it and behind. */
export interface Cell {
  readonly words: readonly PrintedWord[];
  readonly text: string;
  readonly box: Box;
}

/** What stands at one height across a page. */
export interface VisualRow {
  readonly cells: readonly Cell[];
  readonly box: Box;
}

/** Words overlap so far in height where they stand in one row, as a share. Own choice, no source. */
const sameRow = 0.5;
/** A gap wider than so many heights of the letters parts cells: a space has half of one. Own choice, no source. */
const wideGap = 1.5;

const cellOf = (words: readonly PrintedWord[]): Cell => ({
  words,
  text: words.map((w) => w.text).join(' '),
  box: around(words.map((w) => w.box)),
});

/** How high the letters of a page are, pixels: that of its middle word. */
export const letterHeight = (words: readonly PrintedWord[]): number =>
  Math.max(
    1,
    middle(words.filter((w) => /[\p{L}\d]/u.test(w.text)).map((w) => w.box.y1 - w.box.y0)) ?? 1,
  );

/** Puts a row's words from the left, parted where a gap is wide. */
export function rowOf(words: readonly PrintedWord[], height: number): VisualRow {
  const sorted = [...words].sort((a, b) => a.box.x0 - b.box.x0);
  const cells: PrintedWord[][] = [];
  let end = -Infinity;
  for (const word of sorted) {
    if (word.box.x0 - end > wideGap * height) cells.push([]);
    cells.at(-1)!.push(word);
    end = Math.max(end, word.box.x1);
  }
  return { cells: cells.map(cellOf), box: around(words.map((w) => w.box)) };
}

/**
 * The words of an upright page as rows, from the top, by their height on it.
 *
 * @example visualRows(wordsOfCard)[0].cells[0].text // 'Towpath loaf'
 */
export function visualRows(words: readonly PrintedWord[]): VisualRow[] {
  const height = letterHeight(words);
  const rows: Array<{ words: PrintedWord[]; band: Box }> = [];
  // Usual letters first: what a comma overlaps says little of where its row stands, and a stain is as high as three rows.
  const odd = ({ box }: PrintedWord): number => Math.abs(Math.log((box.y1 - box.y0) / height));
  const sorted = [...words].sort((a, b) => odd(a) - odd(b));
  for (const word of sorted) {
    let [best, most] = [undefined as (typeof rows)[number] | undefined, sameRow];
    for (const row of rows) {
      const level = levelWith(row.band, word.box);
      if (level > most) [best, most] = [row, level];
    }
    if (best) best.words.push(word);
    else rows.push({ words: [word], band: word.box });
  }
  return rows
    .sort((a, b) => a.band.y0 + a.band.y1 - b.band.y0 - b.band.y1)
    .map((row) => rowOf(row.words, height));
}
