import { shown } from '$lib/away/shown.ts';
import type { BakeShown } from '$lib/server/shown/bake.ts';
import type { PageLoad } from './$types';

export const load: PageLoad = ({ fetch, params }) => shown<BakeShown>(fetch, `bake/${params.id}`);
