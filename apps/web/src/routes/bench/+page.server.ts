import { redirect } from '@sveltejs/kit';
import { kitchen } from '$lib/server/kitchen.ts';
import { listFormulas } from '$lib/server/store/formulas.ts';
import type { PageServerLoad } from './$types';

/** The bench holds what was worked on last; an empty one sends to the shelf. */
export const load: PageServerLoad = async () => {
  const { rows } = await listFormulas(await kitchen(), { limit: 1 });
  redirect(307, rows[0] ? `/bench/${rows[0].id}` : '/');
};
