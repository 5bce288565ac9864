import { learningState } from '$lib/server/jobs/learning.ts';
import { isDemo, kitchen } from '$lib/server/kitchen.ts';
import { isWatched } from '$lib/server/store/plans.ts';
import { readSettings } from '$lib/server/store/household.ts';
import { plainWriting } from '@tender-crumb/core/quantity';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ locals }) => ({
  /** What the household reads its numbers in. */
  writing: locals.device ? (await readSettings(await kitchen())).writing : plainWriting,
  theme: locals.theme,
  demo: isDemo(),
  /** Who it is; nobody yet where a device is still to be let in. */
  device: locals.device,
  /** Something is planned, or a timer set: room is kept for what is next. */
  watched: locals.device ? await isWatched(await kitchen()) : false,
  learning: locals.device ? await learningState(await kitchen()) : { learned: true },
});
