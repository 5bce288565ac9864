import { asMade, householdOn } from '@tender-crumb/core/bake';
import { bakeRecord, type BookEntry } from '@tender-crumb/core/book';
import { bakeMarkdown, toSend } from '@tender-crumb/core/exchange';
import { pantryIn, type Household } from '@tender-crumb/core/household';
import type { Database } from '$lib/server/database/open.ts';
import { listLabels } from '$lib/server/store/own.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { Problem } from '$lib/server/problem.ts';
import { route } from '$lib/server/route.ts';
import { bookEntries } from '$lib/server/store/book-entries.ts';
import { readHousehold } from '$lib/server/store/household.ts';

/** The formula as this bake made it, for any kitchen. */
async function asFormula(db: Database, entry: BookEntry, household: Household): Promise<string> {
  const { formula, state } = bakeRecord(entry, household);
  const made = asMade(formula, state, pantryIn(householdOn(household, entry.circumstances)));
  const { bags, each } = household;
  const { leftOut } = toSend(made, { bags, each, labels: [] });
  // Which bag it was says something to whoever bakes it again, though it stays here.
  const notes = [made.notes, ...leftOut.map((what) => `Baked with ${what}.`)].filter(Boolean);
  const told = notes.length > 0 ? { ...made, notes: notes.join('\n') } : made;
  const { file } = toSend(told, { bags, each, labels: await listLabels(db) });
  return JSON.stringify(file, null, 2);
}

export const GET = route(async ({ params, url }) => {
  const db = await kitchen();
  const id = params['id']!;
  const [entry] = await bookEntries(db, { ids: [id] });
  if (!entry)
    throw new Problem(404, 'No such bake', [
      { where: 'path', what: 'no bake of a formula of that id' },
    ]);
  const household = await readHousehold(db);
  const named = `${entry.circumstances.day}-${entry.bread}`.replaceAll(/[^\w.-]+/g, '-');
  if (url.searchParams.get('as') === 'formula')
    return new Response(await asFormula(db, entry, household), {
      headers: {
        'content-type': 'application/json; charset=utf-8',
        'content-disposition': `attachment; filename="${named}.json"`,
      },
    });
  return new Response(bakeMarkdown(bakeRecord(entry, household), household), {
    headers: {
      'content-type': 'text/markdown; charset=utf-8',
      'content-disposition': `attachment; filename="${named}.md"`,
    },
  });
});
