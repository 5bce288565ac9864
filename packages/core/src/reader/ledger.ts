import { numberPattern } from '../quantity/fraction.ts';
import type { ReadAs, ReadRecipe, ReadRow } from './read.ts';
import { unitPattern } from './units.ts';

/** Where an amount of a text went. */
export type Destination =
  | 'dough'
  | 'outside'
  /** Of a part that is built above, and counted there. */
  | 'part'
  | 'step'
  | 'yield'
  | 'note'
  | 'question'
  /** Of another recipe in the same text. */
  | 'other';

/** A piece of a row as it was written, and where an amount in it went. */
export interface LedgerPiece {
  readonly text: string;
  /** Absent where it is no amount. */
  readonly to?: Destination;
}

/** A row of the text, with all its amounts marked. */
export interface LedgerRow {
  /** The line of the text, from 1. */
  readonly line: number;
  /** As it was written: what answers of the baker are kept under. */
  readonly text: string;
  readonly as: ReadAs;
  readonly to: Destination;
  readonly pieces: readonly LedgerPiece[];
  /** Ids of the lines that it became. */
  readonly lines: readonly string[];
  /** What was taken for granted of it. */
  readonly assumed: readonly string[];
  /** The baker may move it: into the dough, or out of it. */
  readonly moves?: 'out' | 'in';
}

/** Where a row goes, and so what it weighs. */
const destinations: Readonly<Record<ReadAs, Destination>> = {
  line: 'dough',
  outside: 'outside',
  reference: 'part',
  step: 'step',
  yield: 'yield',
  note: 'note',
  title: 'note',
  heading: 'note',
  other: 'other',
  unread: 'question',
};

const amounts = new RegExp(
  String.raw`(?<![\p{L}\d.,/])(?:${numberPattern})(?:\s*(?:-|–|—|to|x|×)\s*(?:${numberPattern}))?(?:\s*(?:${unitPattern})(?![\p{L}\d])|\s*%)?|(?<![\p{L}\d])(?:an?|half an?|one|two|three)\s+(?:good |scant |heaped |level |small |large )?(?:${unitPattern})(?![\p{L}\d])`,
  'giu',
);
/** Figures that weigh nothing: how warm, how long, how large, how strong. */
const weighsNothing =
  /^\s*(?:°|º|degrees?\b|C\b|F\b|min\w*|hours?\b|hrs?\b|h\b|days?\b|cm\b|mm\b|inch\w*|in\b|″|")/iu;

/** What stands first in a text, of its amounts. */
const firstAmount = (text: string): string => (text.match(amounts)?.[0] ?? '').trim();

function piecesOf(text: string, to: Destination, beside: readonly string[]): LedgerPiece[] {
  const pieces: LedgerPiece[] = [];
  const outside = beside.map(firstAmount);
  // From behind: what is for something else stands behind what is for the dough.
  const isOutside = new Set(
    outside.map(
      (amount) => [...text.matchAll(amounts)].findLast((m) => m[0].trim() === amount)?.index,
    ),
  );
  let at = 0;
  for (const match of text.matchAll(amounts)) {
    const end = match.index + match[0].length;
    if (match[0].trim() === '' || (match.index === 0 && /^[.)]\s/.test(text.slice(end)))) continue;
    if (match.index > at) pieces.push({ text: text.slice(at, match.index) });
    // In a line of the dough what is no measure stays with the line, and is said there.
    const note = weighsNothing.test(text.slice(end)) || /%$/.test(match[0]);
    const here = isOutside.has(match.index) ? 'outside' : to;
    pieces.push({ text: match[0], to: here === 'dough' && note ? 'note' : here });
    at = end;
  }
  if (at < text.length) pieces.push({ text: text.slice(at) });
  return pieces;
}

const movesOf = ({ as }: ReadRow): LedgerRow['moves'] =>
  as === 'line' ? 'out' : as === 'outside' ? 'in' : undefined;

/**
 * A reading accounted for by place: every row of the text, every amount in it, and where each went. What was asked
 * about is a question, and no amount is without a destination.
 *
 * @example ledgerOf(readRecipe('500 g bread flour\nMakes 2 loaves', reader)).map((r) => r.to) // ['dough', 'yield']
 */
export const ledgerOf = ({
  rows,
  assumptions,
}: Pick<ReadRecipe, 'rows' | 'assumptions'>): LedgerRow[] =>
  rows.map((row, i) => {
    const to = destinations[row.as];
    const moves = movesOf(row);
    return {
      line: row.line,
      text: row.text,
      as: row.as,
      to,
      pieces: piecesOf(row.text, to, row.beside ?? []),
      lines: row.lines ?? [],
      assumed: [
        ...new Set(
          assumptions
            .filter((a) =>
              a.row === undefined ? i === 0 : a.line === row.line && a.row === row.text,
            )
            .map((a) => a.text),
        ),
      ],
      ...(moves ? { moves } : {}),
    };
  });
