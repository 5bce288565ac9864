import { expect } from 'chai';
import { feedingFor, type FeedingAsked } from '@tender-crumb/core/starter';

const asked: FeedingAsked = { flour: 50, water: 50, keep: 20, hours: 5, celsius: 25, whole: 0.2 };
const fed = (over: Partial<FeedingAsked> = {}) => feedingFor({ ...asked, ...over })!;
const parts = (over: Partial<FeedingAsked> = {}) => {
  const { seed, flour } = fed(over);
  return flour / seed;
};

describe('feeding a starter', () => {
  it('1:1:1 peaks in 4 to 6 hours at 25 °C, 1:5:5 in 10 to 12 (common practice, no source)', () => {
    expect(parts({ hours: 4.65 })).to.be.closeTo(1, 0.15);
    expect(parts({ hours: 10.3 })).to.be.closeTo(5, 0.8);
    expect(parts({ hours: 5, celsius: 18 })).to.be.below(1);
  });

  it('comes to what the dough takes and what is kept, at its own hydration', () => {
    for (const over of [{}, { water: 30 }, { water: 60, keep: 0 }, { hours: 9, celsius: 21 }]) {
      const { seed, flour, water, hours } = fed(over);
      const of = { ...asked, ...over };
      expect(seed + flour + water).to.be.closeTo(of.flour + of.water + of.keep, 1e-9);
      expect(water / flour).to.be.closeTo(of.water / of.flour, 1e-9);
      expect(hours.low).to.be.below(hours.middle);
      expect(hours.high).to.be.above(hours.middle);
      expect(hours.middle).to.be.closeTo(of.hours, 0.05);
    }
  });

  it('the later, the less seed; too soon or too late it says what is nearest', () => {
    expect(fed({ hours: 8 }).seed).to.be.below(fed({ hours: 5 }).seed);
    const soon = fed({ hours: 0.5 });
    expect(soon.nearest).to.equal(true);
    expect(soon.hours.middle).to.be.above(1);
    const late = fed({ hours: 60, celsius: 28 });
    expect(late.nearest).to.equal(true);
    expect(late.hours.middle).to.be.below(40);
  });

  it('a quicker starter wants less seed for the same time', () => {
    const quick = feedingFor(asked, { starter: { mean: 0.2, sd: 0.1 } })!;
    expect(quick.seed).to.be.below(fed().seed);
    expect(quick.hours.high - quick.hours.low).to.be.below(fed().hours.high - fed().hours.low);
  });

  it('of nothing, or in no time, there is none', () => {
    expect(feedingFor({ ...asked, flour: 0 })).to.equal(undefined);
    expect(feedingFor({ ...asked, hours: 0 })).to.equal(undefined);
    expect(feedingFor({ ...asked, celsius: 49 })).to.equal(undefined);
  });
});
