import { departureKey, placeOf, type Belief } from '../household/belief.ts';

/** Key under which a book keeps how one bread departs from the model. */
const keptKey = (bread: string): string => `${departureKey}:${bread}`;

/**
 * Key under which the book keeps what stands under a key while one bread is in view.
 *
 * @example bookKey('departure', 'lockside-white') // 'departure:lockside-white'
 * @example bookKey('touch', 'lockside-white') // 'touch'
 */
export const bookKey = (key: string, bread: string | undefined): string =>
  key === departureKey && bread !== undefined ? keptKey(bread) : key;

/** A record with one of its keys called otherwise. */
function called<V>(
  record: Readonly<Record<string, V>>,
  from: string,
  to: string,
): Readonly<Record<string, V>> {
  const { [from]: value, ...rest } = record;
  return value === undefined ? record : { ...rest, [to]: value };
}

const renamed = (belief: Belief, from: string, to: string): Belief => {
  const at = placeOf(belief, from);
  if (at === undefined && belief.windows?.[from] === undefined) return belief;
  return {
    ...belief,
    ...(at === undefined
      ? {}
      : {
          keys: belief.keys.map((key, i) => (i === at ? to : key)),
          bakes: called(belief.bakes, from, to),
        }),
    ...(belief.windows ? { windows: called(belief.windows, from, to) } : {}),
  };
};

/**
 * What is believed, seen for one bread: its own departure from the model stands in it as the departure of
 * the bread that is looked at.
 *
 * @param bread id of its formula; without one nothing is known of it yet
 * @example forBread(nothingLearned, 'lockside-white') // nothing is known of it
 */
export const forBread = (belief: Belief, bread: string | undefined): Belief =>
  bread === undefined ? belief : renamed(belief, keptKey(bread), departureKey);

/** The other way: what was learned with one bread in view, as the book keeps it. */
export const fromBread = (belief: Belief, bread: string | undefined): Belief =>
  bread === undefined ? belief : renamed(belief, departureKey, keptKey(bread));
