/**
 * The day at the place where the program runs: that of the household.
 *
 * @example dayAt(new Date(2026, 10, 25, 23, 30)) // '2026-11-25'
 */
export function dayAt(moment: Date): string {
  const part = (n: number) => String(n).padStart(2, '0');
  return `${moment.getFullYear()}-${part(moment.getMonth() + 1)}-${part(moment.getDate())}`;
}

/** The time zone of the place where the program runs, as the time zone data base names it. */
export const localZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC';
