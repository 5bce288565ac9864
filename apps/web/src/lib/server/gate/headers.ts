/** What every answer says to the browser, whoever made it. */
export const securityHeaders: Readonly<Record<string, string>> = {
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'same-origin',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  'x-frame-options': 'DENY',
  'permissions-policy': 'camera=(self), geolocation=(), microphone=()',
};

const isText =
  /^(?:text\/|application\/(?:[\w.+-]+\+)?(?:json|xml|javascript|manifest)|image\/svg)/i;

/** A type of text says its letters. */
export const withCharset = (type: string): string =>
  isText.test(type) && !/charset=/i.test(type) ? `${type}; charset=utf-8` : type;

/** Puts on an answer what every answer has; what was said of keeping it stays. */
export function dress(headers: Headers): void {
  for (const [name, value] of Object.entries(securityHeaders)) headers.set(name, value);
  const type = headers.get('content-type');
  if (type) headers.set('content-type', withCharset(type));
}
