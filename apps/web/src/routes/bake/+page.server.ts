import { kitchen } from '$lib/server/kitchen.ts';
import { listBakes } from '$lib/server/store/bakes.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => {
  const { rows } = await listBakes(await kitchen(), { open: true, limit: 30 });
  return { bakes: rows };
};
