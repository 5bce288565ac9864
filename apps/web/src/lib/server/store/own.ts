import {
  ingredientFromLabel,
  ownIdOf,
  type Ingredient,
  type Label,
} from '@tender-crumb/core/ingredient';
import { changedOrMade, type Change, type Clash } from '../../wire/merge.ts';
import { inTransaction, type Database } from '../database/open.ts';

/** An ingredient of the household's own, as its label says. */
export interface OwnLabel {
  readonly id: string;
  readonly label: Label;
}

export async function listLabels(db: Database): Promise<OwnLabel[]> {
  const rows = await db.selectFrom('own_ingredient').selectAll().orderBy('id').execute();
  return rows.map(({ id, label }) => ({ id, label: JSON.parse(label) as Label }));
}

export async function listOwn(db: Database): Promise<Ingredient[]> {
  return (await listLabels(db)).map(({ id, label }) => ingredientFromLabel(id, label));
}

/** Adds an ingredient from its label; a name that stands already gets a number. */
export async function addOwn(db: Database, label: Label): Promise<OwnLabel> {
  return inTransaction(db, async (tx) => {
    const taken = new Set((await listLabels(tx)).map((o) => o.id));
    const plain = ownIdOf(label.name);
    let id = plain;
    for (let n = 2; taken.has(id); n += 1) id = `${plain}-${n}`;
    await tx
      .insertInto('own_ingredient')
      .values({ id, label: JSON.stringify(label) })
      .execute();
    return { id, label };
  });
}

/** Replaces a label; false where there is no such ingredient. Formulas keep its id. */
export async function saveOwn(db: Database, { id, label }: OwnLabel): Promise<boolean> {
  return inTransaction(db, async (tx) => {
    const { numUpdatedRows } = await tx
      .updateTable('own_ingredient')
      .set({ label: JSON.stringify(label) })
      .where('id', '=', id)
      .executeTakeFirst();
    return numUpdatedRows > 0n;
  });
}

/**
 * Makes a change to a label, field by field, on what stands there by now; one that is not there is made of it, and what was
 * made once under an id is not made again.
 *
 * @returns undefined where there is none to change
 */
export async function changeOwn(
  db: Database,
  id: string,
  change: Change,
  checked: (label: object) => Label,
): Promise<(OwnLabel & { clashes: readonly Clash[] }) | undefined> {
  return inTransaction(db, async (tx) => {
    const there = (await listLabels(tx)).find((own) => own.id === id);
    const changed = changedOrMade(there?.label, change, 'name');
    if (!changed) return undefined;
    const label = checked(changed.value);
    if (there) await saveOwn(tx, { id, label });
    else
      await tx
        .insertInto('own_ingredient')
        .values({ id, label: JSON.stringify(label) })
        .execute();
    return { id, label, clashes: changed.clashes };
  });
}
