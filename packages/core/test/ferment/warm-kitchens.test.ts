import { expect } from 'chai';
import {
  pressureAt,
  ripeEnd,
  riseFor,
  riseModelIn,
  riseUntil,
  usualRise,
  type RisingDough,
} from '@tender-crumb/core/ferment';
import { defaultHousehold } from '@tender-crumb/core/household';
import { lean } from './anchors.ts';

const dough = (celsius: number, whole: number, leaven: Partial<RisingDough>): RisingDough => ({
  ...lean,
  celsius,
  air: [{ hours: 1, celsius }],
  water: 65 + 10 * whole,
  whole,
  ...leaven,
});
const hours = (of: RisingDough) => riseUntil(of, ripeEnd(of, usualRise)).hours ?? Infinity;

describe('rises from 12 to 38 °C', () => {
  const leavens = {
    'one per cent of yeast': { yeast: 1 },
    'a tenth of starter': { starter: 9.1 },
  } as const;
  for (const [name, leaven] of Object.entries(leavens))
    for (const whole of [0, 0.5, 1])
      it(`${name}, ${100 * whole} % whole grain: the warmer the sooner, up to where it turns, and no leap`, () => {
        const times = Array.from({ length: 105 }, (_, i) => 12 + i / 4).map((celsius) => ({
          celsius,
          time: hours(dough(celsius, whole, leaven)),
        }));
        const best = times.reduce((a, b) => (b.time < a.time ? b : a));
        // Sourdough is fastest about 31 to 33 °C, yeast no cooler.
        if ('starter' in leaven) expect(best.celsius).to.be.within(30.5, 34);
        else expect(best.celsius).to.be.at.least(34);
        for (const [i, { celsius, time }] of times.entries()) {
          const before = times[i - 1];
          if (!before || celsius > 38) continue;
          if (celsius <= best.celsius) expect(time, `${celsius} °C`).to.be.below(before.time);
          else expect(time, `${celsius} °C`).to.be.above(before.time);
          // A quarter of a degree is no more than a seventh of the time.
          expect(Math.abs(Math.log(time / before.time)), `${celsius} °C`).to.be.below(0.14);
          expect(time).to.be.within(0.5, 60);
        }
      });
});

describe('a leaven’s temper', () => {
  const at = (celsius: number, temper?: RisingDough['temper']) =>
    hours({ ...dough(celsius, 0, { starter: 9.1 }), ...(temper ? { temper } : {}) });
  it('one that likes it warmer is slower in the cool, and faster in the heat', () => {
    const warm = { best: 3, most: 2 };
    expect(at(20, warm)).to.be.above(at(20));
    expect(at(36, warm)).to.be.below(at(36));
    const cool = { best: -3, most: -2 };
    expect(at(20, cool)).to.be.below(at(20));
    expect(at(36, cool)).to.be.above(2 * at(36));
  });
  it('bears more than it likes best, whatever is believed of it', () => {
    expect(at(30, { best: 5, most: -6 })).to.be.finite;
    expect(
      riseFor({ ...dough(30, 0, { starter: 9.1 }), temper: { best: 9, most: -9 } }, 6).volume,
    ).to.be.at.least(1);
  });
});

describe('high up', () => {
  it('the air is as thin as the standard atmosphere has it (ICAO: 845.6 hPa at 1,500 m, 701.1 at 3,000 m)', () => {
    expect(1013.25 * pressureAt(1500)).to.be.closeTo(845.6, 0.2);
    expect(1013.25 * pressureAt(3000)).to.be.closeTo(701.1, 0.2);
    expect(pressureAt()).to.equal(1);
  });
  it('the same gas takes more room: a dough doubles sooner, by what thinner air makes', () => {
    const of = dough(26, 0, { yeast: 1 });
    const up = (altitude: number) =>
      riseUntil(of, { volume: 2 }, riseModelIn({ ...defaultHousehold, altitude })).hours!;
    const sea = riseUntil(of, { volume: 2 }).hours!;
    expect(up(1500) / sea).to.be.within(0.8, 0.92);
    expect(up(3000)).to.be.below(up(1500));
    // .82 % of yeast keeps the time of 1 % at the sea.
    const less = riseUntil(
      { ...of, yeast: 0.82 },
      { volume: 2 },
      riseModelIn({ ...defaultHousehold, altitude: 1500 }),
    ).hours!;
    expect(less / sea).to.be.within(0.95, 1.05);
  });
  it('the model of a house is one and the same as long as its height is', () => {
    const house = { ...defaultHousehold, altitude: 800 };
    expect(riseModelIn(house)).to.equal(riseModelIn({ ...house }));
    expect(riseModelIn(house)).not.to.equal(riseModelIn({ ...house, altitude: 801 }));
    expect(riseModelIn({ ...house, altitude: 0 })).to.equal(riseModelIn(defaultHousehold));
  });
});
