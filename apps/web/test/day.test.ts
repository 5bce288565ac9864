import { expect } from 'chai';
import { dayAt } from '../src/lib/server/day.ts';

describe('the household’s own day', () => {
  it('begins and ends at midnight where it lives, whatever day it is in Greenwich', () => {
    expect(dayAt(new Date(2026, 10, 25, 0, 0, 0))).to.equal('2026-11-25');
    expect(dayAt(new Date(2026, 10, 25, 23, 59, 59))).to.equal('2026-11-25');
    expect(dayAt(new Date(2026, 0, 1, 0, 0, 0))).to.equal('2026-01-01');
    expect(dayAt(new Date(2024, 1, 29, 12))).to.equal('2024-02-29');
  });
});
