import { departureKey, placeOf, wake, type Belief } from '../household/belief.ts';

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

/**
 * What is believed, seen for one bread: its own departure from the model and its own loaves stand in it as those of the
 * bread that is looked at.
 *
 * @param bread id of its formula; without one nothing is known of it yet
 * @example forBread(nothingLearned, 'lockside-white') // nothing is known of it
 */
export function forBread(belief: Belief, bread: string | undefined): Belief {
  if (bread === undefined) return belief;
  const key = keptKey(bread);
  const known = wake(belief, key);
  const at = placeOf(known, key);
  const looks = known.windows?.[key];
  return {
    ...known,
    ...(at === undefined ? {} : { keys: known.keys.map((k, i) => (i === at ? departureKey : k)) }),
    ...(known.windows ? { windows: looks ? { [departureKey]: looks } : {} } : {}),
  };
}
