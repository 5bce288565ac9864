import { departureKey, placeOf, wake, without, type Belief } from '../belief/belief.ts';

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

const isOfBread = (key: string): boolean => key.startsWith(keptKey(''));

/** What of a belief is kept by key, besides the figures that are learned together. */
type ByKey = Pick<Belief, 'bakes' | 'windows' | 'rested'>;

/** The same of no bread: every page asks for it, and it goes through all breads that there are. */
const ofNoBread = new WeakMap<Belief, ByKey>();

function sharedOf(belief: Belief): ByKey {
  const known = ofNoBread.get(belief);
  if (known) return known;
  const own = <V>(by: Readonly<Record<string, V>>) =>
    Object.fromEntries(Object.entries(by).filter(([key]) => !isOfBread(key)));
  const { bakes, windows, rested } = belief;
  const shared = {
    bakes: own(bakes),
    ...(windows ? { windows: own(windows) } : {}),
    ...(rested ? { rested: own(rested) } : {}),
  };
  ofNoBread.set(belief, shared);
  return shared;
}

/**
 * What is believed without what is known of other breads alone: so much smaller is what a page has to carry.
 *
 * @param breads ids of the formulas that are looked at
 * @example amongBreads(nothingLearned, ['lockside-white']).keys.length === nothingLearned.keys.length // true
 */
export function amongBreads(belief: Belief, breads: readonly string[]): Belief {
  const kept = new Set(breads.map(keptKey));
  const isOthers = (key: string) => isOfBread(key) && !kept.has(key);
  const shared = sharedOf(belief);
  const and = <V>(
    of: Readonly<Record<string, V>>,
    all: Readonly<Record<string, V>>,
  ): Record<string, V> => ({
    ...of,
    ...Object.fromEntries([...kept].flatMap((k) => (k in all ? [[k, all[k]!] as const] : []))),
  });
  const { bakes, windows, rested } = belief;
  return {
    ...without(belief, new Set(belief.keys.filter(isOthers))),
    bakes: and(shared.bakes, bakes),
    ...(windows ? { windows: and(shared.windows!, windows) } : {}),
    ...(rested ? { rested: and(shared.rested!, rested) } : {}),
  };
}

/** A bread's own departure and its own loaves under the keys of the bread that is looked at. */
export function inView(belief: Belief, bread: string | undefined): Belief {
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

/**
 * What is believed, seen for one bread: its own departure from the model and its own loaves stand in it as those of the
 * bread that is looked at, and those of others not at all.
 *
 * @param bread id of its formula; without one nothing is known of it yet
 * @example forBread(nothingLearned, 'lockside-white').windows // undefined: nothing is known of it
 */
export const forBread = (belief: Belief, bread: string | undefined): Belief =>
  inView(amongBreads(belief, bread === undefined ? [] : [bread]), bread);
