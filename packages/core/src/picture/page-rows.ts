import { hasFigure } from '../reader/has-figure.ts';
import { illegible } from '../reader/illegible.ts';
import { goesOn, type Open } from './goes-on.ts';
import { middle } from './middle.ts';
import { amountAlone, columnsOf, type Run } from './columns.ts';
import { withoutBullets } from './without-bullets.ts';
import { letterHeight, visualRows, type VisualRow } from './visual-rows.ts';
import { around, type Box, type PrintedWord } from './word.ts';

/** A row of a page as a recipe has it, with where it stands in the picture. */
export interface PageRow {
  readonly text: string;
  readonly box: Box;
  /** How surely its least sure figure was read, 0 to 1; 1 where it has none. */
  readonly figures: number;
  /** How surely its words were read, 0 to 1, in the middle of its letters. */
  readonly words: number;
}

/** A gap is between rows that stand so much further apart than rows mostly do. Own choice, no source. */
const paragraph = 1.4;
/** One or two letters that are so much higher than all others are none. Own choice, no source. */
const stain = 2.2;
/** Rows are missed where the next one stands so many rows further down. Own choice, no source. */
const missed = 1.6;
/** Words less sure than this in the middle of their letters are the weave of a cloth. Own choice, held to the cards. */
const nothingRead = 0.4;

/** So far the tails of letters reach out of their row, in heights of the letters: they are no row between. Own choice. */
const tail = 0.2;

/** How much ink a part of the picture has, in letters: what a row that nobody could read has left there. */
export type InkIn = (box: Box, letter: number) => number;
/** A row has at least so many letters. Own choice. */
const leastLetters = 2.5;

const surenessOf = (words: readonly PrintedWord[]): Pick<PageRow, 'figures' | 'words'> => {
  const letters = words.reduce((sum, w) => sum + w.text.length, 0);
  return {
    figures: Math.min(1, ...words.filter((w) => hasFigure(w.text)).map((w) => w.confidence)),
    words: words.reduce((sum, w) => sum + w.confidence * w.text.length, 0) / Math.max(1, letters),
  };
};

/** Leaders, borders and specks are no words. */
const isNothing = (text: string): boolean => !/[\p{L}\d½¼¾⅓⅔⅛%]/u.test(text);

/** The edge of a card or a frame beside an amount, taken for a letter; before a fraction it may be a one. */
const edge = /^[Il|!J[\](){}'"`.,:;~«»°*©•]{1,2}\s+(?=\d)(?!\d\/\d)/u;

/** Cells of a row as a text: a gap stays a gap where it parts a name from its amounts. */
function textOf({ cells }: VisualRow): string {
  const [first, ...rest] = cells;
  if (!first) return '';
  const gap = rest.length === 1 && amountAlone(first) ? ' ' : '   ';
  return cells
    .map((c) => c.text.trim())
    .join(gap)
    .replace(/^[|_=~\s]+|[|_=~\s]+$/g, '')
    .replace(edge, '');
}

const middleOf = ({ y0, y1 }: Box): number => (y0 + y1) / 2;

/** From one row of a run to the next, pixels: as it mostly is. */
const pitchOf = (run: Run): number =>
  middle(run.slice(1).map((row, i) => middleOf(row.box) - middleOf(run[i]!.box))) ?? Infinity;

/** A run's rows, those that were broken at its right edge put together again. */
function rowsOfRun(run: Run, height: number, ink: InkIn): PageRow[] {
  const [left, right] = [
    Math.min(...run.map((r) => r.box.x0)),
    Math.max(...run.map((r) => r.box.x1)),
  ];
  const pitch = pitchOf(run);
  const rows: PageRow[] = [];
  let open: Open | undefined;
  const close = (): void => {
    if (open && !isNothing(open.text))
      rows.push({ text: open.text, box: open.box, ...surenessOf(open.words) });
    open = undefined;
  };
  for (const row of run) {
    const text = textOf(row);
    const words = row.cells.flatMap((c) => c.words);
    if (open && goesOn(open, row, right, height)) {
      const broken = /\p{Ll}-$/u.test(open.text) && /^\p{Ll}/u.test(text);
      open = {
        text: broken ? open.text.slice(0, -1) + text : `${open.text} ${text}`,
        words: [...open.words, ...words],
        box: around([open.box, row.box]),
        last: row,
      };
      continue;
    }
    const last = open?.last.box;
    close();
    if (last) {
      const gap = {
        x0: left,
        x1: right,
        y0: last.y1 + tail * height,
        y1: row.box.y0 - tail * height,
      };
      const step = (middleOf(row.box) - middleOf(last)) / pitch;
      if (step >= missed && ink(gap, height) >= leastLetters)
        rows.push({ text: illegible, box: gap, figures: 0, words: 0 });
      else if (step > paragraph) rows.push({ text: '', box: row.box, figures: 1, words: 1 });
    }
    open = { text, words, box: row.box, last: row };
  }
  close();
  return rows;
}

/** Rows of which hardly a letter was read are none: the cloth on which the card lies, a thumb. */
const isRow = ({ cells }: VisualRow): boolean =>
  surenessOf(cells.flatMap((c) => c.words)).words >= nothingRead;

/**
 * The words of an upright page as the rows of a recipe: columns one after another, tables row by row, broken rows whole.
 * An empty text stands where there is a gap, `illegible` where there is ink and no word was read.
 *
 * @param words with their places; those of an upright page
 * @param ink tells of ink where no words are; absent where it is no picture
 * @example rowsOfPage(wordsOfCard).map((r) => r.text) // ['Towpath loaf', '', '500 g bread flour', '320 g water']
 */
export function rowsOfPage(words: readonly PrintedWord[], ink: InkIn = () => 0): PageRow[] {
  const height = letterHeight(words);
  const told = words.filter(
    ({ text, box }) =>
      text.trim() !== '' &&
      !/^[|_=~—–]+$/.test(text) &&
      // A bar or a stain beside the rows, taken for a letter or two.
      !(text.length <= 2 && box.y1 - box.y0 > stain * height),
  );
  return columnsOf(visualRows(told).filter(isRow))
    .map((run) => withoutBullets(run, height))
    .flatMap((run, i) => [
      ...(i > 0 ? [{ text: '', box: run[0]!.box, figures: 1, words: 1 }] : []),
      ...rowsOfRun(run, height, ink),
    ]);
}
