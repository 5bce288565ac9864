import { unitPattern } from './units.ts';

/** What a scan takes a figure for. */
const figures: Readonly<Record<string, string>> = {
  O: '0',
  o: '0',
  Q: '0',
  D: '0',
  l: '1',
  I: '1',
  '|': '1',
  '!': '1',
  i: '1',
  Z: '2',
  S: '5',
  s: '5',
  B: '8',
};
const letters = Object.keys(figures)
  .join('')
  .replace('|', String.raw`\|`);
const token = String.raw`[\d${letters}.,]{1,6}`;
const behind = new RegExp(
  String.raw`(?<=^|\s)(?<amount>${token})(?<space>\s*)(?=(?:${unitPattern})(?:\s|$))`,
  'u',
);
/** "V2 tsp", "Y2 cup", "'/2 tsp": a half whose bar was lost. */
const half =
  /(?<=^|\s)(?:['’]?[VvYy/]|1\/)2(?=\s*(?:cups?|tsp|tbsp|teaspoons?|tablespoons?|lb|oz)\b)/;
/** "3 % cups": a fraction that was not known. */
const percentOfCups = /(?<=^|\s)(\d+)\s*%(?=\s*(?:cups?|tsp|tbsp|teaspoons?|tablespoons?)\b)/;

/** A letter beside a figure, or in the place of one: most rows have none. */
const suspect =
  /\d[OoQDlI|!iZSsB]|[OoQDlI|!iZSsB]\d|(?:^|\s)[lI|!Oo]{1,3}\s?(?:g|kg|ml|oz|lb|cup|t)|(?:^|[\s'’])[VvYy/]2\b|\d\s*%\s*(?:cup|t)/;

/**
 * A row that a scan seems to have misread, as it was probably printed: a suggestion, for who knows.
 *
 * @returns undefined where every figure is one
 * @example mendedScan('5O0 g bread flour') // '500 g bread flour'
 * @example mendedScan('V2 tsp salt') // '½ tsp salt'
 * @example mendedScan('1 l water') // undefined
 */
export function mendedScan(text: string): string | undefined {
  if (!suspect.test(text)) return undefined;
  if (half.test(text) && !/(?<=^|\s)1\/2/.test(text)) return text.replace(half, '½');
  if (percentOfCups.test(text)) return text.replace(percentOfCups, '$1½');
  const found = behind.exec(text)?.groups;
  const amount = found?.['amount'];
  if (!amount || !/[^\d.,]/.test(amount)) return undefined;
  // "1l 500 ml" is a litre; a word of letters alone is a word, but for one that stands for a one.
  if (/^\d+l$/.test(amount) || (!/\d/.test(amount) && !/^(?:[lI|!][Oo0]*|[Oo]+)$/.test(amount)))
    return undefined;
  const mended = [...amount].map((sign) => figures[sign] ?? sign).join('');
  return /^\d/.test(mended) ? text.replace(behind, `${mended}$<space>`) : undefined;
}
