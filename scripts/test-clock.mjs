/**
 * The day on which tests and pictures take place: the servers that they start, and they themselves, go by it. Any
 * other is `TENDER_CRUMB_NOW=2027-02-11T08:00:00Z npm test`.
 */
process.env.TENDER_CRUMB_NOW ??= '2026-11-26T09:00:00Z';

/** The moment at which each server begins. */
export const testMoment = process.env.TENDER_CRUMB_NOW;

/** So many milliseconds after it. */
export const testTime = (later = 0) => new Date(Date.parse(testMoment) + later);
