import { expect } from 'chai';
import { DateTime } from 'luxon';
import { isDay, isMoment } from '@tender-crumb/core/quantity';

describe('days and moments', () => {
  const days: ReadonlyArray<readonly [string, boolean]> = [
    ['2026-02-28', true],
    ['2026-02-29', false],
    ['2024-02-29', true],
    ['1900-02-29', false],
    ['2000-02-29', true],
    ['2026-04-30', true],
    ['2026-04-31', false],
    ['2026-12-31', true],
    ['2026-13-01', false],
    ['2026-00-10', false],
    ['2026-1-1', false],
    ['20260101', false],
    ['', false],
    ['0001-01-01', true],
  ];
  for (const [text, is] of days) {
    it(`“${text}” is ${is ? '' : 'no '}day`, () => expect(isDay(text)).to.equal(is));
  }

  it('as a library of dates has them, for every day that could be written', () => {
    for (const year of [1999, 2000, 2023, 2024, 2100]) {
      for (let month = 0; month <= 13; month += 1) {
        for (let day = 0; day <= 32; day += 1) {
          const two = (n: number) => String(n).padStart(2, '0');
          const text = `${year}-${two(month)}-${two(day)}`;
          expect(isDay(text), text).to.equal(DateTime.fromISO(text).isValid);
        }
      }
    }
  });

  const moments: ReadonlyArray<readonly [string, boolean]> = [
    ['2026-05-01T08:00:00Z', true],
    ['2026-05-01T08:00:00.123Z', true],
    ['2026-05-01T08:00+02:00', true],
    ['2026-02-30T08:00:00Z', false],
    ['2026-05-01T24:01:00Z', false],
    ['2026-05-01T08:60:00Z', false],
    ['2026-05-01T08:00:00', false],
    ['2026-05-01', false],
    ['noon', false],
  ];
  for (const [text, is] of moments) {
    it(`“${text}” is ${is ? 'a' : 'no'} moment`, () => expect(isMoment(text)).to.equal(is));
  }
});
