import { ingredientFromLabel, ownPrefix, type Ingredient, type Label } from '@tender-crumb/core';
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

/** A plain word of a name: letters and digits with hyphens between. */
const slug = (name: string): string =>
  name
    .normalize('NFD')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 50) || 'ingredient';

/** Adds an ingredient from its label; a name that stands already gets a number. */
export async function addOwn(db: Database, label: Label): Promise<OwnLabel> {
  return inTransaction(db, async (tx) => {
    const taken = new Set((await listLabels(tx)).map((o) => o.id));
    const plain = `${ownPrefix}${slug(label.name)}`;
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
