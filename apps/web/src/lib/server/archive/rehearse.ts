import { householdOn } from '@tender-crumb/core/bake';
import { runOf } from '@tender-crumb/core/lead';
import { bakeRecord } from '@tender-crumb/core/book';
import { evaluate } from '@tender-crumb/core/evaluate';
import { formulaText } from '@tender-crumb/core/exchange';
import { withoutStrangeBags } from '@tender-crumb/core/formula';
import { type Belief } from '@tender-crumb/core/belief';
import { pantryIn } from '@tender-crumb/core/household';
import { forBread } from '@tender-crumb/core/learn';
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { knownHere } from '../boundary/known.ts';
import { copyWhole } from '../database/backup.ts';
import { connect, type Database } from '../database/open.ts';
import { bookEntries } from '../store/book-entries.ts';
import { formulaOf } from '../store/formula-body.ts';
import { readBelief } from '../store/belief.ts';
import { readHousehold } from '../store/household.ts';
import { learnWholeBook } from '../store/learn-book.ts';
import { listPlans } from '../store/plans.ts';
import { ArchiveRefused } from './refused.ts';
import { takeRows, type Step } from './take.ts';

/** Looks at everything as its pages do: what a page could not show is found here, and not by a baker. */
async function lookAtAll(db: Database, step: Step): Promise<void> {
  const household = await readHousehold(db);
  const { belief } = await readBelief(db);
  const pantry = pantryIn(household);
  const formulas = await db
    .selectFrom('formula as f')
    .innerJoin('formula_version as v', (on) =>
      on.onRef('v.formula_id', '=', 'f.id').onRef('v.version', '=', 'f.version'),
    )
    .select(['f.id', 'f.name', 'v.body'])
    .execute();
  for (const [i, { id, name, body }] of formulas.entries()) {
    await seen(`the formula “${name}”`, () => {
      const formula = withoutStrangeBags(formulaOf(body), household.bags);
      knownHere(formula, household);
      evaluate(formula, household, forBread(belief, id));
      formulaText(formula, pantry, household.percentages);
    });
    await step('Looking at its formulas', i + 1, formulas.length);
  }
  // Bread by bread: what is believed of one is seen for all its bakes at once.
  const bakes = await db
    .selectFrom('bake')
    .select('id')
    .orderBy('formula_id')
    .orderBy('started_at')
    .execute();
  const ids = bakes.map((b) => b.id);
  let inView: { readonly bread?: string; readonly belief: Belief } | undefined;
  const seenFor = (bread: string | undefined) =>
    (inView && inView.bread === bread
      ? inView
      : (inView = { ...(bread === undefined ? {} : { bread }), belief: forBread(belief, bread) })
    ).belief;
  const pageOf = 200;
  for (let from = 0; from < ids.length; from += pageOf) {
    const entries = await bookEntries(db, { ids: ids.slice(from, from + pageOf) });
    for (const entry of entries)
      await seen(`the bake of “${entry.name}” of ${entry.startedAt.slice(0, 10)}`, () => {
        bakeRecord(entry, household);
        runOf({
          id: entry.id,
          formula: entry.formula,
          device: entry.method,
          events: entry.events,
          household: householdOn(household, entry.circumstances),
          belief: seenFor(entry.bread),
        });
      });
    await step('Looking at its bakes', Math.min(ids.length, from + pageOf), ids.length);
  }
  await seen('what is planned', async () => {
    await listPlans(db);
  });
}

/** @throws ArchiveRefused that names the thing that cannot be shown */
async function seen(what: string, look: () => void | Promise<void>): Promise<void> {
  try {
    await look();
  } catch (fault) {
    const says = (fault as Error & { faults?: ReadonlyArray<{ what: string }> }).faults?.[0]?.what;
    throw new ArchiveRefused(
      `With this file, ${what} could not be shown: ${says ?? (fault as Error).message}. Nothing was taken.`,
    );
  }
}

/**
 * Takes a file that was looked at into a copy of the household, which is then opened, learned and looked at. Only what
 * went well there is taken in.
 *
 * @param file of the household; nothing in it is changed
 * @throws ArchiveRefused where the copy could not be used any more
 */
export async function rehearse(file: string, folder: string, step: Step): Promise<void> {
  const copy = join(folder, 'rehearsal.db');
  const drop = () => {
    for (const part of ['', '-wal', '-shm']) rmSync(copy + part, { force: true });
  };
  drop();
  try {
    await step('Rehearsing on a copy', 0);
    copyWhole(file, copy);
    const db = connect(copy);
    try {
      await seen('the household', async () => {
        await takeRows(
          db,
          folder,
          'theirs',
          () => true,
          (_, done) => step('Rehearsing on a copy', done),
        );
      });
      await seen('the book', () =>
        learnWholeBook(db, (done, total) => void step('Learning it, on a copy', done, total)),
      );
      await lookAtAll(db, step);
    } finally {
      await db.destroy();
    }
  } finally {
    drop();
  }
}
