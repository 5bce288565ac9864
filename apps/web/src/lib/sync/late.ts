/** Under which a tab keeps when it delivered something last. */
const key = 'delivered';

/** A moment that goes on over a reload of the page, ms. */
const moment = (): number => performance.timeOrigin + performance.now();

/** Something was delivered. */
export function deliveredNow(): void {
  try {
    sessionStorage.setItem(key, String(moment()));
  } catch {
    // Then a page that was asked for a moment too early shows it once it is asked for anew.
  }
}

/**
 * Whether the page before this one delivered something after this one was asked for: the server may have answered
 * without it, and nothing waits any more that would show it.
 */
export function isLate(): boolean {
  try {
    return Number(sessionStorage.getItem(key)) >= performance.timeOrigin;
  } catch {
    return false;
  }
}
