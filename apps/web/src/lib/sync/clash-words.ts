import type { Clash, Path } from '../wire/merge.ts';

/** What the fields of what several tablets may change are called, in the order from the outside in. */
const fields: Readonly<Record<string, string>> = {
  name: 'the name',
  ingredient: 'what it is',
  grind: 'how it is ground',
  openedOn: 'when it was opened',
  protein: 'protein, %',
  moisture: 'moisture, %',
  extraction: 'what the sieve keeps',
  price: 'the price',
  paid: 'what was paid',
  kilograms: 'for how many kg',
  left: 'what is left in it',
  grams: 'grams',
  hydration: 'water per flour',
  keptAt: 'where it is kept',
  bestBefore: 'best before',
  finished: 'used up',
  scaleStep: 'the step of the scale',
  room: 'the room',
  celsius: 'warmth, °C',
  humidity: 'humidity',
  measures: 'the measures',
  cup: 'the cup',
  fill: 'how a cup is filled',
  egg: 'the egg',
  appliances: 'ovens and machines',
  pans: 'tins and pots',
  bakers: 'who bakes',
  people: 'pairs of hands',
  altitude: 'metres above the sea',
  week: 'the week',
  prices: 'prices',
  readyBy: 'when it is to be ready',
  beginAt: 'when it begins',
  facts: 'what was done',
  locks: 'what is held fast',
};

/** A field that has no name here is called as it is written, with spaces. */
const wordOf = (at: Path[number]): string | undefined =>
  typeof at === 'string'
    ? (fields[at] ?? at.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase())
    : undefined;

/**
 * Where a clash is, in words.
 *
 * @example placeOf([{…}, 'price', 'paid']) // 'the price: what was paid'
 */
export const placeOf = (path: Path): string => path.flatMap((at) => wordOf(at) ?? []).join(': ');

/** A value as somebody reads it. */
function valueText(value: unknown): string {
  if (value === undefined || value === null || value === '') return 'nothing';
  if (value === true) return 'yes';
  if (value === false) return 'no';
  if (typeof value !== 'object') return String(value);
  if (Array.isArray(value)) return value.map(valueText).join(', ') || 'none';
  const { id, ...rest } = value as Record<string, unknown>;
  void id;
  return Object.entries(rest)
    .map(([key, inner]) => `${placeOf([key])} ${valueText(inner)}`)
    .join(', ');
}

/** A clash as two sentences: what was said here, what stands there. */
export const clashText = ({ path, mine, theirs }: Clash) => ({
  place: placeOf(path),
  mine: valueText(mine),
  theirs: valueText(theirs),
});
