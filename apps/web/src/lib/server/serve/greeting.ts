import { toString as drawCode } from 'qrcode';
import { pairingCode } from '../gate/code.ts';
import { houseAddresses, isOpenToHouse, type Listening } from '../gate/names.ts';
import { isSecure } from './secure.ts';

const bracketed = (host: string): string => (host.includes(':') ? `[${host}]` : host);

/** Where a tablet in the house opens the kitchen; empty where nobody but this machine can. */
export function tabletAddresses(listening: Listening, port: number, secure = isSecure()): string[] {
  if (!isOpenToHouse(listening)) return [];
  const all = houseAddresses();
  const one = bracketed(listening.host.toLowerCase());
  const open = /^(?:0\.0\.0\.0|\[::\])$/.test(one) ? all : [one];
  return open.map((address) => `${secure ? 'https' : 'http'}://${address}:${port}/`);
}

/** An address with the code behind it, which a browser keeps to itself. */
export const pairingLink = (address: string, code = pairingCode.shown): string =>
  `${address}pair#${code}`;

/** What the program says when it is ready: where it is, and how a tablet comes in. */
export async function greeting(
  listening: Listening,
  port: number,
  proxied: boolean,
  secure = false,
): Promise<string> {
  const open = isOpenToHouse(listening);
  const anywhere = /^(?:0\.0\.0\.0|\[::\])$/.test(bracketed(listening.host));
  const here = open && anywhere ? '127.0.0.1' : bracketed(listening.host);
  const lines = [`Tender Crumb is at ${secure ? 'https' : 'http'}://${here}:${port}/`];
  const tablets = tabletAddresses(listening, port, secure);
  if (secure)
    lines.push(
      '',
      'Each device is told once to trust the certificate of this house: open the address, go on past the',
      'warning, and take the certificate that is offered where the code is entered, and in Pantry → Devices. The',
      'screen then stays awake, pages open without the server, and nobody in the house reads along.',
    );
  if (proxied || open) {
    if (tablets.length > 0)
      lines.push('', 'On a tablet or phone in this house:', ...tablets.map((a) => `  ${a}`));
    lines.push('', `Code to enter there, once: ${pairingCode.shown}`);
    if (tablets[0]) {
      lines.push(
        '',
        await drawCode(pairingLink(tablets[0]), { type: 'utf8', errorCorrectionLevel: 'L' }),
      );
    }
  }
  return lines.join('\n');
}
