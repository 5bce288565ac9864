import { numberPattern } from '../quantity/fraction.ts';
import { readLine, type ReadingWith } from './line.ts';
import { unitPattern } from './units.ts';

/** A thing with its amount, found inside a sentence. */
export interface SentenceThing {
  /** Where it begins, letters from the start. */
  readonly at: number;
  readonly text: string;
  readonly of: string;
  readonly grams: number | undefined;
}

const amounts = new RegExp(
  String.raw`(?<![\p{L}\d.,/])(?:about\s+|another\s+)?(?:${numberPattern})(?:\s*(?:-|–|to)\s*(?:${numberPattern}))?\s*(?:${unitPattern})(?![\p{L}\d])|(?<![\p{L}\d])(?:an?|half an?|one|two|three)\s+(?:scant |good |heaped |level |generous |small |large )?(?:${unitPattern})(?![\p{L}\d])|(?<![\p{L}\d.,/-])(?:\d{1,2}|an?|one|two|three)\s+(?=eggs?\b|egg yolks?\b|large eggs?\b)`,
  'giu',
);

/** Most sentences weigh nothing, and a page has thousands: one look finds that out. */
const weighs =
  /[\d½¼¾⅓⅔]\s?(?:k?gr?a?m?s?\b|kilo|m?l\b|dl|cl|lit|oz|ounce|lbs?\b|pound|cups?\b|t\b|ta?b|tea|tsp|pint|quart|stick|pack|pkt|sachet|large|eggs?|[ct]\b)|\b(?:an?|half an?|one|two|three)\s+(?:\S+\s+)?(?:cup|pint|t\S*spoon|tsp|tbsp|pinch|knob|handful|packet|sachet|cube|egg|stick)/i;

/** Whether a text may weigh anything at all. */
export const mayWeigh = (text: string): boolean => weighs.test(text);

/** A name has at most so many words. Own choice. */
const longestName = 6;

/** Words that no name ends with. */
const stop = /^(?:and|or|into|in|to|at|the|an?|of|with|until|for|together|then|mix|stir|over)$/i;

/**
 * The things that a sentence weighs, each with its amount: what people write who make no list.
 *
 * @example thingsIn('Stir in 340 g of water, then 10 g salt.', plainReading()).map((t) => t.of) // ['water', 'salt']
 */
export function thingsIn(sentence: string, reading: ReadingWith): SentenceThing[] {
  if (!mayWeigh(sentence)) return [];
  const found: SentenceThing[] = [];
  const all = [...sentence.matchAll(amounts)];
  for (const [i, match] of all.entries()) {
    // Up to the next amount: that is of another thing.
    const behind = sentence.slice(match.index + match[0].length, all[i + 1]?.index);
    // What stands in brackets behind an amount says it in another measure.
    const bracket = /^\s*\([^)]*\)/.exec(behind)?.[0] ?? '';
    const name = /^[^.,;:()]*/.exec(behind.slice(bracket.length))![0];
    const words = name.trim().split(/\s+/).slice(0, longestName);
    for (let n = words.length; n > 0; n -= 1) {
      if (stop.test(words[n - 1]!)) continue;
      const text = `${match[0].trim()}${bracket} ${words.slice(0, n).join(' ')}`;
      const read = readLine(text, reading);
      if ('code' in read || read.grams === undefined) continue;
      found.push({ at: match.index, text, of: read.of.id, grams: read.grams });
      break;
    }
  }
  return found;
}
