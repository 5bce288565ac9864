/** A span of time, minutes. */
interface Minutes {
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

/** Steps that a span is rounded to, minutes, for spans below so many: nobody rises by the minute. */
const steps: ReadonlyArray<readonly [below: number, step: number]> = [
  [20, 1],
  [360, 5],
  [Infinity, 15],
];

/**
 * A span of hours in words, rounded to what a kitchen goes by.
 *
 * @param hours 0 or more
 * @example hoursText(1.29) // '1 h 15 min'
 * @example hoursText(9.02) // '9 h'
 */
export function hoursText(hours: number): string {
  const exact = hours * 60;
  const step = steps.find(([below]) => exact < below)![1];
  const minutes = Math.round(exact / step) * step;
  const [whole, rest] = [Math.floor(minutes / 60), minutes % 60];
  const parts = [whole > 0 ? `${whole} h` : '', rest > 0 || whole === 0 ? `${rest} min` : ''];
  return parts.filter(Boolean).join(' ');
}
