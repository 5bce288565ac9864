import { json } from '@sveltejs/kit';
import { begunAt, onDevice } from '$lib/server/boundary/device-clock.ts';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { bakeBody, bakesQuery } from '$lib/server/boundary/schemas.ts';
import { inTransaction } from '$lib/server/database/open.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { Problem } from '$lib/server/problem.ts';
import { route } from '$lib/server/route.ts';
import { appendEvents } from '$lib/server/store/append-events.ts';
import { withEvents } from '$lib/server/store/bake-events.ts';
import { listBakes, readBake, startBake } from '$lib/server/store/bakes.ts';

export const GET = route(async ({ url }) => {
  const { limit, offset, formula } = check(
    bakesQuery,
    Object.fromEntries(url.searchParams),
    'query',
  );
  const db = await kitchen();
  const { rows, total } = await listBakes(db, { limit, offset, formula });
  return json({ bakes: await withEvents(db, rows), total });
});

export const POST = route(async ({ request }) => {
  const said = check(bakeBody, await readJson(request), 'body');
  const bake = {
    ...said,
    ...(said.startedAt === undefined ? {} : { startedAt: begunAt(request, said.startedAt) }),
  };
  const db = await kitchen();
  // The bake, what is known of it from the beginning, and that it is planned no more: all of it or nothing.
  const started = await inTransaction(db, async (tx) => {
    const begun = await startBake(tx, bake);
    if (typeof begun === 'object' && bake.events?.length)
      await appendEvents(tx, begun.id, onDevice(request, bake.events));
    return begun;
  });
  if (started === 'missing') {
    throw new Problem(404, 'No such formula', [
      { where: 'body.formulaId', what: 'no formula of that id and version' },
    ]);
  }
  if (started === 'another') {
    throw new Problem(409, 'Another bread is baked under this id', [
      { where: 'body.id', what: 'is the id of a bake of another formula or version' },
    ]);
  }
  return json(await readBake(db, started.id), {
    status: 201,
    headers: { location: `/api/v1/bakes/${started.id}` },
  });
});
