/** Under which a device remembers it; ids need no coding. */
export const bakerCookie = 'baker';

/**
 * Who stands at this device, as it was said here last; undefined where nobody said.
 *
 * @param cookies as the browser hands them out
 * @example bakerHere('bench=whole; baker=ilse') // 'ilse'
 */
export const bakerHere = (cookies: string): string | undefined =>
  cookies
    .split('; ')
    .find((c) => c.startsWith(`${bakerCookie}=`))
    ?.slice(bakerCookie.length + 1) || undefined;

/** Remembers it for the next bench and the next bake. */
export function rememberBaker(id: string): void {
  document.cookie = `${bakerCookie}=${id}; path=/; max-age=31536000; samesite=lax`;
}
