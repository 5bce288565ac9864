import { error, redirect, type Handle, type RequestEvent } from '@sveltejs/kit';
import { StorageFault } from '../database/fault.ts';
import { kitchen } from '../kitchen.ts';
import { log } from '../log.ts';
import { Problem, problemResponse, storageProblem } from '../problem.ts';
import { readDevice, readKitchenKey, seeDevice } from '../store/devices.ts';
import { cookieName, cookieSeconds, deviceIn, sign } from './cookie.ts';
import { turnAway } from './doors.ts';
import { dress } from './headers.ts';
import { isLoopback, listening } from './names.ts';

/** Whether a proxy of one's own stands before the program: then nobody is at home by address. */
export const isProxied = (): boolean => process.env['TENDER_CRUMB_PROXY'] === '1';

const isApi = ({ url }: RequestEvent): boolean =>
  url.pathname.startsWith('/api/') || url.pathname.startsWith('/schemas/');

/** Where one is let in; the only page that is for everybody. */
export const pairPath = '/pair';

/** Every answer wears the same headers; what is personal is kept by nobody on the way. */
export const dressed: Handle = async ({ event, resolve }) => {
  const response = await resolve(event);
  dress(response.headers);
  if (!response.headers.has('cache-control') || !event.url.pathname.startsWith('/schemas/')) {
    response.headers.set('cache-control', 'no-store');
  }
  return response;
};

/** Names, origins and sites that are not ours stay outside. */
export const doors: Handle = async ({ event, resolve }) => {
  const { headers, method } = event.request;
  const away = turnAway(
    {
      method,
      host: headers.get('host'),
      origin: headers.get('origin'),
      site: headers.get('sec-fetch-site'),
    },
    listening(),
    isProxied(),
  );
  if (!away) return resolve(event);
  return problemResponse(new Problem(away.status, away.title, [away]));
};

/** Where the data cannot be used, that is said before anything else is tried. */
export const sound: Handle = async ({ event, resolve }) => {
  try {
    await kitchen();
  } catch (fault) {
    if (!(fault instanceof StorageFault)) throw fault;
    log.error({ fault: fault.trouble }, 'the data cannot be used');
    if (isApi(event)) return problemResponse(storageProblem(fault));
    error(fault.status, { message: fault.message });
  }
  return resolve(event);
};

/** Who it is: at home on this machine itself, or a device that was let in. */
export const paired: Handle = async ({ event, resolve }) => {
  if (!isProxied() && isLoopback(event.getClientAddress())) {
    event.locals.device = { name: 'the main machine' };
    return resolve(event);
  }
  const db = await kitchen();
  const key = await readKitchenKey(db);
  const name = cookieName(key);
  const id = deviceIn(event.cookies.get(name), key);
  const device = id === undefined ? undefined : await readDevice(db, id);
  if (device) {
    event.locals.device = { id: device.id, name: device.name };
    await seeDevice(db, device).catch(() => undefined);
    if (!isApi(event) && !event.isDataRequest) letIn(event, name, sign(device.id, key));
    return resolve(event);
  }
  if (event.url.pathname === pairPath) return resolve(event);
  if (isApi(event)) {
    return problemResponse(
      new Problem(401, 'This device is not paired with the kitchen', [
        { where: 'cookie', what: `enter the code once at ${pairPath}` },
      ]),
    );
  }
  const to = event.url.pathname + event.url.search;
  redirect(303, `${pairPath}?${new URLSearchParams({ to })}`);
};

/** Gives the browser what it comes in with the next time. */
export function letIn({ cookies, url }: RequestEvent, name: string, value: string): void {
  cookies.set(name, value, {
    path: '/',
    httpOnly: true,
    sameSite: 'lax',
    // On plain http in the house a browser drops a cookie that is marked secure.
    secure: url.protocol === 'https:',
    maxAge: cookieSeconds,
  });
}
