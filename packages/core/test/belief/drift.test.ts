import { expect } from 'chai';
import type { BakeEvent } from '@tender-crumb/core/bake';
import { evaluate } from '@tender-crumb/core/evaluate';
import {
  departure,
  doubtOf,
  drifted,
  fillKey,
  nothingLearned,
  type Belief,
} from '@tender-crumb/core/belief';
import { coefficients } from '@tender-crumb/core/coefficients';
import { defaultHousehold } from '@tender-crumb/core/household';
import { learnFromBake, updateBelief } from '@tender-crumb/core/learn';
import { build } from '../build.ts';

const wander = coefficients.bagWander.value;
const [mine, cup, oats] = ['thirst:bag:blue', fillKey, 'thirst:oat-fibre'];
const learned: Belief = {
  ...updateBelief(nothingLearned, {
    residual: -3,
    slopes: new Map([
      [mine, -100],
      [cup, -60],
      [oats, -10],
    ]),
    priors: new Map([
      [mine, 0.02],
      [cup, 0.12],
      [oats, 1],
    ]),
    noise: 2,
  }),
  day: '2026-03-01',
};

describe('a flour’s absorption drifts as the seasons and the sacks change', () => {
  it('its variance grows evenly with the days, and nothing else moves (local level model)', () => {
    for (const [today, days] of [
      ['2026-03-02', 1],
      ['2026-05-30', 90],
      ['2027-03-01', 365],
    ] as const) {
      const later = drifted(learned, today, coefficients);
      const grown = doubtOf(later, mine, 0) ** 2 - doubtOf(learned, mine, 0) ** 2;
      expect(grown).to.be.closeTo((wander ** 2 * days) / 90, 1e-12);
      for (const key of [cup, oats])
        expect(doubtOf(later, key, 0)).to.equal(doubtOf(learned, key, 0));
      expect(departure(later, mine)).to.equal(departure(learned, mine));
      expect(later.day).to.equal(today);
    }
  });

  it('in two steps as in one, and never by more than a year', () => {
    const [half, whole] = [
      drifted(drifted(learned, '2026-04-01', coefficients), '2026-05-01', coefficients),
      drifted(learned, '2026-05-01', coefficients),
    ];
    expect(doubtOf(half, mine, 0)).to.be.closeTo(doubtOf(whole, mine, 0), 1e-12);
    expect(doubtOf(drifted(learned, '2031-01-01', coefficients), mine, 0)).to.equal(
      doubtOf(drifted(learned, '2027-03-01', coefficients), mine, 0),
    );
  });

  it('backwards, or without a day, nothing drifts', () => {
    expect(drifted(learned, '2026-02-01', coefficients)).to.equal(learned);
    expect(drifted(learned, undefined, coefficients)).to.equal(learned);
    expect(drifted(nothingLearned, '2026-03-01', coefficients)).to.equal(nothingLearned);
  });

  it('after a change of the flour a book with days follows faster than one without', () => {
    const loaf = build({ 'bread-flour': 500, water: 310, salt: 9 });
    const felt = (points: number): BakeEvent[] => [
      { id: 'f', at: '2026-01-01T08:00:00Z', kind: 'felt', data: { points } },
    ];
    const after = (day: (n: number) => object): number => {
      let belief = nothingLearned;
      for (let n = 0; n < 12; n += 1) {
        const household = { ...defaultHousehold, ...day(n) };
        belief = learnFromBake(loaf, felt(n < 8 ? 0 : 3), household, belief, 'loaf')!.belief;
      }
      return evaluate(loaf, { ...defaultHousehold, ...day(12) }, belief)!.level.points;
    };
    const dated = after((n) => ({
      today: new Date(Date.UTC(2026, n, 10)).toISOString().slice(0, 10),
    }));
    expect(dated).to.be.greaterThan(after(() => ({})) + 0.3);
  });
});
