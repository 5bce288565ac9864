import { hostname, networkInterfaces } from 'node:os';

/** Names of this machine to itself. */
const loopbackNames = ['127.0.0.1', 'localhost', '[::1]'];

/** Addresses that stand for every address of the machine. */
const anywhere = new Set(['0.0.0.0', '::', '[::]']);

const bracketed = (address: string): string =>
  address.includes(':') && !address.startsWith('[') ? `[${address}]` : address;

/** Whether an address of a socket is the machine's own loopback (RFC 1122, RFC 4291). */
export const isLoopback = (address: string): boolean =>
  /^(?:::ffff:)?127\.\d+\.\d+\.\d+$/.test(address) || address === '::1';

/** What a request wears that somebody passed on, and the mark that the program puts on one then. */
export const passedOn = {
  worn: /^(?:forwarded|via|x-real-ip|x-forwarded(?:-.+)?)$/i,
  mark: 'x-kitchen-passed-on',
} as const;

/**
 * Whether a request was passed on by a proxy: then its socket says where the proxy is, and not who asks.
 *
 * @example wasPassedOn(['host', 'x-forwarded-for']) // true
 */
export const wasPassedOn = (headers: readonly string[]): boolean =>
  headers.some((name) => passedOn.worn.test(name));

/** Bridges and tunnels of this machine alone: nobody in the house reaches them. */
const inside = /^(?:docker|br-|veth|virbr|vmnet|vbox|lxc|lxd|cni|flannel|tun|tap|utun|awdl|llw)/i;

/** Addresses under which others in the house reach this machine; those of IPv4 first. */
export function houseAddresses(interfaces = networkInterfaces()): string[] {
  const all = Object.entries(interfaces).flatMap(([name, addresses]) =>
    inside.test(name) ? [] : (addresses ?? []),
  );
  const open = all.filter(
    ({ address, internal }) =>
      !internal && !address.startsWith('169.254.') && !/^fe80:/i.test(address),
  );
  return [
    ...open.filter((a) => a.family === 'IPv4'),
    ...open.filter((a) => a.family === 'IPv6'),
  ].map((a) => bracketed(a.address));
}

/** How the program was told to listen. */
export interface Listening {
  /** `HOST`. */
  readonly host: string;
  /** `TENDER_CRUMB_NAMES`, parted by commas. */
  readonly names: string;
}

export const listening = (): Listening => ({
  host: process.env['HOST'] || '127.0.0.1',
  names: process.env['TENDER_CRUMB_NAMES'] ?? '',
});

/** Whether others than this machine itself can reach the program. */
export const isOpenToHouse = ({ host }: Listening): boolean =>
  !loopbackNames.includes(bracketed(host.toLowerCase()));

/** Names that somebody gave the program, in lower case. */
export const givenNames = ({ names }: Listening): string[] =>
  names
    .split(',')
    .map((name) => name.trim().toLowerCase())
    .filter(Boolean);

/**
 * Names and addresses under which the program answers, without a port. A name that is not among them
 * is somebody else's that was made to lead here.
 *
 * @example ownNames({host: '127.0.0.1', names: ''}) // 127.0.0.1, localhost, [::1]
 */
export function ownNames(
  { host, names }: Listening,
  machine: { hostname: string; addresses: readonly string[] } = {
    hostname: hostname(),
    addresses: houseAddresses(),
  },
): ReadonlySet<string> {
  const own = [...loopbackNames, ...givenNames({ host, names })];
  if (isOpenToHouse({ host, names })) {
    const name = machine.hostname.toLowerCase().replace(/\.local$/, '');
    own.push(
      ...(anywhere.has(host) ? [] : [bracketed(host.toLowerCase())]),
      ...machine.addresses.map((a) => a.toLowerCase()),
      ...(name ? [name, `${name}.local`] : []),
    );
  }
  return new Set(own);
}

/** The name in a Host header: `[::1]:4310` → `[::1]`; undefined where it is none. */
export function nameIn(host: string | null | undefined): string | undefined {
  const match = /^(\[[0-9a-f:.%]+\]|[^:/?#@\s]+)\.?(?::\d{1,5})?$/i.exec((host ?? '').trim());
  return match?.[1]!.toLowerCase().replace(/\.$/, '');
}
