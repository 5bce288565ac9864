import { hasFigure } from '../reader/has-figure.ts';
import { levelWith, type Box, type PrintedWord } from './word.ts';

/** Two words are at one place where so much of the shorter one is in the other. Own choice, no source. */
const samePlace = 0.5;
/** So sure is a figure at most that a second look takes for another. Own choice: it is asked about. */
const disputed = 0.4;

const across = (one: Box, other: Box): number =>
  Math.max(0, Math.min(one.x1, other.x1) - Math.max(one.x0, other.x0)) /
  Math.max(1, Math.min(one.x1 - one.x0, other.x1 - other.x0));

/** Figures and fractions of a word; stops and brackets are nobody's. */
const figuresOf = (text: string): string =>
  text.replace(/[^\d½¼¾⅓⅔⅛%/.,]/g, '').replace(/[.,]+$/, '');

/**
 * The words of a first look at a page, held against a second one that was taken of it at another size: a figure that both
 * have is as sure as the surer of the two, one that the second takes for another is in dispute. What is printed badly is
 * seldom misread in the same way twice.
 *
 * @returns the first look's words
 * @example agreed([{text: '530', confidence: .9, box: {x0: 0, y0: 0, x1: 30, y1: 20}}], [{text: '538', confidence: .8, box: {x0: 0, y0: 0, x1: 30, y1: 20}}])[0].confidence // .4
 */
export function agreed(
  first: readonly PrintedWord[],
  second: readonly PrintedWord[],
): PrintedWord[] {
  return first.map((word) => {
    if (!hasFigure(word.text)) return word;
    const there = second
      .filter(
        (w) => levelWith(w.box, word.box) >= samePlace && across(w.box, word.box) >= samePlace,
      )
      .sort((a, b) => a.box.x0 - b.box.x0);
    const same =
      there.length > 0 && figuresOf(there.map((w) => w.text).join('')) === figuresOf(word.text);
    return same
      ? { ...word, confidence: Math.max(word.confidence, ...there.map((w) => w.confidence)) }
      : { ...word, confidence: Math.min(word.confidence, disputed) };
  });
}
