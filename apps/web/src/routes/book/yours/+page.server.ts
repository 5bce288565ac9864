import { isDemo } from '$lib/server/kitchen.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { listCopies } from '$lib/server/copies.ts';
import { breadsOfBook } from '$lib/server/store/book-list.ts';
import { listHeads } from '$lib/server/store/formulas.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => {
  const db = await kitchen();
  const [breads, heads] = await Promise.all([breadsOfBook(db), listHeads(db, { limit: 200 })]);
  return {
    copies: listCopies(),
    bakes: breads.reduce((sum, b) => sum + b.bakes, 0),
    formulas: heads.rows.map(({ id, name }) => ({ id, name })),
    ofDemo: isDemo(),
  };
};
