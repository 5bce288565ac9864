import { learningState } from '$lib/server/jobs/learning.ts';
import { isDemo, kitchen } from '$lib/server/kitchen.ts';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ locals }) => ({
  theme: locals.theme,
  demo: isDemo(),
  /** Who it is; nobody yet where a device is still to be let in. */
  device: locals.device,
  learning: locals.device ? await learningState(await kitchen()) : { learned: true },
});
