import { json } from '@sveltejs/kit';
import { kitchen } from '$lib/server/kitchen.ts';
import { route } from '$lib/server/route.ts';
import { listBakes } from '$lib/server/store/bakes.ts';
import { listHeads } from '$lib/server/store/formulas.ts';

/** So many formulas a tablet keeps for when the server is away: the last ones that were saved. */
const formulas = 30;

/** Pages that a kitchen needs when the server is away: the places, the formulas, the bakes under way. */
export const GET = route(async () => {
  const db = await kitchen();
  const [heads, open] = await Promise.all([
    listHeads(db, { limit: formulas }),
    listBakes(db, { open: true, limit: 20 }),
  ]);
  return json({
    paths: [
      '/',
      '/bake',
      ...open.rows.map((b) => `/bake/${b.id}`),
      '/book',
      '/pantry',
      ...heads.rows.map((f) => `/bench/${f.id}`),
    ],
  });
});
