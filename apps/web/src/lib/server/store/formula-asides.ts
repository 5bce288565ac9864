import type { Formula } from '@tender-crumb/core/formula';
import type { Database } from '../database/open.ts';
import { formulaOf } from './formula-body.ts';
import type { SavedBy } from './formulas.ts';
import { currentIso } from '../../clock.ts';

/** Most refused copies of one formula that are kept; beyond it the oldest goes. */
export const mostAside = 50;

/** Keeps what was refused: what was sent before once, and the newest of one sitting. */
export async function keepAside(
  tx: Database,
  id: string,
  basedOn: number,
  body: string,
  { at = currentIso(), device, draft }: SavedBy,
): Promise<string> {
  const known = await tx
    .selectFrom('formula_aside')
    .select('id')
    .where('formula_id', '=', id)
    .where((e) => e.or([e('body', '=', body), ...(draft ? [e('draft', '=', draft)] : [])]))
    .executeTakeFirst();
  const row = {
    based_on: basedOn,
    body,
    kept_at: at,
    device: device ?? null,
    draft: draft ?? null,
  };
  if (known) {
    await tx.updateTable('formula_aside').set(row).where('id', '=', known.id).execute();
    return known.id;
  }
  const aside = crypto.randomUUID();
  await tx
    .insertInto('formula_aside')
    .values({ id: aside, formula_id: id, ...row })
    .execute();
  await tx
    .deleteFrom('formula_aside')
    .where('formula_id', '=', id)
    .where('id', 'not in', (q) =>
      q
        .selectFrom('formula_aside')
        .select('id')
        .where('formula_id', '=', id)
        .orderBy('kept_at', 'desc')
        .limit(mostAside),
    )
    .where('id', '!=', aside)
    .execute();
  return aside;
}

/** A copy that was refused as stale and kept. */
export interface Aside {
  readonly id: string;
  readonly basedOn: number;
  readonly keptAt: string;
  readonly device?: string;
  readonly draft?: string;
  readonly formula: Formula;
}

/** Copies that were refused as stale and kept, newest first. */
export async function listAside(db: Database, id: string): Promise<Aside[]> {
  const rows = await db
    .selectFrom('formula_aside')
    .selectAll()
    .where('formula_id', '=', id)
    .orderBy('kept_at', 'desc')
    .limit(mostAside)
    .execute();
  return rows.map((r) => ({
    id: r.id,
    basedOn: r.based_on,
    keptAt: r.kept_at,
    ...(r.device ? { device: r.device } : {}),
    ...(r.draft ? { draft: r.draft } : {}),
    formula: formulaOf(r.body),
  }));
}
