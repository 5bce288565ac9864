import { toDataURL } from 'qrcode';
import { pairingCode } from '$lib/server/gate/code.ts';
import { isProxied } from '$lib/server/gate/gate.ts';
import { listening } from '$lib/server/gate/names.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { pairingLink, tabletAddresses } from '$lib/server/serve/greeting.ts';
import { listDevices } from '$lib/server/store/devices.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url, locals }) => {
  const addresses = isProxied()
    ? [`${url.origin}/`]
    : tabletAddresses(listening(), Number(url.port || 80));
  const [first] = addresses;
  return {
    devices: await listDevices(await kitchen()),
    here: locals.device?.id,
    addresses,
    code: pairingCode.shown,
    drawing: first
      ? await toDataURL(pairingLink(first), { margin: 1, scale: 6, errorCorrectionLevel: 'M' })
      : undefined,
  };
};
