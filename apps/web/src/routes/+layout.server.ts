import { isDemo } from '$lib/server/kitchen.ts';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = ({ locals }) => ({
  theme: locals.theme,
  demo: isDemo(),
  device: locals.device,
});
