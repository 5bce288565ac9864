import { json } from '@sveltejs/kit';
import { check } from '$lib/server/boundary/check.ts';
import { plainId } from '$lib/server/boundary/fields.ts';
import { photoBytes, pictureOf } from '$lib/server/boundary/picture.ts';
import { photoQuery } from '$lib/server/boundary/schemas.ts';
import { databaseFile, kitchen } from '$lib/server/kitchen.ts';
import { Problem } from '$lib/server/problem.ts';
import { route } from '$lib/server/route.ts';
import { photoFolder } from '$lib/server/store/picture-files.ts';
import {
  dropPhoto,
  keepPhoto,
  mostPhotos,
  readPhoto,
  type PhotoKept,
} from '$lib/server/store/photos.ts';

const refusals: Record<Exclude<PhotoKept, 'kept'>, readonly [status: number, what: string]> = {
  'no-bake': [404, 'no bake of that id'],
  another: [409, 'another photo has that id'],
  'too-many': [422, `up to ${mostPhotos} photos of one bake`],
};

const folder = () => photoFolder(databaseFile());

export const PUT = route(async ({ params, request, url }) => {
  const id = check(plainId.required(), params['photo'], 'path') as string;
  const { step } = check(photoQuery, Object.fromEntries(url.searchParams), 'query');
  const sent = await photoBytes(request);
  const bakeId = params['id']!;
  const kept = await keepPhoto(await kitchen(), folder(), { id, bakeId, step }, sent, () =>
    pictureOf(sent),
  );
  if (kept !== 'kept') {
    const [status, what] = refusals[kept];
    throw new Problem(status, 'A photo that cannot be kept', [{ where: 'path', what }]);
  }
  return json({ id });
});

export const GET = route(async ({ params, url }) => {
  const size = url.searchParams.get('size') === 'small' ? 'small' : 'kept';
  const bytes = await readPhoto(await kitchen(), folder(), params['id']!, params['photo']!, size);
  if (!bytes)
    throw new Problem(404, 'No such photo', [{ where: 'path', what: 'no photo of that id' }]);
  return new Response(bytes as Uint8Array<ArrayBuffer>, {
    headers: {
      'content-type': 'image/jpeg',
      'content-length': String(bytes.byteLength),
      // Its id is its own: what it shows never changes.
      'cache-control': 'private, max-age=31536000, immutable',
    },
  });
});

export const DELETE = route(async ({ params }) => {
  await dropPhoto(await kitchen(), folder(), params['id']!, params['photo']!);
  return json({});
});
