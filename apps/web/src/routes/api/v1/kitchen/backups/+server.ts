import { json } from '@sveltejs/kit';
import { backupBody } from '$lib/server/boundary/archive-schema.ts';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { listCopies, putBack } from '$lib/server/copies.ts';
import { backUp } from '$lib/server/database/backup.ts';
import { databaseFile, kitchen } from '$lib/server/kitchen.ts';
import { route } from '$lib/server/route.ts';

export const GET = route(async () => json({ copies: listCopies() }));

/** A copy now. */
export const POST = route(async () => {
  await kitchen();
  backUp(databaseFile(), 'by-hand');
  return json({ copies: listCopies() }, { status: 201 });
});

/** A copy in the place of the data. */
export const PUT = route(async ({ request }) => {
  const { name } = check(backupBody, await readJson(request), 'body');
  await putBack(name);
  return json({ copies: listCopies() });
});
