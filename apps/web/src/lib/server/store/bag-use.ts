import { usedFromBags, type BakeState } from '@tender-crumb/core/bake';
import type { Formula } from '@tender-crumb/core/formula';
import { pantryIn, type Household } from '@tender-crumb/core/household';
import { bagLeft, type Bag, type TakenOut } from '@tender-crumb/core/ingredient';
import type { Database } from '../database/open.ts';

/** Writes down what a bake took out of its bags: nothing until it is finished. */
export async function keepBagUse(
  tx: Database,
  bake: string,
  formula: Formula,
  state: BakeState,
  household: Household,
): Promise<void> {
  await tx.deleteFrom('bag_use').where('bake_id', '=', bake).execute();
  const { finishedAt: at } = state;
  if (at === undefined) return;
  const rows = [...usedFromBags(formula, state, pantryIn(household))].map(([bag_id, grams]) => ({
    bake_id: bake,
    bag_id,
    grams,
    at,
  }));
  if (rows.length > 0) await tx.insertInto('bag_use').values(rows).execute();
}

/** The bags with what each has left, where somebody once said what was in it. */
export async function withWhatIsLeft(db: Database, bags: readonly Bag[]): Promise<Bag[]> {
  const said = bags.flatMap((b) => (b.left ? [b.id] : []));
  if (said.length === 0) return [...bags];
  const rows = await db
    .selectFrom('bag_use')
    .select(['bag_id', 'grams', 'at'])
    .where('bag_id', 'in', said)
    .execute();
  const byBag = new Map<string, TakenOut[]>();
  for (const { bag_id, grams, at } of rows) {
    byBag.set(bag_id, [...(byBag.get(bag_id) ?? []), { grams, at }]);
  }
  return bags.map((bag) => {
    const hasLeft = bagLeft(bag, byBag.get(bag.id) ?? []);
    return hasLeft === undefined ? bag : { ...bag, hasLeft };
  });
}
