import { forBread } from '@tender-crumb/core/learn';
import { openedIn } from '../../wire/opened.ts';
import type { Database } from '../database/open.ts';
import { lastFelt } from '../store/bakes.ts';
import { listAside } from '../store/formula-asides.ts';
import { readFormula } from '../store/formulas.ts';
import { knownBelief } from '../store/known-belief.ts';
import { readHousehold } from '../store/household.ts';
import { madeBefore } from '../store/made-before.ts';
import { listLabels } from '../store/own.ts';

/**
 * All that a bench shows of a formula.
 *
 * @param here what this device remembers: which drawers stood open, who bakes at it
 * @returns undefined where there is no such formula
 */
export async function benchShown(
  db: Database,
  id: string,
  here: { readonly opened?: string | undefined; readonly baker?: string | undefined },
) {
  const found = await readFormula(db, id);
  if (!found) return undefined;
  const [household, { belief }, felt, aside, made, labels] = await Promise.all([
    readHousehold(db),
    knownBelief(db),
    lastFelt(db, [id]),
    listAside(db, id),
    madeBefore(db, id),
    listLabels(db),
  ]);
  return {
    ...found,
    household,
    belief: forBread(belief, id),
    opened: openedIn(here.opened),
    ...(here.baker === undefined ? {} : { baker: here.baker }),
    older: felt.get(id) ?? [],
    aside,
    made,
    labels,
  };
}

export type BenchShown = NonNullable<Awaited<ReturnType<typeof benchShown>>>;
