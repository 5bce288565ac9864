const pattern = /^\d{4}-\d\d-\d\d$/;

/**
 * Whether a text is a day that exists, written as ISO 8601 has it.
 *
 * @example isDay('2026-02-30') // false: February never has thirty
 */
export function isDay(text: string): boolean {
  if (!pattern.test(text)) return false;
  const time = Date.parse(`${text}T00:00:00Z`);
  return Number.isFinite(time) && new Date(time).toISOString().startsWith(text);
}

/**
 * Whether a text is a moment that exists, in ISO 8601 with its time and zone.
 *
 * @example isMoment('2026-02-30T08:00:00Z') // false
 */
export function isMoment(text: string): boolean {
  const match = /^(\d{4}-\d\d-\d\d)T\d\d:\d\d(?::\d\d(?:\.\d{1,9})?)?(?:Z|[+-]\d\d:\d\d)$/.exec(
    text,
  );
  return match !== null && isDay(match[1]!) && Number.isFinite(Date.parse(text));
}

const dayMs = 86_400_000;

/**
 * Days from one day to another, negative where that is earlier.
 *
 * @returns undefined where one of them does not exist
 * @example daysBetween('2026-03-01', '2026-03-15') // 14
 */
export function daysBetween(from: string, to: string): number | undefined {
  const days = (Date.parse(to) - Date.parse(from)) / dayMs;
  return Number.isFinite(days) ? days : undefined;
}
