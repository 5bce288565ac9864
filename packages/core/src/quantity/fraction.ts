/** The fractions that a kitchen has spoons and cup marks for, with their single characters. */
const glyphs: ReadonlyArray<readonly [number, string]> = [
  [1 / 8, '⅛'],
  [1 / 4, '¼'],
  [1 / 3, '⅓'],
  [3 / 8, '⅜'],
  [1 / 2, '½'],
  [5 / 8, '⅝'],
  [2 / 3, '⅔'],
  [3 / 4, '¾'],
  [7 / 8, '⅞'],
];

const glyphValues: Readonly<Record<string, number>> = {
  ...Object.fromEntries(glyphs.map(([value, glyph]) => [glyph, value])),
  '⅕': 0.2,
  '⅖': 0.4,
  '⅗': 0.6,
  '⅘': 0.8,
  '⅙': 1 / 6,
  '⅚': 5 / 6,
};

const glyphClass = `[${Object.keys(glyphValues).join('')}]`;

/** Source of a regular expression for one number as a recipe writes it, longest form first. */
export const numberPattern = [
  String.raw`\d+(?:\s+(?:and\s+|&\s*)?|\s*&\s*|-)\d+\s*[/⁄]\s*\d+`,
  String.raw`\d+\s*[/⁄]\s*\d+`,
  String.raw`\d+\s*(?:and\s+|&\s*|-)?${glyphClass}`,
  glyphClass,
  String.raw`[1-9]\d{0,2}(?:,\d{3})+(?:\.\d+)?(?!\d)`,
  String.raw`\d+[.,]\d+`,
  String.raw`[.,]\d+`,
  String.raw`\d+`,
].join('|');

/**
 * The value of a number as a recipe writes it: `1 1/2`, `1½`, `½`, `3/4`, `1.5`, `1,5`, `1,000`.
 * A comma before exactly three digits groups thousands; any other comma is a decimal comma.
 *
 * @returns the value, or undefined where the text is no number (a zero denominator included)
 * @example parseNumber('1⅓') // 1.333…
 */
export function parseNumber(text: string): number | undefined {
  const trimmed = text
    .trim()
    .replace(/(\d)\s*(?:\band\b|&|-)\s*(?=[\d¼½¾⅓⅔⅛⅜⅝⅞⅕⅖⅗⅘⅙⅚])/, '$1 ')
    .replace(/^[.,](?=\d)/, '0.');
  const mixed = /^(?:(\d+)\s+)?(\d+)\s*[/⁄]\s*(\d+)$/.exec(trimmed);
  if (mixed) {
    const bottom = Number(mixed[3]);
    return bottom === 0 ? undefined : Number(mixed[1] ?? 0) + Number(mixed[2]) / bottom;
  }
  const glyph = new RegExp(`^(\\d*)\\s*(${glyphClass})$`).exec(trimmed);
  if (glyph) return Number(glyph[1] || 0) + (glyphValues[glyph[2]!] ?? 0);
  // Nothing groups thousands behind a zero: "0,250" is a quarter.
  if (/^[1-9]\d{0,2}(,\d{3})+(\.\d+)?$/.test(trimmed)) return Number(trimmed.replaceAll(',', ''));
  if (/^\d+([.,]\d+)?$/.test(trimmed)) return Number(trimmed.replace(',', '.'));
  return undefined;
}

const marks: ReadonlyArray<readonly [number, string]> = [[0, ''], ...glyphs, [1, '']];

/** The mark that is nearest to the part of a number behind its point. */
const nearestMark = (rest: number): readonly [number, string] =>
  marks.reduce((best, mark) => (Math.abs(mark[0] - rest) < Math.abs(best[0] - rest) ? mark : best));

/**
 * A number set as a kitchen fraction, to the nearest eighth or third.
 *
 * @param value 0 or more
 * @example kitchenFraction(1.34) // '1⅓'
 * @example kitchenFraction(0.02) // '0'
 */
export function kitchenFraction(value: number): string {
  const [part, glyph] = nearestMark(value - Math.floor(value));
  const whole = Math.floor(value) + (part === 1 ? 1 : 0);
  return glyph ? `${whole || ''}${glyph}` : String(whole);
}
