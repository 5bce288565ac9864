/** A span of time, minutes. */
export interface Minutes {
  readonly least: number;
  /** Where a span was given. */
  readonly most?: number;
}

const perUnit = (unit: string): number => (/^d/i.test(unit) ? 1440 : /^h/i.test(unit) ? 60 : 1);
const number = String.raw`(\d+(?:[.,]\d+)?(?:\s*½)?|½|half an?|an?|one|two|three)`;
const span = new RegExp(
  String.raw`\b${number}(?:\s*(?:-|–|—|to|or)\s*${number})?\s*(days?|hours?|hrs?|h|minutes?|mins?|min)\b`,
  'i',
);
const words: Readonly<Record<string, number>> = { a: 1, an: 1, one: 1, two: 2, three: 3 };

const value = (text: string): number => {
  const bare = text.toLowerCase().trim();
  if (/^(?:½|half)/.test(bare)) return 0.5;
  return (
    words[bare] ?? Number(bare.replace('½', '').replace(',', '.')) + (bare.includes('½') ? 0.5 : 0)
  );
};

/**
 * The first span of time in a text.
 *
 * @example minutesIn('Let it rise for 1 to 1½ hours.') // {least: 60, most: 90}
 */
export function minutesIn(text: string): Minutes | undefined {
  const match = span.exec(text);
  if (!match) return undefined;
  const unit = perUnit(match[3]!);
  const least = value(match[1]!) * unit;
  const most = match[2] === undefined ? undefined : value(match[2]) * unit;
  // "1 hour 30 minutes"
  const more =
    unit === 60 && most === undefined
      ? /^\s*(?:and\s+)?(\d+)\s*min/i.exec(text.slice(match.index + match[0].length))
      : null;
  if (more) return { least: least + Number(more[1]) };
  return most === undefined || most <= least ? { least } : { least, most };
}
