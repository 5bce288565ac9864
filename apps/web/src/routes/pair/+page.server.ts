import { fail, redirect } from '@sveltejs/kit';
import { check } from '$lib/server/boundary/check.ts';
import { deviceBody } from '$lib/server/boundary/schemas.ts';
import { pairingCode } from '$lib/server/gate/code.ts';
import { cookieName, sign } from '$lib/server/gate/cookie.ts';
import { letIn } from '$lib/server/gate/gate.ts';
import { isSecure } from '$lib/server/serve/secure.ts';
import { log } from '$lib/server/log.ts';
import { Problem } from '$lib/server/problem.ts';
import { addDevice, kitchenKey, mostDevices } from '$lib/server/gate/doors-book.ts';
import { placeIn } from '$lib/server/gate/place.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ url, locals }) => {
  const to = placeIn(url.searchParams.get('to'));
  if (locals.device) redirect(303, to);
  return { to, trust: isSecure(), forgotten: url.searchParams.get('why') === 'forgotten' };
};

const wrong = {
  wrong:
    'Wrong code. Find it where the program was started, or in the Pantry of a connected device.',
  'too-often': 'Too many wrong codes. Wait ten minutes, then try again.',
} as const;

export const actions: Actions = {
  default: async (event) => {
    const form = await event.request.formData();
    const text = (field: string) => String(form.get(field) ?? '').slice(0, 200);
    const to = placeIn(text('to'));
    const typed = { code: text('code'), name: text('name'), to };
    let name: string;
    try {
      ({ name } = check(deviceBody, { name: typed.name.trim() }, 'body'));
    } catch (fault) {
      if (!(fault instanceof Problem)) throw fault;
      return fail(400, { ...typed, fault: { name: 'A name of one to forty letters' } });
    }
    const entered = pairingCode.enter(typed.code, event.getClientAddress());
    if (entered !== 'right') {
      log.warn({ entered }, 'a device was not let in');
      return fail(entered === 'wrong' ? 400 : 429, { ...typed, fault: { code: wrong[entered] } });
    }
    const device = addDevice(name);
    if (!device) {
      const says = `There are ${mostDevices} devices already: forget one in the Pantry first.`;
      return fail(409, { ...typed, fault: { code: says } });
    }
    const key = kitchenKey();
    letIn(event, cookieName(key), sign(device.id, key));
    redirect(303, to);
  },
};
