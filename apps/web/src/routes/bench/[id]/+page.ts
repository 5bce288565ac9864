import { shown } from '$lib/away/shown.ts';
import type { BenchShown } from '$lib/server/shown/bench.ts';
import type { PageLoad } from './$types';

export const load: PageLoad = ({ fetch, params }) => shown<BenchShown>(fetch, `bench/${params.id}`);
