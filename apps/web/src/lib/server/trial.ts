import { bakeRecord, turnOf, type Turn } from '@tender-crumb/core/book';
import type { Formula } from '@tender-crumb/core/formula';
import type { Household } from '@tender-crumb/core/household';
import type { Database } from './database/open.ts';
import { bookEntries } from './store/book-entries.ts';

/** Bakes that a trial goes by: as many as what helped is weighed over. */
const newest = 80;

/** Whose turn it is in the trial of a bread; undefined where nothing is being tried. */
export async function trialTurn(
  db: Database,
  bread: string,
  { asked }: Pick<Formula, 'asked'>,
  household: Household,
): Promise<Turn | undefined> {
  if (!asked) return undefined;
  const entries = await bookEntries(db, { bread, newest });
  return turnOf(
    asked,
    entries.map((e) => bakeRecord(e, household)),
    household,
  );
}
