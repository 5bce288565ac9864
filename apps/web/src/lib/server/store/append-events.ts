import { bakeState, teaches, type BakeEvent, type BakeState } from '@tender-crumb/core/bake';
import { learnBook } from '@tender-crumb/core/learn';
import { inTransaction, type Database } from '../database/open.ts';
import { keepBagUse } from './bag-use.ts';
import { eventRow, eventsOf } from './bake-events.ts';
import { saveLesson } from './bake-lessons.ts';
import type { BakeWithEvents, StoredBake } from './bake-rows.ts';
import { readBake } from './bakes.ts';
import { keepFeedings } from './feedings.ts';
import { readFormula } from './formulas.ts';
import { readBelief, saveBelief } from './belief.ts';
import { readHousehold } from './household.ts';
import { isBookLearned, wantLearning } from './learning.ts';

/** Events that can change what a jar was fed. */
const ofJar: ReadonlySet<string> = new Set(['fed', 'peaked', 'retracted']);

/**
 * Appends events to a bake; one that is already there counts once. A bake that finishes teaches; one
 * that is amended after it was finished, or whose finish is taken back, has the book learned again.
 *
 * @returns the bake as it then stands, or undefined where there is none
 */
export async function appendEvents(
  db: Database,
  id: string,
  events: readonly BakeEvent[],
): Promise<BakeWithEvents | undefined> {
  return inTransaction(db, async (tx) => {
    const before = await readBake(tx, id);
    if (!before) return undefined;
    if (events.length > 0) {
      await tx
        .insertInto('bake_event')
        .values(events.map((e) => eventRow(id, e)))
        .onConflict((c) => c.columns(['bake_id', 'id']).doNothing())
        .execute();
    }
    const after = (await eventsOf(tx, [id])).get(id) ?? [];
    const known = new Set(before.events.map((e) => e.id));
    const fresh = after.filter((e) => !known.has(e.id));
    if (fresh.length === 0) return before;
    const state = bakeState(after);
    await tx
      .updateTable('bake')
      .set({
        finished_at: state.finishedAt ?? null,
        given_up_at: state.finishedAt ? null : (state.abandonedAt ?? null),
        method: state.device ?? begunIn(after) ?? before.method,
        felt: state.felt.at(-1)?.points ?? null,
        outcome: state.outcome ? JSON.stringify(state.outcome) : null,
        // What was taught goes with the finish; it comes anew with the next one.
        ...(state.finishedAt ? {} : { lesson: null }),
      })
      .where('id', '=', id)
      .execute();
    if (after.some((e) => e.kind === 'fed') && fresh.some((e) => ofJar.has(e.kind)))
      await keepFeedings(tx, id, after);
    if ((before.finishedAt || state.finishedAt) && fresh.some(teaches)) {
      await keepUse(tx, before, state);
      if (before.finishedAt || !(await isBookLearned(tx))) await wantLearning(tx);
      else await learnOne(tx, { ...before, events: after });
    }
    return readBake(tx, id);
  });
}

/** In what a bake was to be made before anybody chose otherwise: a choice that is taken back goes back to it. */
const begunIn = (events: readonly BakeEvent[]): StoredBake['method'] | undefined =>
  events.find((e): e is Extract<BakeEvent, { kind: 'made' }> => e.kind === 'made')?.data.was;

/** Writes down what a bake of a formula took out of the household's bags. */
async function keepUse(tx: Database, bake: StoredBake, state: BakeState): Promise<void> {
  if (bake.formulaId === undefined) return;
  const version = await readFormula(tx, bake.formulaId, bake.formulaVersion);
  if (version) await keepBagUse(tx, bake.id, version.formula, state, await readHousehold(tx));
}

/** Learns from one bake on top of what is believed. */
async function learnOne(tx: Database, bake: BakeWithEvents): Promise<void> {
  if (bake.formulaId === undefined) return;
  const version = await readFormula(tx, bake.formulaId, bake.formulaVersion);
  if (!version) return;
  const before = (await readBelief(tx)).belief;
  const fold = learnBook(
    [{ ...bake, bread: bake.formulaId, formula: version.formula }],
    await readHousehold(tx),
    before,
  );
  let step = fold.next();
  while (!step.done) step = fold.next();
  const { belief, lessons } = step.value;
  await saveLesson(tx, bake.id, lessons.get(bake.id));
  await saveBelief(tx, belief);
}
