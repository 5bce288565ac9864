import { DateTime } from 'luxon';
import { expect } from 'chai';
import { yearOfBakes } from '@tender-crumb/core/book';

const baked = (day: string, bakes: number, stars: number | null = null) => ({ day, bakes, stars });

describe('a year of bakes', () => {
  it('has the days that the calendar has, leap years and centuries too (against Luxon)', () => {
    for (const year of [1900, 2000, 2024, 2026, 2100]) {
      const months = yearOfBakes(year, []);
      expect(months.map((m) => m.days.length)).to.deep.equal(
        Array.from({ length: 12 }, (_, m) => DateTime.utc(year, m + 1).daysInMonth),
      );
      expect(months.at(-1)!.days.at(-1)!.day).to.equal(`${year}-12-31`);
    }
  });

  it('counts the bakes of each month, and passes over those of another year', () => {
    const months = yearOfBakes(2026, [
      baked('2026-03-01', 1, 4),
      baked('2026-03-31', 2),
      baked('2026-04-01', 3, 5),
      baked('2025-03-14', 9),
    ]);
    expect(months.map((m) => m.bakes)).to.deep.equal([0, 0, 3, 3, 0, 0, 0, 0, 0, 0, 0, 0]);
    expect(months[2]!.days[0]!.baked!.stars).to.equal(4);
    expect(months[2]!.days[1]!.baked).to.equal(undefined);
    expect(months[2]!.days[30]!.baked!.bakes).to.equal(2);
  });
});
