import { coefficients } from '../coefficients/coefficients.ts';
import { numberPattern, parseNumber } from '../quantity/fraction.ts';
import { inFigures } from './number-words.ts';
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
  /** A range, as it was written: the amount is its middle. */
  readonly between?: readonly [string, string];
}

/** How a text writes decimals: with a point where nothing says otherwise. */
export type NumberStyle = 'point' | 'comma';

/**
 * How a whole text writes its decimals: by the comma where it has more of those than of points.
 *
 * @example numberStyle('0,250 l milk\n1.000 g flour') // 'comma'
 */
export function numberStyle(text: string): NumberStyle {
  const count = (pattern: RegExp) => (text.match(pattern) ?? []).length;
  const commas = count(/\d,\d{1,2}(?!\d)|(?<!\d)0,\d/g);
  const points = count(/\d\.\d{1,2}(?!\d)|(?<!\d)0\.\d/g);
  return commas > points ? 'comma' : 'point';
}

const approximately =
  '(?<about>(?:about|approx(?:imately|\\.)?|ca\\.?|circa|roughly|around|nearly|almost|just over|just under|scant|generous|~|≈)\\s*)?';
const number = `(?:${numberPattern})`;
const manners =
  'heaping|heaped|rounded|generous|scant|level|levelled|good|full|large|big|small|mounded|packed|overflowing';
const amountExpression = new RegExp(
  `^${approximately}(?<minus>[-−]\\s*)?(?<first>${number})(?:\\s*(?:-|–|—|to|or)\\s*(?<second>${number}))?` +
    `\\s*(?<manner>(?:${manners})\\s+)?(?:(?<unit>[Tt](?![\\p{L}])\\.?|${unitPattern}))?` +
    `(?<manner2>\\s+(?:${manners})(?!\\p{L}))?(?:\\s+of(?!\\p{L}))?`,
  'iu',
);
const barePinch =
  /^(?:pinch|dash|sprinkle|sprinkling|prise|pizzico|pincée)(?:es)?(?:\s+(?:of|di|de))?(?!\p{L})/iu;
const bareUnit = /^(?<unit>handful|knob|splash|drizzle|glug|dollop|bunch)(?:\s+of)?(?!\p{L})/iu;

const heaped = /heap|rounded|mounded|overflowing|generous|good/i;

/** Standard deviation of a rectangular distribution over a range, as a share of its middle. */
const rangeSpread = (low: number, high: number): number =>
  Math.abs(high - low) / (low + high) / Math.sqrt(3);

/** A number in the text's own style: "1.000" is a thousand where decimals have a comma. */
function valueOf(text: string, style: NumberStyle, unit: ReadUnit | undefined): number | undefined {
  const grouped = /^[1-9]\d{0,2}\.\d{3}$/.test(text);
  // A thousandth of a gram is weighed by nobody.
  const small = unit?.unit === 'g' || unit?.unit === 'ml';
  if (grouped && (style === 'comma' || small)) return Number(text.replace('.', ''));
  return parseNumber(style === 'comma' ? text.replace(',', '.') : text);
}

/**
 * Reads an amount at the start of a text.
 *
 * @returns the amount and the text behind it; undefined where the text does not start with one
 * @example readAmount('1-2 tbsp honey') // {amount: {amount: 1.5, unit: tablespoon, spread: .19}, rest: 'honey'}
 */
export function readAmount(
  given: string,
  style: NumberStyle = 'point',
): { amount: ReadAmount; rest: string } | undefined {
  const bare = given.replace(
    /^(?:an?|one)\s+(?:(?:small|good|big|large|generous)\s+)?(?=pinch|dash|sprinkl|handful|knob|splash|drizzle|glug|dollop|bunch)/i,
    '',
  );
  const pinch = barePinch.exec(bare);
  if (pinch) {
    const unit = unitNamed('pinch');
    return { amount: { amount: 1, unit, spread: 0.4 }, rest: bare.slice(pinch[0].length).trim() };
  }
  const lone = bareUnit.exec(bare);
  if (lone?.groups) {
    const unit = unitNamed(lone.groups['unit']!);
    return { amount: { amount: 1, unit, spread: 0.3 }, rest: bare.slice(lone[0].length).trim() };
  }
  const text = inFigures(given);
  const match = amountExpression.exec(text);
  if (!match?.groups) return undefined;
  const { about, minus, first, second, manner, manner2 } = match.groups;
  let unit = match.groups['unit'];
  let rest = text.slice(match[0].length).trim();
  // "2 L eggs" are two large eggs.
  if (unit && /^l\.?$/i.test(unit) && /^eggs?\b/i.test(rest)) unit = undefined;
  const unitRead = unit === undefined ? undefined : unitNamed(unit);
  const one = valueOf(first!, style, unitRead);
  if (one === undefined) return undefined;
  rest = rest.replace(/^(?:heaping|heaped|level|levelled)\s+/i, '');

  let amount = one;
  let between: readonly [string, string] | undefined;
  let spread = about ? coefficients.about.value : 0;
  const two = second === undefined ? undefined : valueOf(second, style, unitRead);
  if (two !== undefined) {
    // "1-1/2" is one and a half, not a range that runs backwards.
    if (two < 1 && one >= 1 && Number.isInteger(one)) amount = one + two;
    else {
      amount = (one + two) / 2;
      spread = Math.hypot(spread, rangeSpread(one, two));
      between = [first!, second!];
    }
  }
  if (unitRead?.unit === 'pinch') spread = Math.hypot(spread, 0.4);
  const spoons = unitRead?.kind === 'volume';
  return {
    amount: {
      amount: minus ? -amount : amount,
      unit: unitRead,
      spread,
      ...(between ? { between } : {}),
      ...(spoons && heaped.test(manner ?? manner2 ?? '') ? { heaped: true } : {}),
    },
    rest,
  };
}
