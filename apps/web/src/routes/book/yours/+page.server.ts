import { isDemo } from '$lib/server/kitchen.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { listCopies } from '$lib/server/copies.ts';
import { bakesInBook } from '$lib/server/store/book-list.ts';
import { listHeads } from '$lib/server/store/formulas.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => {
  const db = await kitchen();
  const [bakes, heads] = await Promise.all([bakesInBook(db), listHeads(db, { limit: 200 })]);
  return {
    copies: listCopies(),
    bakes,
    formulas: heads.rows.map(({ id, name }) => ({ id, name })),
    ofDemo: isDemo(),
  };
};
