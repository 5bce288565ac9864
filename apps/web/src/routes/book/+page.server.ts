import { kitchen } from '$lib/server/kitchen.ts';
import { pageIn } from '$lib/server/paging.ts';
import { countBakes, listBakes } from '$lib/server/store/bakes.ts';
import { listHeads } from '$lib/server/store/formulas.ts';
import { readHousehold } from '$lib/server/store/household.ts';
import type { PageServerLoad } from './$types';

const perPage = 20;

export const load: PageServerLoad = async ({ url }) => {
  const db = await kitchen();
  const asked = url.searchParams.get('formula') ?? '';
  const formula = /^[A-Za-z0-9_-]{1,80}$/.test(asked) ? asked : '';
  const { page, pages, offset } = pageIn(
    url.searchParams,
    await countBakes(db, { formula }),
    perPage,
  );
  const [{ rows, total }, formulas, household] = await Promise.all([
    listBakes(db, { limit: perPage, offset, formula }),
    listHeads(db, { limit: 200 }),
    readHousehold(db),
  ]);
  // The chart is of one bread: mixed breads have no common line.
  const charted = formula ? (await listBakes(db, { limit: 60, formula })).rows : [];
  return {
    // The page says what a bake taught most; the rest stays in the book.
    rows: rows.map((b) =>
      b.lesson
        ? {
            ...b,
            lesson: {
              ...b.lesson,
              taught: b.lesson.taught.filter((t) => t.ingredient).slice(0, 1),
            },
          }
        : b,
    ),
    charted: charted
      .filter((b) => b.lesson?.felt !== undefined)
      .map(({ id, startedAt, lesson }) => ({
        id,
        day: startedAt.slice(0, 10),
        forecast: lesson!.mixed.points,
        low: lesson!.mixed.low,
        high: lesson!.mixed.high,
        felt: lesson!.felt!,
      }))
      .reverse(),
    formulas: formulas.rows.map(({ id, name }) => ({ id, name })),
    household,
    formula,
    total,
    page,
    pages,
  };
};
