import type { Figure } from './figure.ts';

/** A figure with the words and the range in which a household may set its own over it. */
export interface Settable extends Figure {
  readonly label: string;
  readonly least: number;
  readonly most: number;
}

/** Makes a settable figure. */
export const settable = (label: string, of: Figure, least: number, most: number): Settable => ({
  ...of,
  label,
  least,
  most,
});

/** What a household set by itself, by the figure's key. */
export type OwnValues<Key extends string = string> = { readonly [K in Key]?: number };

export const setHere = 'set by this household';

/** Whether a value lies in the range of a figure. */
export const isInRange = ({ least, most }: Settable, value: number): boolean =>
  value >= least && value <= most;

/**
 * A figure with the household's own in its place; out of range it is left as it was.
 *
 * @example withOwn(coefficients.softening, .25).value // .25
 */
export const withOwn = <F extends Settable>(row: F, own: number | undefined): F =>
  own === undefined || !isInRange(row, own) ? row : { ...row, value: own, source: setHere };

/**
 * A table with a household's own figures over it, by their keys; the table itself where none is set.
 *
 * @example tableWithOwn(coefficients, {softening: .25}).softening.value // .25
 */
export function tableWithOwn<Key extends string, F extends Settable>(
  table: Readonly<Record<Key, F>>,
  own: OwnValues,
): Readonly<Record<Key, F>> {
  const set = (Object.keys(own) as Key[]).filter((key) => Object.hasOwn(table, key));
  if (set.length === 0) return table;
  return {
    ...table,
    ...Object.fromEntries(set.map((key) => [key, withOwn(table[key], own[key])])),
  };
}
