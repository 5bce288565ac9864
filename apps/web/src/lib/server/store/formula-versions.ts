import { whatChanged } from '@tender-crumb/core/formula';
import type { Pantry } from '@tender-crumb/core/ingredient';
import type { Database } from '../database/open.ts';
import { formulaOf } from './formula-body.ts';
import type { Page } from './formulas.ts';

/** A version of a formula, without its body. */
export interface VersionHead {
  readonly version: number;
  readonly savedAt: string;
  readonly device?: string;
  /** What was changed since the version before; of the first, nothing. */
  readonly changes: readonly string[];
}

/** Versions of a formula, newest first. */
export async function listVersions(
  db: Database,
  id: string,
  pantry: Pantry,
  { limit = 30, offset = 0 } = {},
): Promise<Page<VersionHead>> {
  const rows = await db
    .selectFrom('formula_version')
    .select(['version', 'saved_at', 'device', 'body'])
    .where('formula_id', '=', id)
    .orderBy('version', 'desc')
    // One more, to tell what the oldest of them changed.
    .limit(limit + 1)
    .offset(offset)
    .execute();
  const { total } = await db
    .selectFrom('formula_version')
    .select((e) => e.fn.countAll<number>().as('total'))
    .where('formula_id', '=', id)
    .executeTakeFirstOrThrow();
  const formulas = rows.map((r) => formulaOf(r.body));
  return {
    rows: rows.slice(0, limit).map((r, i) => ({
      version: r.version,
      savedAt: r.saved_at,
      ...(r.device ? { device: r.device } : {}),
      changes: formulas[i + 1] ? whatChanged(formulas[i + 1]!, formulas[i]!, pantry) : [],
    })),
    total,
  };
}
