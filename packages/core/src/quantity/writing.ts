import { parseNumber } from './fraction.ts';
import { massUnits, toGrams } from './mass.ts';
import { gramsNumber, thinSpace } from './number.ts';

/** The unit of mass that a household reads and types. */
export const massSchools = ['g', 'oz'] as const;
type MassSchool = (typeof massSchools)[number];

export const temperatureSchools = ['C', 'F'] as const;
type TemperatureSchool = (typeof temperatureSchools)[number];

/** What stands before the tenths of a number. */
export const decimalMarks = ['point', 'comma'] as const;
type DecimalMark = (typeof decimalMarks)[number];

/**
 * How a household writes numbers. The core works and speaks in grams, degrees Celsius and decimal
 * points; this is the last step to the screen, and the first from the keyboard.
 */
export interface Writing {
  readonly mass: MassSchool;
  readonly temperature: TemperatureSchool;
  readonly decimal: DecimalMark;
}

export const plainWriting: Writing = { mass: 'g', temperature: 'C', decimal: 'point' };

const withMark = (text: string, { decimal }: Pick<Writing, 'decimal'>): string =>
  decimal === 'comma' ? text.replace(/(\d)\.(?=\d)/g, '$1,') : text;

/** Ounces, as fine as a scale that weighs yeast can show: thousandths below 1, tenths from 10 up. */
function ouncesNumber(grams: number): string {
  const ounces = grams / massUnits.oz;
  const size = Math.abs(ounces);
  const digits = size >= 9.95 ? 1 : size >= 0.995 ? 2 : 3;
  const text = ounces.toFixed(digits).replace(/\.?0+$/, '');
  return (Number(text) === 0 ? '0' : text).replace('-', '−');
}

/**
 * The number of a mass in the household's unit.
 *
 * @example massNumber(412.3, plainWriting) // '412'
 * @example massNumber(28.35, {...plainWriting, mass: 'oz'}) // '1'
 */
export const massNumber = (grams: number, writing: Writing): string =>
  withMark(writing.mass === 'oz' ? ouncesNumber(grams) : gramsNumber(grams), writing);

/**
 * A mass as the household writes it.
 *
 * @example massText(500, {...plainWriting, mass: 'oz'}) // '17.6 oz'
 */
export const massText = (grams: number, writing: Writing): string =>
  `${massNumber(grams, writing)}${thinSpace}${writing.mass}`;

/**
 * The number that a text typed by the household stands for: where it writes decimal commas, a comma is
 * one always, and a point before three digits groups thousands.
 *
 * @returns undefined where the text is no number
 * @example numberTyped('1,234', {decimal: 'comma'}) // 1.234
 */
export const numberTyped = (
  text: string,
  { decimal }: Pick<Writing, 'decimal'>,
): number | undefined =>
  parseNumber(
    decimal === 'comma'
      ? text.replace(/\.(?=\d{3}(?:\D|$))/g, '').replace(/(\d),(?=\d)/, '$1.')
      : text,
  );

/** Grams of a number that was typed in the household's unit. */
export const gramsTyped = (typed: number, { mass }: Pick<Writing, 'mass'>): number =>
  toGrams(typed, mass);

const fahrenheit = (celsius: number): number => celsius * 1.8 + 32;

/**
 * The number of a temperature in the household's degrees: what stands in a field before somebody types.
 *
 * @example temperatureNumber(25, {...plainWriting, temperature: 'F'}) // '77'
 */
export const temperatureNumber = (
  celsius: number,
  { temperature }: Pick<Writing, 'temperature'>,
): string =>
  String(Math.round(temperature === 'F' ? fahrenheit(celsius) : celsius)).replace('-', '−');

/**
 * A temperature as the household writes it, to the degree.
 *
 * @example temperatureText(26, {...plainWriting, temperature: 'F'}) // '79 °F'
 */
export const temperatureText = (celsius: number, writing: Writing): string =>
  `${temperatureNumber(celsius, writing)}${thinSpace}°${writing.temperature}`;

/** Degrees Celsius of a number that was typed in the household's degrees. */
export const celsiusTyped = (
  typed: number,
  { temperature }: Pick<Writing, 'temperature'>,
): number => (temperature === 'F' ? (typed - 32) / 1.8 : typed);

/** A mass or temperature in a text of ours, or two of them in a span. "Per 100 g" is a label's word. */
const quantity =
  /(?<!per |[\d.])(−?\d+(?:\.\d+)?)(?:( to | and |–)(−?\d+(?:\.\d+)?))?([ \u202f])(g|°C)(?![\p{L}\d])/gu;

const numberIn = (text: string): number => Number(text.replace('−', '-'));

/**
 * A text of ours in the household's writing: grams, degrees and decimal points in it become what the
 * household reads. What a baker wrote is never put through it.
 *
 * @example written('Needs 14 g more water', {...plainWriting, mass: 'oz'}) // 'Needs 0.494 oz more water'
 */
export function written(text: string, writing: Writing): string {
  const { mass, temperature, decimal } = writing;
  if (mass === 'g' && temperature === 'C' && decimal === 'point') return text;
  const converted = text.replace(
    quantity,
    (
      whole,
      first: string,
      between: string | undefined,
      second: string | undefined,
      gap: string,
      unit: string,
    ) => {
      if (unit === 'g' ? mass === 'g' : temperature === 'C') return whole;
      const number = (n: string) =>
        unit === 'g'
          ? ouncesNumber(numberIn(n))
          : String(Math.round(fahrenheit(numberIn(n)))).replace('-', '−');
      const span = second === undefined ? '' : `${between}${number(second)}`;
      return `${number(first)}${span}${gap}${unit === 'g' ? 'oz' : '°F'}`;
    },
  );
  return withMark(converted, writing);
}
