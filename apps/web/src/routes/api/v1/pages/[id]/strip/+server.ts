import { check } from '$lib/server/boundary/check.ts';
import { plainId } from '$lib/server/boundary/fields.ts';
import { stripQuery } from '$lib/server/boundary/schemas.ts';
import { databaseFile, kitchen } from '$lib/server/kitchen.ts';
import { stripOf } from '$lib/server/pages/strip.ts';
import { Problem } from '$lib/server/problem.ts';
import { route } from '$lib/server/route.ts';
import { readPageOf } from '$lib/server/store/pages.ts';
import { photoFolder, readPicture } from '$lib/server/store/picture-files.ts';

/** A part of a page's picture: the row that somebody looks at. */
export const GET = route(async ({ params, url }) => {
  const id = check(plainId.required(), params['id'], 'path') as string;
  const box = check(stripQuery, Object.fromEntries(url.searchParams), 'query');
  const page = await readPageOf(await kitchen(), id);
  const kept = page && (await readPicture(photoFolder(databaseFile()), id, 'kept'));
  if (!kept)
    throw new Problem(404, 'No such picture', [{ where: 'path', what: 'no picture of that id' }]);
  const strip = await stripOf(kept, page, box);
  return new Response(strip as Uint8Array<ArrayBuffer>, {
    headers: { 'content-type': 'image/jpeg', 'content-length': String(strip.byteLength) },
  });
});
