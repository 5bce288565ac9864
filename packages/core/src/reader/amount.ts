import { coefficients } from '../household/coefficients.ts';
import { numberPattern, parseNumber } from '../quantity/fraction.ts';
import { unitNamed, unitPattern, type ReadUnit } from './units.ts';

/** An amount as a recipe writes it, before it is known of what. */
export interface ReadAmount {
  readonly amount: number;
  /** Absent where things are counted: "2 eggs". */
  readonly unit?: ReadUnit;
  /** Doubt that the words put on the amount, as a share. */
  readonly spread: number;
  /** So much heaps up on the spoon as the household's figure says. */
  readonly heaped?: boolean;
}

const countWords: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  half: 0.5,
  quarter: 0.25,
};

const approximately =
  '(?<about>(?:about|approx(?:imately|\\.)?|ca\\.?|circa|roughly|around|~|≈)\\s*)?';
const number = `(?:${numberPattern})`;
const word = `(?:half\\s+an?|quarter\\s+of\\s+an?|${Object.keys(countWords).join('|')})(?!\\p{L})`;
const amountExpression = new RegExp(
  `^${approximately}(?<minus>[-−]\\s*)?(?:(?<first>${number})(?:\\s*(?:-|–|—|to|or)\\s*(?<second>${number}))?|(?<word>${word}))` +
    `\\s*(?<manner>(?:heaping|heaped|rounded|generous|scant|level|good)\\s+)?(?:(?<unit>[Tt](?![\\p{L}])\\.?|${unitPattern}))?` +
    `(?<manner2>\\s+(?:heaping|heaped|rounded|generous|scant|level)(?!\\p{L}))?(?:\\s+of(?!\\p{L}))?`,
  'iu',
);
const barePinch = /^(?:pinch|dash)(?:es)?(?:\s+of)?(?!\p{L})/iu;

const heaped = /heap|rounded|generous|good/i;

/** Standard deviation of a rectangular distribution over a range, as a share of its middle. */
const rangeSpread = (low: number, high: number): number =>
  Math.abs(high - low) / (low + high) / Math.sqrt(3);

/**
 * Reads an amount at the start of a text.
 *
 * @returns the amount and the text behind it; undefined where the text does not start with one
 * @example readAmount('1-2 tbsp honey') // {amount: {amount: 1.5, unit: tablespoon, spread: .19}, rest: 'honey'}
 */
export function readAmount(text: string): { amount: ReadAmount; rest: string } | undefined {
  const pinch = barePinch.exec(text);
  if (pinch) {
    const unit = unitNamed('pinch');
    return { amount: { amount: 1, unit, spread: 0.4 }, rest: text.slice(pinch[0].length).trim() };
  }
  const match = amountExpression.exec(text);
  if (!match?.groups) return undefined;
  const { about, minus, first, second, word: counted, manner, manner2, unit } = match.groups;
  const one = first !== undefined ? parseNumber(first) : wordValue(counted!);
  if (one === undefined) return undefined;
  const unitRead = unit === undefined ? undefined : unitNamed(unit);

  let amount = one;
  let spread = about ? coefficients.about.value : 0;
  const two = second === undefined ? undefined : parseNumber(second);
  if (two !== undefined) {
    // "1-1/2" is one and a half, not a range that runs backwards.
    if (two < 1 && one >= 1 && Number.isInteger(one)) amount = one + two;
    else {
      amount = (one + two) / 2;
      spread = Math.hypot(spread, rangeSpread(one, two));
    }
  }
  if (unitRead?.kind === 'volume' && unitRead.unit === 'pinch') spread = Math.hypot(spread, 0.4);
  return {
    amount: {
      amount: minus ? -amount : amount,
      unit: unitRead,
      spread,
      ...(heaped.test(manner ?? manner2 ?? '') ? { heaped: true } : {}),
    },
    rest: text.slice(match[0].length).trim(),
  };
}

function wordValue(text: string): number | undefined {
  const [head] = text.toLowerCase().split(/\s+/);
  return countWords[head!];
}
