import { departureKey, placeOf, type Belief } from '../household/belief.ts';

/** Key under which a book keeps how one bread departs from the model. */
const keptKey = (bread: string): string => `${departureKey}:${bread}`;

const renamed = (belief: Belief, from: string, to: string): Belief => {
  const at = placeOf(belief, from);
  if (at === undefined) return belief;
  const { [from]: bakes, ...rest } = belief.bakes;
  return {
    ...belief,
    keys: belief.keys.map((key, i) => (i === at ? to : key)),
    bakes: bakes === undefined ? rest : { ...rest, [to]: bakes },
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
