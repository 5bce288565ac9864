import { json } from '@sveltejs/kit';
import { check } from '$lib/server/boundary/check.ts';
import { plainId } from '$lib/server/boundary/fields.ts';
import { databaseFile, kitchen } from '$lib/server/kitchen.ts';
import { readSent, stopReading } from '$lib/server/pages/reading.ts';
import { Problem } from '$lib/server/problem.ts';
import { route } from '$lib/server/route.ts';
import { dropPage, readPageOf } from '$lib/server/store/pages.ts';
import { photoFolder, readPicture } from '$lib/server/store/picture-files.ts';

const idOf = (params: Partial<Record<string, string>>): string =>
  check(plainId.required(), params['id'], 'path') as string;

/** Reads a file that is sent: a photo of a recipe, or a PDF. */
export const PUT = route(async ({ params, request }) =>
  json(await readSent(await kitchen(), databaseFile(), idOf(params), request)),
);

export const GET = route(async ({ params, url }) => {
  const id = idOf(params);
  const size = url.searchParams.get('size') === 'small' ? 'small' : 'kept';
  const known = await readPageOf(await kitchen(), id);
  const bytes = known && (await readPicture(photoFolder(databaseFile()), id, size));
  if (!bytes)
    throw new Problem(404, 'No such picture', [{ where: 'path', what: 'no picture of that id' }]);
  return new Response(bytes as Uint8Array<ArrayBuffer>, {
    headers: { 'content-type': 'image/jpeg', 'content-length': String(bytes.byteLength) },
  });
});

/** Stops its reading, or lets go of it where no formula has it. */
export const DELETE = route(async ({ params }) => {
  const id = idOf(params);
  stopReading(id);
  return json({ gone: await dropPage(await kitchen(), photoFolder(databaseFile()), id) });
});
