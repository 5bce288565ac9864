const cookieName = 'baker';

/**
 * Who stands at this device, as it was said here last; undefined where nobody said.
 *
 * @param cookies as the browser hands them out
 * @example bakerHere('bench=whole; baker=ilse') // 'ilse'
 */
export function bakerHere(cookies: string): string | undefined {
  const found = cookies
    .split('; ')
    .find((c) => c.startsWith(`${cookieName}=`))
    ?.slice(cookieName.length + 1);
  return found ? decodeURIComponent(found) : undefined;
}

/** Remembers it for the next bench and the next bake. */
export function rememberBaker(id: string): void {
  document.cookie = `${cookieName}=${encodeURIComponent(id)}; path=/; max-age=31536000; samesite=lax`;
}
