import { createHmac, timingSafeEqual } from 'node:crypto';

/** What a kitchen signs its devices' cookies with. */
export interface KitchenKey {
  /** Tells kitchens on one machine apart: their cookies do not overwrite each other. */
  readonly id: string;
  /** Base64url. */
  readonly secret: string;
}

/** Longest that browsers keep a cookie, seconds: 400 days (RFC 6265bis). */
export const cookieSeconds = 400 * 86_400;

export const cookieName = ({ id }: KitchenKey): string => `tender-crumb-${id}`;

const signature = (device: string, { secret }: KitchenKey): Buffer =>
  createHmac('sha256', Buffer.from(secret, 'base64url')).update(`device:${device}`).digest();

/** The cookie of a device. */
export const sign = (device: string, key: KitchenKey): string =>
  `${device}.${signature(device, key).toString('base64url')}`;

/** The device that a cookie was given to; undefined where this kitchen did not sign it. */
export function deviceIn(cookie: string | undefined, key: KitchenKey): string | undefined {
  const [device = '', signed = ''] = (cookie ?? '').split('.');
  const given = Buffer.from(signed, 'base64url');
  const right = signature(device, key);
  return device && given.length === right.length && timingSafeEqual(given, right)
    ? device
    : undefined;
}
