import { toDataURL } from 'qrcode';
import { pairingCode } from '$lib/server/gate/code.ts';
import { isProxied } from '$lib/server/gate/gate.ts';
import { listening } from '$lib/server/gate/names.ts';
import { isSecure } from '$lib/server/serve/secure.ts';
import { pairingLink, tabletAddresses } from '$lib/server/serve/greeting.ts';
import { listDevices, listWritten } from '$lib/server/gate/doors-book.ts';
import type { PageServerLoad } from './$types';

/** Of what was written, so much is shown. */
const shown = 20;

export const load: PageServerLoad = async ({ url, locals }) => {
  const addresses = isProxied()
    ? [`${url.origin}/`]
    : tabletAddresses(listening(), Number(url.port || 80));
  const [first] = addresses;
  return {
    devices: listDevices(),
    trust: isSecure(),
    written: listWritten().slice(0, shown),
    here: locals.device?.id,
    addresses,
    code: pairingCode.shown,
    drawing: first
      ? await toDataURL(pairingLink(first), { margin: 1, scale: 6, errorCorrectionLevel: 'M' })
      : undefined,
  };
};
