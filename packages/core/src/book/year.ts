/** What was baked on a day. */
export interface BakedDay {
  /** ISO date. */
  readonly day: string;
  readonly bakes: number;
  /** Of the best bread of that day; none where nobody judged it. */
  readonly stars: number | null;
}

/** A month of a year, day by day. */
interface BakedMonth {
  /** As ISO 8601 has it. */
  readonly month: string;
  readonly bakes: number;
  /** Every day of it, with what was baked on it. */
  readonly days: ReadonlyArray<{ readonly day: string; readonly baked?: BakedDay }>;
}

const two = (n: number): string => String(n).padStart(2, '0');

/**
 * A year of bakes, month by month; bakes of other years are passed over.
 *
 * @param year as the calendar counts it, 0 to 9999
 * @example yearOfBakes(2026, [])[1].days.length // 28
 */
export function yearOfBakes(year: number, baked: readonly BakedDay[]): BakedMonth[] {
  const known = new Map(baked.map((b) => [b.day, b]));
  return Array.from({ length: 12 }, (_, m) => {
    const month = `${String(year).padStart(4, '0')}-${two(m + 1)}`;
    const length = new Date(Date.UTC(year, m + 1, 0)).getUTCDate();
    const days = Array.from({ length }, (_, d) => {
      const day = `${month}-${two(d + 1)}`;
      const there = known.get(day);
      return { day, ...(there ? { baked: there } : {}) };
    });
    return { month, days, bakes: days.reduce((sum, d) => sum + (d.baked?.bakes ?? 0), 0) };
  });
}
