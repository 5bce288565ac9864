import { bakeMarkdown, bakeRecord } from '@tender-crumb/core';
import { kitchen } from '$lib/server/kitchen.ts';
import { Problem } from '$lib/server/problem.ts';
import { route } from '$lib/server/route.ts';
import { bookEntries } from '$lib/server/store/book-entries.ts';
import { readHousehold } from '$lib/server/store/household.ts';

export const GET = route(async ({ params }) => {
  const db = await kitchen();
  const id = params['id']!;
  const [entry] = await bookEntries(db, { ids: [id] });
  if (!entry)
    throw new Problem(404, 'No such bake', [
      { where: 'path', what: 'no bake of a formula of that id' },
    ]);
  const household = await readHousehold(db);
  const file = `${entry.circumstances.day}-${entry.bread}.md`.replaceAll(/[^\w.-]+/g, '-');
  return new Response(bakeMarkdown(bakeRecord(entry, household), household), {
    headers: {
      'content-type': 'text/markdown; charset=utf-8',
      'content-disposition': `attachment; filename="${file}"`,
    },
  });
});
