/** An address that is nobody's: what is read against it and stays there is a place of our own. */
const here = 'http://kitchen.invalid';

/**
 * A place of our own that somebody is led to; an address of somebody else's is none, however it is spelled. It is read
 * as a browser reads it, and what comes back is what was read.
 *
 * @example placeIn('/bench/loaf?x=1') // '/bench/loaf?x=1'
 * @example placeIn('/\t/elsewhere.example') // '/'
 */
export function placeIn(to: string | null): string {
  if (!to?.startsWith('/') || !URL.canParse(to, here)) return '/';
  const { origin, pathname, search, hash } = new URL(to, here);
  // Two slashes at its head would be somebody's name once more.
  return origin === here && !/^\/[/\\]/.test(pathname) ? `${pathname}${search}${hash}` : '/';
}
