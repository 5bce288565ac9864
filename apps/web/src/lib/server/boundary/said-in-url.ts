/** A text in an address may be so long: what somebody looks for is shorter, and what is longer is nobody's. */
const most = 200;

/**
 * What an address says under a name; an empty text where it says nothing.
 *
 * @example saidInUrl(new URL('http://a/?find=rye'), 'find') // 'rye'
 */
export const saidInUrl = (url: URL, name: string): string =>
  (url.searchParams.get(name) ?? '').slice(0, most);
