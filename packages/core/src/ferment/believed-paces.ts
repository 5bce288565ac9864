import type { Belief } from '../belief/belief.ts';
import type { LeavenKind } from './leaven-for.ts';
import type { LeavenKeys } from './leaven-key.ts';
import type { Paces } from './rise-doubt.ts';

/** What is believed of the leavens of a dough; nothing of one that nothing was noted of. */
export function pacesFor({ paces }: Belief, keys: LeavenKeys): Paces {
  const of = (leaven: LeavenKind) => {
    const key = keys[leaven];
    const known = key === undefined ? undefined : paces?.[key];
    return known ? { [leaven]: known } : {};
  };
  return { ...of('yeast'), ...of('starter') };
}
