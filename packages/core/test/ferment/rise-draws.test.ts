import { expect } from 'chai';
import {
  airSpan,
  drawRise,
  isForecast,
  riseForecast,
  riseUntil,
  warmthFor,
  type RiseBand,
  type RisingDough,
} from '@tender-crumb/core/ferment';
import { seededRandom } from '@tender-crumb/core/quantity';

const dough = (more: Partial<RisingDough> = {}): RisingDough => ({
  yeast: 1,
  starter: 0,
  salt: 2,
  sugar: 0,
  fat: 0,
  water: 62,
  whole: 0,
  celsius: 25,
  air: [{ hours: 1, celsius: 24 }],
  vessel: 'bowl',
  kilograms: 0.85,
  ...more,
});
const sour = dough({ yeast: 0, starter: 11 });

describe('a rise drawn many times over', () => {
  it('has the band that the live figure has, within what its straight lines are off', () => {
    for (const [of, end] of [
      [dough(), { volume: 2 }],
      [sour, { volume: 1.55 }],
    ] as const) {
      const band = riseForecast(of, end);
      if (!isForecast(band)) throw new Error('never');
      const drawn = drawRise(of, end, seededRandom(7), 400)!;
      expect(drawn.middle / band.middle).to.be.within(0.94, 1.06);
      const width = (b: Pick<RiseBand, 'low' | 'high'>) => Math.log(b.high / b.low);
      expect(width(drawn) / width(band)).to.be.within(0.85, 1.15);
      expect(drawn.hours).to.deep.equal([...drawn.hours].sort((a, b) => a - b));
    }
  });

  it('says what the doubt comes of: yeast of a yeasted dough, the starter of a sour one', () => {
    const chief = (of: RisingDough, end: { volume: number }) =>
      drawRise(of, end, seededRandom(3), 300)!.shares[0]!.doubt;
    expect(chief(dough(), { volume: 2 })).to.equal('yeast');
    expect(chief(sour, { volume: 1.55 })).to.equal('starter');
    const { shares } = drawRise(dough(), { volume: 2 }, seededRandom(3), 300)!;
    expect(shares.reduce((sum, s) => sum + s.share, 0)).to.be.closeTo(1, 1e-9);
  });

  it('is narrower for a leaven that is known, the same for the same seed, none where it never comes there', () => {
    const of = (sd: number) => {
      const { low, high } = drawRise(sour, { volume: 1.55 }, seededRandom(5), 200, {
        starter: { mean: 0, sd },
      })!;
      return high / low;
    };
    expect(of(0.05)).to.be.below(of(0.22) * 0.85);
    expect(of(0.1)).to.equal(of(0.1));
    expect(drawRise(dough(), { volume: 5 }, seededRandom(5), 50)).to.equal(undefined);
  });
});

describe('the warmth of the place for a time', () => {
  it('has the dough ready in that time (the model itself)', () => {
    for (const hours of [1.2, 1.6, 2.5]) {
      const { celsius } = warmthFor(dough(), hours, { volume: 2 }) as { celsius: number };
      const at = riseUntil(dough({ air: [{ hours: 1, celsius }] }), { volume: 2 }).hours!;
      expect(at).to.be.closeTo(hours, 0.02);
    }
  });

  it('the longer, the cooler; what is beyond both ends is said, with how long that takes', () => {
    const of = (hours: number) => warmthFor(dough(), hours, { volume: 2 });
    const [warm, cool] = [of(1.2), of(2)];
    expect(warm.celsius).to.be.above(cool.celsius!);
    const soon = of(0.4);
    expect(soon).to.include({ why: 'too-soon' });
    const hottest = riseUntil(dough({ air: [{ hours: 1, celsius: airSpan[1] }] }), { volume: 2 });
    expect((soon as { hours: number }).hours).to.be.closeTo(hottest.hours!, 1e-9);
    const never = warmthFor(sour, 0.4, { volume: 4.5 });
    expect(never).to.deep.equal({ why: 'too-soon' });
    const late = warmthFor(dough({ yeast: 4 }), 100, { volume: 2 });
    expect(late).to.include({ why: 'too-late' });
  });
});
