/**
 * The one clock of server, page and demo. It is the machine's own, unless `TENDER_CRUMB_NOW` says at what moment
 * the program begins; from there it runs on. A page goes by the clock of the server that made it.
 */

/** Under which the page's document carries the server's offset: `data-clock`. */
const inPage = 'clock';

function offsetHere(): number {
  const page = (globalThis as { document?: Document }).document;
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

/** Milliseconds since 1970. */
export const currentMs = (): number => Date.now() + clockOffset;

export const currentTime = (): Date => new Date(currentMs());

/** As an ISO moment. */
export const currentIso = (): string => currentTime().toISOString();
