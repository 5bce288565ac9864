import { json } from '@sveltejs/kit';
import { readingOf } from '$lib/server/pages/reading.ts';
import { route } from '$lib/server/route.ts';

/** How far the reading of a file is; empty where none is under way. */
export const GET = route(async ({ params }) => json(readingOf(params['id']!) ?? {}));
