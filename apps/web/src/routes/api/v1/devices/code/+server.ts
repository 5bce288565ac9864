import { json } from '@sveltejs/kit';
import { pairingCode } from '$lib/server/gate/code.ts';
import { route } from '$lib/server/route.ts';

/** Makes another code: the one before lets nobody in any more. */
export const POST = route(async () => {
  pairingCode.renew();
  return json({ code: pairingCode.shown });
});
