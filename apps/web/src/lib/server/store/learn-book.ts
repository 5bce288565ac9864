import { modelVersion, learnBook } from '@tender-crumb/core/learn';
import { inTransaction, type Database } from '../database/open.ts';
import { saveLesson, wholeBook } from './bake-lessons.ts';
import { saveBelief } from './belief.ts';
import { readHousehold } from './household.ts';
import { learning } from './learning.ts';

/** Bakes between two reports of how far it is. */
const reportEvery = 25;

/**
 * Learns the whole book again, where that is wanted, and stores all of it or nothing. Where more was
 * wanted meanwhile it begins anew; what it leaves is what the book teaches.
 *
 * @param report how many bakes of how many; what it throws ends the learning, and nothing is stored
 */
export async function learnWholeBook(
  db: Database,
  report: (done: number, total: number) => void | Promise<void> = () => {},
): Promise<void> {
  for (;;) {
    const { wanted, done } = await learning(db);
    if (wanted === done) return;
    const bakes = await wholeBook(db);
    const fold = learnBook(bakes, await readHousehold(db));
    let step = fold.next();
    while (!step.done) {
      const { done: learned } = step.value;
      if (learned % reportEvery === 0) await report(learned, bakes.length);
      step = fold.next();
    }
    const { belief, lessons } = step.value;
    await inTransaction(db, async (tx) => {
      if ((await learning(tx)).wanted !== wanted) return;
      for (const { id } of bakes) await saveLesson(tx, id, lessons.get(id));
      await saveBelief(tx, belief);
      await tx
        .updateTable('learning')
        .set({ done: wanted, model: modelVersion })
        .where('id', '=', 1)
        .execute();
    });
  }
}
