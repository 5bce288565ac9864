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

/** "1b", "11b", "1 Ib": a pound whose l was taken for a figure. */
const pound = /(?<=^|\s)(?:(\d{1,2})\s?)?[1I|]b(?=\.?\s)/;
/** "2 374 cups", "172 tsp": a stroke that was taken for a seven. */
const stroke = /(?<=^|\s)([13])7([248])(?=\s(?:cups?|tsp|tbsp|teaspoons?|tablespoons?)\b)/;
/** "I 1/2 cups", "l½ cup": a one before a fraction. */
const one = /(?<=^|\s)[Il|!](?=\s?(?:\d\/\d|[½¼¾⅓⅔⅛]))/;
/** "05 oz": a point that was lost. */
const point = /(?<=^|\s)0(\d)(?=\s?(?:oz|lb|g|kg|cups?|tsp|tbsp)\b)/;
/** "85¢", "85q": grams. */
const grams = /(?<=(?:^|\s)\d{1,4})\s?[¢€q](?=[\s,)]|$)/;
/** "% cup", "1% tsp", "2 Ya teaspoons", "3V4 tbsp": a fraction that was not known, or half known. */
const someFraction =
  /(?<=^|\s)(?<whole>\d{1,2})?\s?(?:[%¥*’']{1,2}%?|[YVy][aA2-4]|[%Vv][2-4])[:;.]?(?=\s(?:(?:cups?|tsp|tbsp|teaspoons?|tablespoons?|lb|oz)\b|t\s))/u;

/** A letter beside a figure, or in the place of one: most rows have none. */
const suspect =
  /\d[OoQDlI|!iZSsB]|[OoQDlI|!iZSsB]\d|(?:^|\s)[lI|!Oo]{1,3}\s?(?:g|kg|ml|oz|lb|cup|t)|(?:^|[\s'’])[VvYy/]2\b|\d\s*%\s*(?:cup|t)|[1I|]b\b|\d\s?[¢€q]|[13]7[248]\s|(?:^|\s)0\d|(?:^|\s)[Il|!]\s?[\d½¼¾⅓⅔⅛]/;

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
  if (one.test(text)) return text.replace(one, '1');
  if (stroke.test(text)) return text.replace(stroke, '$1/$2');
  if (point.test(text)) return text.replace(point, '0.$1');
  if (pound.test(text)) return text.replace(pound, (_, n?: string) => `${n ?? 1} lb`);
  if (grams.test(text)) return text.replace(grams, ' g');
  const found = behind.exec(text)?.groups;
  const amount = found?.['amount'];
  if (!amount || !/[^\d.,]/.test(amount)) return undefined;
  // "1l 500 ml" is a litre; a word of letters alone is a word, but for one that stands for a one.
  if (/^\d+l$/.test(amount) || (!/\d/.test(amount) && !/^(?:[lI|!][Oo0]*|[Oo]+)$/.test(amount)))
    return undefined;
  const mended = [...amount].map((sign) => figures[sign] ?? sign).join('');
  return /^\d/.test(mended) ? text.replace(behind, `${mended}$<space>`) : undefined;
}

/**
 * What a row may say where a fraction in it was not known: each a suggestion, the likelier first.
 *
 * @example fractionsOf('2 Ya cups milk') // ['2½ cups milk', '2¼ cups milk', '2¾ cups milk']
 */
export function fractionsOf(text: string): readonly string[] {
  const whole = someFraction.exec(text)?.groups?.['whole'];
  return someFraction.test(text)
    ? ['½', '¼', '¾'].map((sign) => text.replace(someFraction, `${whole ?? ''}${sign}`))
    : [];
}

/**
 * What a row may say whose unit is missing and whose last figure may be one: "85g" as "859".
 *
 * @example gramsTaken('859 rolled oats') // '85 g rolled oats'
 */
export function gramsTaken(text: string): string | undefined {
  const taken = /(?<=^|\s)(\d{1,3})9(?=\s|$)/;
  return taken.test(text) ? text.replace(taken, '$1 g') : undefined;
}
