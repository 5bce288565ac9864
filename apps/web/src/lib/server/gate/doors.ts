import { givenNames, nameIn, ownNames, type Listening } from './names.ts';

/** What of a request says where it comes from. */
export interface Knock {
  readonly method: string;
  /** The Host header. */
  readonly host: string | null;
  /** The Origin header. */
  readonly origin: string | null;
  /** The Sec-Fetch-Site header. */
  readonly site: string | null;
}

/** Why a request does not come in. */
export interface TurnedAway {
  readonly status: 421 | 403;
  readonly title: string;
  readonly where: string;
  readonly what: string;
}

const reads = new Set(['GET', 'HEAD', 'OPTIONS']);

/**
 * Whether a request may come in by the name that it used and, where it writes, by the page that it
 * comes from. Who it is comes later.
 *
 * @param proxied behind a proxy of one's own, which may have changed the Host
 * @returns why not, or undefined where it may
 * @example turnAway({method: 'GET', host: 'elsewhere.example', …}, listening) // 421
 */
export function turnAway(
  { method, host, origin, site }: Knock,
  listening: Listening,
  proxied = false,
  names = ownNames(listening),
): TurnedAway | undefined {
  const name = nameIn(host);
  if (name === undefined || !names.has(name)) {
    return {
      status: 421,
      title: 'This name is not served here',
      where: 'host',
      what: 'is not a name of this kitchen; TENDER_CRUMB_NAMES adds one',
    };
  }
  if (reads.has(method)) return undefined;
  const foreign = {
    status: 403,
    title: 'This comes from a page of somebody else’s',
    what: 'is not this kitchen',
  } as const;
  if (origin !== null && !isOurs(origin, host!, proxied ? givenNames(listening) : [])) {
    return { ...foreign, where: 'origin' };
  }
  if (site !== null && site !== 'same-origin' && site !== 'none') {
    return { ...foreign, where: 'sec-fetch-site' };
  }
  return undefined;
}

/** Same name and same port: another program on another port of this machine is not us. */
function isOurs(origin: string, host: string, behind: readonly string[]): boolean {
  if (!/^https?:\/\//i.test(origin) || !URL.canParse(origin)) return false;
  const from = new URL(origin);
  const to = new URL(`${from.protocol}//${host}`);
  return from.host === to.host || behind.includes(from.hostname);
}
