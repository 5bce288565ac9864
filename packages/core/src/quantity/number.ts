/** A narrow space that does not break: it stands before every unit. */
export const thinSpace = '\u202f';

/**
 * True minus and no "-0".
 *
 * @example plain('-0.0') // '0.0'
 */
export const plain = (text: string): string =>
  Number(text) === 0 ? text.replace('-', '') : text.replace('-', '−');

/**
 * Grams as a kitchen says them: whole from 10 up, tenths below, hundredths below 1.
 *
 * @example gramsText(412.3) // '412 g'
 * @example gramsText(0.756) // '0.76 g'
 */
export const gramsText = (grams: number): string => `${gramsNumber(grams)}${thinSpace}g`;

/** The number of {@link gramsText} alone, without needless decimals. */
export function gramsNumber(grams: number): string {
  const size = Math.abs(grams);
  const digits = size >= 9.95 || size === 0 ? 0 : size >= 0.995 ? 1 : 2;
  const text = grams.toFixed(digits);
  return plain(digits > 0 ? text.replace(/\.?0+$/, '') : text);
}

/** A percentage to one decimal, or two below 1. */
export const percentText = (percent: number): string =>
  `${plain(percent.toFixed(Math.abs(percent) < 0.995 && percent !== 0 ? 2 : 1))}${thinSpace}%`;

/**
 * A chance in per cent; nothing that is drawn is ever quite sure, nor quite out of the question.
 *
 * @example oddsText(0.914) // '91 %'
 * @example oddsText(0.999) // '99 %'
 */
export const oddsText = (chance: number): string =>
  `${Math.min(99, Math.max(1, Math.round(100 * chance)))}${thinSpace}%`;

/** Points of the level, signed: `+1.4`, `−0.9`. */
export function pointsText(points: number): string {
  const text = points.toFixed(1);
  return Number(text) > 0 ? `+${text}` : plain(text);
}

/** Rounds away from zero to a step: a correction is never rounded to fall short. */
export const roundAway = (value: number, step: number): number =>
  Math.sign(value) * Math.ceil(Math.abs(value) / step - 1e-9) * step;
