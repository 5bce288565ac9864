import { error, redirect, type Handle, type RequestEvent } from '@sveltejs/kit';
import { currentMs } from '../../clock.ts';
import { clockHeaders } from '../../house-clock.ts';
import { StorageFault } from '../database/fault.ts';
import { kitchen } from '../kitchen.ts';
import { log } from '../log.ts';
import { Problem, problemResponse, problemType, storageProblem } from '../problem.ts';
import { cookieName, cookieSeconds, deviceIn, sign } from './cookie.ts';
import { turnAway } from './doors.ts';
import { deviceOf, kitchenKey, noteWriting, seeDevice } from './doors-book.ts';
import { dress } from './headers.ts';
import { isLoopback, listening, passedOn } from './names.ts';
import { writingOf } from './writings.ts';

/** Whether a proxy of one's own stands before the program: then nobody is at home by address. */
export const isProxied = (): boolean => process.env['TENDER_CRUMB_PROXY'] === '1';

const isApi = ({ url }: RequestEvent): boolean =>
  url.pathname.startsWith('/api/') || url.pathname.startsWith('/schemas/');

/** Where one is let in. */
export const pairPath = '/pair';
/** Where the house's certificate is had by a device that is not in yet. */
export const certificatePath = '/house-certificate.crt';
/** What is for everybody: that page, and the certificate that a device is to trust before it comes in. */
const open: ReadonlySet<string> = new Set([pairPath, certificatePath]);

/** What the API has no way to, it says as it says all its refusals. */
const nowhere: Readonly<Record<number, (of: RequestEvent) => string>> = {
  404: () => 'There is nothing here',
  405: ({ request }) => `${request.method} is nothing that can be done here`,
};

function asProblem(event: RequestEvent, answer: Response): Response {
  const says = nowhere[answer.status];
  if (!says || answer.headers.get('content-type') === problemType) return answer;
  const { pathname } = event.url;
  const refused = problemResponse(
    new Problem(answer.status, says(event), [{ where: 'path', what: pathname }]),
  );
  const allowed = answer.headers.get('allow');
  if (allowed) refused.headers.set('allow', allowed);
  return refused;
}

/** Every answer wears the same headers; what is personal is kept by nobody on the way. */
export const dressed: Handle = async ({ event, resolve }) => {
  const answer = await resolve(event);
  const response = isApi(event) ? asProblem(event, answer) : answer;
  dress(response.headers);
  response.headers.set(clockHeaders.house, String(currentMs()));
  if (!response.headers.has('cache-control') || !event.url.pathname.startsWith('/schemas/')) {
    response.headers.set('cache-control', 'no-store');
  }
  return response;
};

/** Names, origins and sites that are not ours stay outside. */
export const doors: Handle = async ({ event, resolve }) => {
  // What a page of ours asks while it is made: whoever asked for the page was let in.
  if (event.isSubRequest) return resolve(event);
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

/** Whether somebody sits at this machine itself: by the socket, and by nothing that passed the request on. */
const isAtHome = (event: RequestEvent): boolean =>
  !isProxied() && isLoopback(event.getClientAddress()) && !event.request.headers.has(passedOn.mark);

/** Remembers who wrote what, where something was written. */
async function noted(event: RequestEvent, answer: Response): Promise<Response> {
  const what = writingOf(event.request.method, event.url.pathname);
  if (what && answer.ok) noteWriting(event.locals.device!.name, what);
  return answer;
}

/**
 * Who it is: at home on this machine itself, or a device that was let in. A device that was forgotten is told so, and
 * not only that it is not known: what it keeps is nobody's any more.
 */
export const paired: Handle = async ({ event, resolve }) => {
  if (isAtHome(event)) {
    event.locals.device = { name: 'the main machine' };
    return noted(event, await resolve(event));
  }
  const key = kitchenKey();
  const name = cookieName(key);
  const id = deviceIn(event.cookies.get(name), key);
  const device = id === undefined ? undefined : deviceOf(id);
  if (device) {
    event.locals.device = { id: device.id, name: device.name };
    try {
      seeDevice(device);
    } catch {
      // When it was here last is not worth refusing it.
    }
    if (!isApi(event) && !event.isDataRequest) letIn(event, name, sign(device.id, key));
    return noted(event, await resolve(event));
  }
  if (open.has(event.url.pathname)) return resolve(event);
  // This kitchen signed its cookie, and has it in its book no more.
  const why = id === undefined ? 'unknown' : 'forgotten';
  if (isApi(event)) {
    return problemResponse(
      new Problem(
        401,
        why === 'forgotten'
          ? 'This device was forgotten'
          : 'This device is not paired with the kitchen',
        [{ where: 'cookie', what: `enter the code once at ${pairPath}` }],
        { code: why },
      ),
    );
  }
  const to = event.url.pathname + event.url.search;
  redirect(
    303,
    `${pairPath}?${new URLSearchParams({ to, ...(why === 'forgotten' ? { why } : {}) })}`,
  );
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
