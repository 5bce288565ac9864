import { json } from '@sveltejs/kit';
import { discard, lookInto, takeIn, takePiece, workOn } from '$lib/server/archive/incoming.ts';
import { staysBody } from '$lib/server/boundary/archive-schema.ts';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { plainId } from '$lib/server/boundary/fields.ts';
import { databaseFile, kitchen } from '$lib/server/kitchen.ts';
import { Problem } from '$lib/server/problem.ts';
import { route } from '$lib/server/route.ts';

const idOf = (params: Partial<Record<string, string>>): string =>
  check(plainId.required(), params['id'], 'path');

/** A piece of the file; `at` says how many bytes stand before it. */
export const PUT = route(async ({ params, url, request }) => {
  const at = Number(url.searchParams.get('at') ?? '0');
  if (!Number.isSafeInteger(at) || at < 0)
    throw new Problem(400, 'Something in it is not right', [
      { where: 'query.at', what: 'is no count of bytes' },
    ]);
  // The kit hands on no body that does not say what it is: nothing would be taken, without a word.
  if (!request.headers.has('content-type') && Number(request.headers.get('content-length')) > 0)
    throw new Problem(415, 'It does not say what it is', [
      { where: 'header.content-type', what: 'is missing; application/octet-stream' },
    ]);
  return json({ here: await takePiece(databaseFile(), idOf(params), at, request.body) });
});

/** What would come of it; with `?progress`, how far the work on it is. */
export const GET = route(async ({ params, url }) =>
  url.searchParams.has('progress')
    ? json({ working: workOn(idOf(params)) ?? null })
    : json(await lookInto(databaseFile(), idOf(params))),
);

/** It is taken. */
export const POST = route(async ({ params, request }) => {
  const { stays } = check(staysBody, await readJson(request), 'body');
  const db = await kitchen();
  return json({ came: await takeIn(db, databaseFile(), idOf(params), stays) });
});

export const DELETE = route(async ({ params }) => {
  discard(databaseFile(), idOf(params));
  return new Response(null, { status: 204 });
});
