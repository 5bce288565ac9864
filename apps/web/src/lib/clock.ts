/**
 * The one clock of server, page and demo: the house's. On the server it is the machine's own, unless `TENDER_CRUMB_NOW`
 * says at what moment the program begins; from there it runs on. A page goes by the clock of the server, as it was heard
 * last: a tablet a day ahead shows the house's times.
 */

/** Under which the page's document carries the server's offset: `data-clock`. */
const inPage = 'clock';

const page = (globalThis as { document?: Document }).document;

function offsetHere(): number {
  if (page) return Number(page.documentElement.dataset[inPage]) || 0;
  const setting = (globalThis as { process?: NodeJS.Process }).process?.env['TENDER_CRUMB_NOW'];
  if (!setting) return 0;
  const begins = Date.parse(setting);
  if (Number.isNaN(begins))
    throw new Error(
      `TENDER_CRUMB_NOW is “${setting}”: write a moment such as 2026-11-26T09:00:00Z.`,
    );
  return Math.round(begins - performance.timeOrigin);
}

/** What is added to the machine's clock, ms. */
export const clockOffset = offsetHere();

/** Where this browser keeps by how much its clock is off: known before the server is heard again. */
const keptAs = 'house-clock';

function keptBehind(): number {
  try {
    return Number(localStorage.getItem(keptAs)) || 0;
  } catch {
    return 0;
  }
}

/** What is added to this device's clock for the house's, ms. */
let behind = page ? keptBehind() : 0;

/** Clocks that tell each other the time over a kitchen's network are alike to this, ms. */
const networkMs = 1500;

/** Who wants to hear that this device's clock is another than the house's. */
export const clockHeard = new Set<(behindMs: number) => void>();

/** The time by this device's own clock, ms since 1970. */
export const deviceMs = (): number => Date.now() + clockOffset;

/** By how much this device's clock is behind the house's, ms; below zero where it is ahead. */
export const clockBehind = (): number => behind;

/**
 * Hears what time it is in the house.
 *
 * @param houseMs by its clock; nothing is heard where that is no number
 * @param askedMs when it was asked, by the device's clock: the answer was made between then and now
 */
export function heardHouse(houseMs: number, askedMs: number): void {
  if (!page || !Number.isFinite(houseMs)) return;
  const now = deviceMs();
  const is = houseMs - (askedMs + now) / 2;
  const off = Math.abs(is) <= networkMs + (now - askedMs) / 2 ? 0 : Math.round(is);
  if (Math.abs(off - behind) <= networkMs + (now - askedMs) / 2) return;
  behind = off;
  try {
    localStorage.setItem(keptAs, String(off));
  } catch {
    // It is heard again with the next answer.
  }
  for (const tell of clockHeard) tell(off);
}

/** Milliseconds since 1970, in the house. */
export const currentMs = (): number => deviceMs() + behind;

export const currentTime = (): Date => new Date(currentMs());

/** As an ISO moment. */
export const currentIso = (): string => currentTime().toISOString();

/** When something is tapped: by this device's clock, and what to add to it where that is another. */
export function tapped(): { readonly at: string; readonly clock?: number } {
  return {
    at: new Date(deviceMs()).toISOString(),
    ...(behind === 0 ? {} : { clock: behind }),
  };
}
