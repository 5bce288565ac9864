import { commonPractice, figure } from '../figure/figure.ts';
import { refuse, type Refused } from '../quantity/refusal.ts';
import { usualPiece, type Form } from '../style/form.ts';
import { mostOfPieces } from '../bake/event-kinds.ts';

/** What stays on hands, scraper and bench, as a share of the dough. Handbook section 12: 1 to 2 %. */
export const scraps = figure(0.015, 'share of the dough', 0.005, commonPractice);

/** What a piece of a form usually weighs, raw grams. */
interface FormRow {
  readonly label: string;
  readonly usual: readonly [least: number, most: number];
  /** How it is shaped, in a sentence or two. */
  readonly how: string;
  /** Why so. */
  readonly why?: string;
  readonly source: string;
}

const tight = 'A tight skin keeps it tall.';

/** One row a form. Handbook section 12. */
export const formRows: Readonly<Record<Form, FormRow>> = {
  loaf: {
    label: 'one loaf, or some',
    usual: usualPiece.loaf,
    how: 'Press it flat, fold both sides in, roll it up tightly towards you; seam below.',
    why: tight,
    source: commonPractice,
  },
  rolls: {
    label: 'rolls',
    usual: usualPiece.rolls,
    how: 'Cup your hand over the piece and roll it in small circles until its skin is tight.',
    why: tight,
    source: commonPractice,
  },
  rings: {
    label: 'rings',
    usual: usualPiece.rings,
    how: 'Make a ball, push a thumb through the middle, and turn it on two fingers until the hole is twice as wide as you want.',
    source: 'bagels, from memory',
  },
  balls: {
    label: 'balls for pizza or flatbread',
    usual: usualPiece.balls,
    how: 'Pull its edges under until the top is smooth, pinch it shut below; oil it, and let it rest before it is stretched.',
    source: commonPractice,
  },
  plait: {
    label: 'a plait',
    usual: usualPiece.plait,
    how: 'Roll each piece to a rope, let all of them rest for five minutes, then plait loosely: it grows.',
    source: 'strands, common practice, no source',
  },
  sticks: {
    label: 'sticks',
    usual: usualPiece.sticks,
    how: 'Press it to a rectangle, fold it in three, rest it; then roll it out from the middle with both hands.',
    source: commonPractice,
  },
  flat: {
    label: 'one flat sheet',
    usual: usualPiece.flat,
    how: 'Oil the tray and your hands, press it out from the middle; where it springs back, wait ten minutes.',
    source: commonPractice,
  },
};

/** How a dough is divided. */
export interface Division {
  /** What each piece is to weigh, grams. */
  readonly each: number;
  /** What is lost to hands and bench. */
  readonly scraps: number;
  /** What is left to divide. */
  readonly whole: number;
  /** Beyond what such pieces usually weigh. */
  readonly unusual?: string;
}

/**
 * What each of equal pieces weighs: the dough without what clings and without what is set aside.
 *
 * @param dough grams
 * @returns refused for no pieces, or more than a bench holds
 * @example divide(1000, 8) // {each: 123.125, scraps: 15, whole: 985}
 */
export function divide(
  dough: number,
  pieces: number,
  { aside = 0, form }: { aside?: number; form?: Form } = {},
): Division | Refused {
  if (!(Number.isInteger(pieces) && pieces >= 1 && pieces <= mostOfPieces)) {
    return refuse('pieces', `It is divided into 1 to ${mostOfPieces} pieces.`);
  }
  const lost = dough * scraps.value;
  const whole = dough - lost - aside;
  const each = whole / pieces;
  if (!(each > 0)) return refuse('no-dough', 'Nothing would be left to divide.');
  const [least, most] = form ? formRows[form].usual : [0, Infinity];
  const unusual =
    each < least
      ? `lighter than usual (${least} to ${most} g)`
      : each > most
        ? `heavier than usual (${least} to ${most} g)`
        : undefined;
  return { each, scraps: lost, whole, ...(unusual ? { unusual } : {}) };
}

/** Where a division stands while pieces are weighed one after the other. */
interface Dividing {
  /** What the next piece is to weigh: what is left, spread over those still to come. */
  readonly next: number;
  readonly left: number;
  readonly done: number;
  /** All pieces are there: what is over is spread over them, so much each. */
  readonly over?: number;
}

/**
 * What the next piece is to weigh so that the leftover is spread over the pieces and not left on the bench.
 *
 * @param dough grams to divide, scraps and what is set aside taken off
 * @param weighed pieces so far, grams
 * @example dividing(800, 8, [110, 95]).next // 99.2
 */
export function dividing(dough: number, pieces: number, weighed: readonly number[]): Dividing {
  const left = dough - weighed.reduce((sum, g) => sum + g, 0);
  const open = pieces - weighed.length;
  return open > 0
    ? { next: Math.max(0, left / open), left, done: weighed.length }
    : { next: 0, left, done: weighed.length, over: left / pieces };
}

/**
 * What a scale shows in turn where all pieces go into one pan, from the next one on.
 *
 * @param dough grams to divide, scraps and what is set aside taken off
 * @param weighed pieces that lie in it already, grams
 * @example panMarks(900, 9, []).slice(0, 2) // [100, 200]
 */
export function panMarks(dough: number, pieces: number, weighed: readonly number[]): number[] {
  const { next } = dividing(dough, pieces, weighed);
  const there = weighed.reduce((sum, g) => sum + g, 0);
  const open = Math.max(0, pieces - weighed.length);
  return Array.from({ length: open }, (_, i) => there + next * (i + 1));
}

/**
 * What a piece weighs by a scale that shows all that lies in the pan.
 *
 * @param weighed pieces that lie in it already, grams
 * @example pieceOnTop(310, [100, 105]) // 105
 */
export const pieceOnTop = (shown: number, weighed: readonly number[]): number =>
  shown - weighed.reduce((sum, g) => sum + g, 0);

/** A piece further off than this from what it was to be is said, as a share. Common practice, no source. */
export const pieceSlack = 0.05;

/**
 * Flour of a batch from which a household's custom holds, and what it sets aside.
 *
 * @returns undefined where there is no custom, or it does not hold for so little
 * @example setAside({name: 'set aside', fromFlour: 1200, grams: 30}, 1000) // undefined
 */
export const setAside = (
  custom: { readonly name: string; readonly fromFlour: number; readonly grams: number } | undefined,
  flour: number,
): number | undefined => (custom && flour >= custom.fromFlour ? custom.grams : undefined);
