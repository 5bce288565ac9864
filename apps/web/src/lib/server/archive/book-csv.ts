import { bakeRecord } from '@tender-crumb/core/book';
import { bakeCsvRow, bakesCsvHead, linesCsvHead, linesCsvRows } from '@tender-crumb/core/exchange';
import type { Database } from '../database/open.ts';
import { bookEntries } from '../store/book-entries.ts';
import { readHousehold } from '../store/household.ts';

/** Bakes that are in memory at once, with all that happened in them. */
const pageOf = 50;

/** Finished bakes of formulas as a table for a spreadsheet, a page of text at a time. */
export async function* bookCsvPages(db: Database, of: 'bakes' | 'lines'): AsyncGenerator<string> {
  const household = await readHousehold(db);
  yield `${of === 'bakes' ? bakesCsvHead() : linesCsvHead()}\n`;
  const ids = (
    await db
      .selectFrom('bake')
      .select('id')
      .where('finished_at', 'is not', null)
      .where('formula_id', 'is not', null)
      .orderBy('started_at')
      .orderBy('id')
      .execute()
  ).map((b) => b.id);
  for (let at = 0; at < ids.length; at += pageOf) {
    const entries = await bookEntries(db, { ids: ids.slice(at, at + pageOf) });
    const rows = entries
      .map((entry) => bakeRecord(entry, household))
      .flatMap((record) => (of === 'bakes' ? [bakeCsvRow(record)] : linesCsvRows(record)));
    yield rows.map((row) => `${row}\n`).join('');
  }
}
