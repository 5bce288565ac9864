import type { Belief } from '../belief/belief.ts';
import { paceKey } from '../ferment/leaven-key.ts';
import type { Pace, Paces } from '../ferment/rise-doubt.ts';
import type { Household } from '../household/household.ts';
import { kindOfBag } from '../ingredient/bag.ts';

/**
 * What is believed of the starter in a jar: under its own name, and of the only one in use as a formula that names none
 * means it too; of both, what more was noted of.
 *
 * @example pacesOfJar(nothingLearned, household, 'rye') // {}
 */
export function pacesOfJar(
  { paces = {} }: Pick<Belief, 'paces'>,
  { bags }: Pick<Household, 'bags'>,
  jar: string,
): Paces {
  const inUse = bags.filter((b) => kindOfBag(b) === 'starter' && !b.finished);
  const only = inUse.length === 1 && inUse[0]!.id === jar;
  const keys = [`${paceKey}bag:${jar}`, ...(only ? [`${paceKey}starter`] : [])];
  const [known] = keys.flatMap((k) => paces[k] ?? []).sort((a, b) => b.rises - a.rises);
  const starter: Pace | undefined = known;
  return starter ? { starter } : {};
}
