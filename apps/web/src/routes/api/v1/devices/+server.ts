import { json } from '@sveltejs/kit';
import { route } from '$lib/server/route.ts';
import { listDevices } from '$lib/server/gate/doors-book.ts';

export const GET = route(async () => json({ devices: await listDevices() }));
