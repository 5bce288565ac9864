import { figure, fromMemory, type Figure } from '../figure/figure.ts';
import type { Ingredient } from './ingredient.ts';
import type { Role } from './role.ts';
import { withFit } from './with-fit.ts';

/** What a thing has become before it goes into the dough; as it is where absent. */
export type StuffState = 'soaked' | 'cooked';

const weak = fromMemory('weak: how much of its soaking water a thing keeps from the dough');
const holds = (value: number, sd: number): Figure => figure(value, 'g water per g', sd, weak);

type Held = Partial<Readonly<Record<StuffState, Figure>>>;

/** Water that a gram, weighed dry, keeps to itself; all its soaking and cooking water is counted as brought. */
const byId: Readonly<Record<string, Held>> = {
  'rolled-oats': { soaked: holds(1.4, 0.3), cooked: holds(2, 0.4) },
  'oat-flour': { soaked: holds(1.4, 0.4), cooked: holds(2, 0.4) },
  'linseed-whole': { soaked: holds(1.3, 0.4) },
  raisins: { soaked: holds(0, 0.05) },
  seeds: { soaked: holds(0.6, 0.2) },
};
/** Starch that was scalded or boiled is gelatinised: it drinks about three times as much as raw. */
const byRole: Partial<Readonly<Record<Role, Held>>> = {
  flour: { cooked: holds(2, 0.4) },
};

/** What it holds in a state by the tables; undefined where it stays as it is. */
export const heldIn = (of: Ingredient, state: StuffState): Figure | undefined =>
  byId[of.id]?.[state] ?? byRole[of.role]?.[state];

const made = new WeakMap<Ingredient, Partial<Record<StuffState, Ingredient>>>();

/**
 * A thing as it is once it was soaked or cooked: it drinks otherwise, and slowly no more. What is not
 * known to change stays as it is.
 *
 * @example inState(ingredient('rolled-oats'), 'cooked').absorption.value // 2
 */
export function inState(of: Ingredient, state: StuffState | undefined): Ingredient {
  if (!state) return of;
  const held = heldIn(of, state);
  if (!held) return of;
  const known = made.get(of) ?? {};
  made.set(of, known);
  return (known[state] ??= withFit(
    { ...of, absorption: held, dryBaseAbsorption: undefined, slow: false, state },
    `thirst:${of.id}:${state}`,
  ));
}
