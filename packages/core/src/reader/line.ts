import type { MeasuringMethod } from '../formula/formula.ts';
import { gramsByVolume, gramsPerPiece } from '../ingredient/measure-weight.ts';
import type { Ingredient } from '../ingredient/ingredient.ts';
import { commonPractice, figure } from '../figure/figure.ts';
import type { Refusal } from '../quantity/refusal.ts';
import { leastGrams, mostGrams, toGrams } from '../quantity/mass.ts';
import type { Measures } from '../quantity/measures.ts';
import { coefficients, type Coefficients } from '../household/coefficients.ts';
import { readAmount, type ReadAmount } from './amount.ts';
import { matchIngredient } from './match.ts';

/** Why a line could not be read. */
export type UnreadCode =
  | 'no-amount'
  | 'no-unit'
  | 'unknown'
  | 'negative'
  | 'absurd'
  | 'no-weight'
  | 'not-in-dough'
  | 'too-long';

export type CannotRead = Refusal<UnreadCode>;

/** A line that was read: so much of that. */
export interface ReadLine {
  /** Text that names the ingredient. */
  readonly what: string;
  readonly of: Ingredient;
  readonly grams: number;
  readonly measured: MeasuringMethod;
  readonly spread: number;
  readonly note?: string;
}

/** A stick of butter: half a US cup. */
const stick = figure(113.4, 'g', 1, commonPractice);

/** Longest line that is read, characters. */
export const longestLine = 500;

/** What a weighed amount comes in: "1/4 oz package yeast". */
const container = /^(?:packet|package|pkg|sachet|envelope|pack|bag|tin|can|jar)s?(?:\s+of)?\s+/i;

const notForDough =
  /\bfor (dusting|brushing|glazing|greasing|the tin|the pan|rolling|sprinkling)\b/i;

const unread = (code: UnreadCode, says: string): CannotRead => ({ code, says });

/** Brackets out, and what stands behind a comma after the name: notes. */
function partNotes(text: string): { body: string; notes: string[] } {
  const notes: string[] = [];
  const body = text
    .replace(/[([]([^)\]]*)[)\]]?/g, (_, note: string) => {
      if (note.trim()) notes.push(note.trim());
      return ' ';
    })
    .replace(/\s+/g, ' ')
    .trim();
  return { body, notes };
}

/** Splits "500 g flour" or "flour: 500 g" into amount and name. */
function splitAmount(body: string): { amounts: ReadAmount[]; what: string } | undefined {
  const leading = readAmount(body);
  if (leading) return joined(leading);
  const trailing = /^(?<what>\D*?[\p{L})])\s*[:,–—-]?\s+(?<amount>[~≈\d¼½¾⅓⅔⅛⅜⅝⅞−-].*)$/u.exec(
    body,
  );
  if (!trailing?.groups) return undefined;
  const amount = readAmount(trailing.groups['amount']!);
  return amount && /^[\s,.]*(?:\d+([.,]\d+)?\s*%)?$/.test(amount.rest)
    ? { amounts: [amount.amount], what: trailing.groups['what']! }
    : undefined;
}

/** "3 cups plus 2 tablespoons flour", "500 g / 4 cups flour", "2 lb 3 oz flour". */
function joined(first: { amount: ReadAmount; rest: string }) {
  const more = /^(?<link>plus|and|\+|&|\/|\||or)\s*(?<tail>.*)$/iu.exec(first.rest);
  const ounces = first.amount.unit?.kind === 'mass' ? readAmount(first.rest) : undefined;
  if (!more && ounces?.amount.unit?.kind === 'mass') {
    return { amounts: [first.amount, ounces.amount], what: ounces.rest };
  }
  const second = more?.groups && readAmount(more.groups['tail']!);
  if (!second || !second.amount.unit) return { amounts: [first.amount], what: first.rest };
  const sums = /plus|and|\+|&/i.test(more!.groups!['link']!);
  if (sums) return { amounts: [first.amount, second.amount], what: second.rest };
  const weighed = [first.amount, second.amount].find((a) => a.unit?.kind === 'mass');
  return { amounts: [weighed ?? first.amount], what: second.rest };
}

/** Grams of an amount of an ingredient, or why it cannot be told. */
function weigh(
  read: ReadAmount,
  of: Ingredient,
  measures: Measures,
  { heaping }: Coefficients,
): Pick<ReadLine, 'grams' | 'measured' | 'spread'> | CannotRead {
  const { unit, heaped } = read;
  const amount = heaped ? read.amount * (1 + heaping.value) : read.amount;
  const spread = heaped ? Math.hypot(read.spread, heaping.sd) : read.spread;
  if (unit?.kind === 'mass')
    return { grams: toGrams(amount, unit.unit), measured: 'scale', spread };
  if (unit?.kind === 'volume') {
    const grams = gramsByVolume(amount, unit.unit, of, measures);
    return grams === undefined
      ? unread('no-weight', `it is not known what ${of.name} weighs by volume: write grams`)
      : { grams, measured: 'volume', spread };
  }
  if (unit?.kind === 'stick') {
    return of.role === 'fat'
      ? { grams: amount * stick.value, measured: 'count', spread }
      : unread('no-weight', `a stick is known of butter only, not of ${of.name}: write grams`);
  }
  const piece = gramsPerPiece(of, measures);
  const counts = unit?.kind === 'packet' ? of.role === 'leaven' : of.role === 'egg';
  if (piece && counts) return { grams: amount * piece.value, measured: 'count', spread };
  return unit
    ? unread('no-weight', `it is not known what a packet of ${of.name} weighs: write grams`)
    : unread('no-unit', `an amount without a unit: is it ${amount} g?`);
}

/**
 * Reads an amount typed beside a known ingredient: "2 cups", "1½ tbsp", "250 g", "2" of eggs, or a bare
 * number, which is grams.
 *
 * @example readMeasure('1½ tbsp', ingredient('honey'), defaultMeasures).grams // 31.78
 */
export function readMeasure(
  text: string,
  of: Ingredient,
  measures: Measures,
  table: Coefficients = coefficients,
): Pick<ReadLine, 'grams' | 'measured' | 'spread'> | CannotRead {
  const read = readAmount(text.trim());
  if (!read || read.rest) return unread('no-amount', 'an amount such as 2 cups, 1½ tbsp or 250 g');
  if (read.amount.amount < 0) return unread('negative', 'an amount below zero');
  const counted = !read.amount.unit && of.role !== 'egg';
  const weighed = counted
    ? { grams: read.amount.amount, measured: 'scale' as const, spread: read.amount.spread }
    : weigh(read.amount, of, measures, table);
  if ('code' in weighed) return weighed;
  return tooMuch(weighed.grams) ?? weighed;
}

/** An amount that no kitchen weighs; undefined where one does. */
function tooMuch(grams: number): CannotRead | undefined {
  if (!(grams <= mostGrams))
    return unread('absurd', `more than ${mostGrams / 1000} kg of one thing`);
  return grams > 0 && grams < leastGrams
    ? unread('absurd', `less than ${leastGrams} g, which no scale shows`)
    : undefined;
}

/** A weight in brackets behind a measure is what the writer weighed: it goes before the measure. */
function bracketed(notes: readonly string[]): { grams: number; each: boolean } | undefined {
  for (const note of notes) {
    const read = readAmount(note);
    const each = /^each$/i.test(read?.rest ?? '');
    if (read?.amount.unit?.kind === 'mass' && (read.rest === '' || each)) {
      return { grams: toGrams(read.amount.amount, read.amount.unit.unit), each };
    }
  }
  return undefined;
}

/**
 * Reads one line of a recipe.
 *
 * @param what decides on the ingredient, so that starters can be told from it
 * @example readLine('2 cups (spooned) bread flour', defaultMeasures).grams // 250
 */
export function readLine(
  text: string,
  measures: Measures,
  table: Coefficients = coefficients,
): ReadLine | CannotRead {
  if (text.length > longestLine) return unread('too-long', `longer than ${longestLine} characters`);
  const { body, notes } = partNotes(text);
  if (notForDough.test(text)) return unread('not-in-dough', 'not part of the dough');
  const split = splitAmount(body);
  if (!split) {
    const asPercent = /\d\s*%/.test(body);
    return asPercent
      ? unread('no-unit', 'a percentage alone: write it in grams')
      : unread('no-amount', 'no amount: write how much');
  }
  const [name = '', ...after] = split.what.split(/\s*[,;]\s*|\s+[–—-]\s+/);
  const what = name.trim().replace(container, '');
  const of = matchIngredient(what.replace(/^\s*[:–—-]\s*/, ''));
  if (split.amounts.some((a) => a.amount < 0)) {
    return unread('negative', 'an amount below zero');
  }
  if (!of) {
    return unread('unknown', what ? `“${what}” is not known` : 'an amount, but not of what');
  }

  let total = { grams: 0, measured: 'scale' as MeasuringMethod, spread: 0 };
  for (const amount of split.amounts) {
    const part = weigh(amount, of, measures, table);
    if ('code' in part) return part;
    const grams = total.grams + part.grams;
    const spread = Math.hypot(total.spread * total.grams, part.spread * part.grams);
    total = { grams, measured: part.measured, spread: grams > 0 ? spread / grams : 0 };
  }
  const inBrackets = total.measured === 'scale' ? undefined : bracketed(notes);
  if (inBrackets) {
    const pieces = inBrackets.each ? split.amounts[0]!.amount : 1;
    total = { grams: pieces * inBrackets.grams, measured: 'scale', spread: 0 };
  }
  const absurd = tooMuch(total.grams);
  if (absurd) return absurd;
  const note = [...notes, ...after].filter(Boolean).join('; ');
  return { what, of, ...total, ...(note ? { note } : {}) };
}
