import type { Database } from '../database/open.ts';
import type { Page } from './formulas.ts';

/** A version of a formula, without its body. */
export interface VersionHead {
  readonly version: number;
  readonly savedAt: string;
  readonly device?: string;
}

/** Versions of a formula, newest first. */
export async function listVersions(
  db: Database,
  id: string,
  { limit = 30, offset = 0 } = {},
): Promise<Page<VersionHead>> {
  const rows = await db
    .selectFrom('formula_version')
    .select(['version', 'saved_at', 'device'])
    .where('formula_id', '=', id)
    .orderBy('version', 'desc')
    .limit(limit)
    .offset(offset)
    .execute();
  const { total } = await db
    .selectFrom('formula_version')
    .select((e) => e.fn.countAll<number>().as('total'))
    .where('formula_id', '=', id)
    .executeTakeFirstOrThrow();
  return {
    rows: rows.map((r) => ({
      version: r.version,
      savedAt: r.saved_at,
      ...(r.device ? { device: r.device } : {}),
    })),
    total,
  };
}
