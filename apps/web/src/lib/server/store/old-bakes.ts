import { kitchenNow, bakeState, type BakeEvent } from '@tender-crumb/core/bake';
import { inTransaction, type Database } from '../database/open.ts';
import { eventRow } from './bake-events.ts';
import { readFormula } from './formulas.ts';
import { readHousehold } from './household.ts';
import { keepKitchen } from './kitchens.ts';
import { wantLearning } from './learning.ts';

/** A bake from before, with the formula here that it is taken to be of. */
export interface OldBakeHere {
  readonly id: string;
  readonly bread: string;
  readonly day: string;
  readonly formulaId?: string;
  readonly events: readonly BakeEvent[];
}

/**
 * Keeps bakes from before, all of them or none. Their room, bags and version are today's, and said to be assumed.
 *
 * @returns how many were not here yet
 */
export async function bringOld(db: Database, bakes: readonly OldBakeHere[]): Promise<number> {
  return inTransaction(db, async (tx) => {
    const household = await readHousehold(tx);
    let came = 0;
    for (const { id, bread, day, formulaId, events } of bakes) {
      const there = await tx
        .selectFrom('bake')
        .select('id')
        .where('id', '=', id)
        .executeTakeFirst();
      if (there) continue;
      const baked = formulaId === undefined ? undefined : await readFormula(tx, formulaId);
      const state = bakeState(events);
      await tx
        .insertInto('bake')
        .values({
          id,
          formula_id: baked?.id ?? null,
          formula_version: baked?.version ?? null,
          name: baked ? null : bread,
          method: 'hand',
          started_at: `${day}T12:00:00.000Z`,
          finished_at: state.finishedAt ?? null,
          felt: state.felt.at(-1)?.points ?? null,
          outcome: state.outcome ? JSON.stringify(state.outcome) : null,
          lesson: null,
          given_up_at: null,
          day,
          kitchen_id: await keepKitchen(tx, kitchenNow(household, baked?.formula)),
          forecast: null,
          assumed: 1,
        })
        .execute();
      await tx
        .insertInto('bake_event')
        .values(events.map((e) => eventRow(id, e)))
        .execute();
      came += 1;
    }
    if (came > 0) await wantLearning(tx);
    return came;
  });
}
