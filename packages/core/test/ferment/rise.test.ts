import { expect } from 'chai';
import {
  cardinalRate,
  dyingRate,
  osmoticBrake,
  growthRate,
  riseFor,
  riseUntil,
  sourdoughRate,
  sourdoughShare,
  usualRise,
  lagOf,
  vesselIds,
  type RiseModel,
  type RisingDough,
} from '@tender-crumb/core/ferment';
import {
  coefficients,
  gasFigures,
  riseFigures,
  warmthFigures,
  type RiseFigure,
} from '@tender-crumb/core/coefficients';
import { between, near } from '../checks/near.ts';
import { anchors, laterAnchors } from './anchors.ts';

const group = 'Rise';

describe('customary rises', () => {
  for (const { what, low, high, got, source = 'common practice, no source' } of [
    ...anchors,
    ...laterAnchors,
  ]) {
    between(group, what, source, () => got(usualRise), [low, high]);
  }
});

/** Figures of the model with some of them another. */
const withFigures = (over: Partial<Record<RiseFigure, number>>): RiseModel => ({
  ...usualRise,
  figures: Object.fromEntries(
    Object.entries(riseFigures).map(([key, row]) => [
      key,
      { ...row, value: over[key as RiseFigure] ?? row.value },
    ]),
  ) as unknown as RiseModel['figures'],
});

const dough: RisingDough = {
  yeast: 1,
  starter: 0,
  salt: 2,
  sugar: 0,
  fat: 0,
  water: 60,
  whole: 0,
  celsius: 26,
  air: [{ hours: 1, celsius: 26 }],
  vessel: 'bowl',
  kilograms: 1,
};
/** Sugar without end, so that nothing goes hungry. */
const plenty = { sugarAtFirst: 1e9, riseCrowd: 1e12, riseGrowth: 0 };
const brake = osmoticBrake({ salt: 2, sugar: 0, water: 60 }, coefficients);
const gassing = cardinalRate(
  26,
  riseFigures.coldGas.value,
  warmthFigures.gasBest.value,
  warmthFigures.gasMost.value,
);
const rate = riseFigures.riseGas.value * gassing * brake;

describe('the scheme against closed forms (plain calculus)', () => {
  const relative = (got: number, expected: number) =>
    expect(Math.abs(got / expected - 1), `${got} beside ${expected}`).to.be.below(1e-6);

  it('awake, without growth: gas goes with time', () => {
    relative(riseFor({ ...dough, awake: true }, 5, withFigures(plenty)).gas, rate * 5);
  });

  it('growing without bound: (q Y / µ)(e^µt − 1)', () => {
    const model = withFigures({ ...plenty, riseGrowth: 0.3 });
    const mu = 0.3 * brake * growthRate(26);
    const got = riseFor({ ...dough, yeast: 0.1, awake: true }, 8, model).gas;
    relative(got, ((rate * 0.1) / mu) * Math.expm1(mu * 8));
  });

  it('growing into a crowd: (q K / µ) ln(1 + (Y / K)(e^µt − 1))', () => {
    const model = withFigures({ ...plenty, riseGrowth: 0.5, riseCrowd: 1.5 });
    const mu = 0.5 * brake * growthRate(26);
    const got = riseFor({ ...dough, yeast: 0.2, awake: true }, 12, model).gas;
    relative(got, ((rate * 1.5) / mu) * Math.log1p((0.2 / 1.5) * Math.expm1(mu * 12)));
  });

  it('waking: rate × (t − (1 − e^−kt) / k)', () => {
    const k = (brake * gassing) / riseFigures.riseWakeGas.value;
    const got = riseFor(dough, 3, withFigures(plenty)).gas;
    relative(got, rate * (3 - (1 - Math.exp(-k * 3)) / k));
  });

  it('a starter wakes from half: rate × (t − ¼ (1 − e^−kt) / k)', () => {
    const of: RisingDough = { ...dough, yeast: 0, starter: 10 };
    const { sourLeast, sourBest, sourMost, sourGas, sourWake } = riseFigures;
    const warm = cardinalRate(26, sourLeast.value, sourBest.value, sourMost.value);
    const pace = sourGas.value * warm * brake * 0.1;
    const k = (brake * warm) / sourWake.value;
    const got = riseFor(of, 3, withFigures({ ...plenty, sourGrowth: 0 })).gas;
    relative(got, pace * (3 - (0.25 * (1 - Math.exp(-k * 3))) / k));
  });

  it('cooling: towards the air by its lag, through a change of the air', () => {
    const cold = {
      ...dough,
      air: [
        { hours: 0.73, celsius: 20 },
        { hours: 1, celsius: 4 },
      ],
    };
    const lag = lagOf('bowl', 1);
    const then = 20 + 6 * Math.exp(-0.73 / lag);
    relative(riseFor(cold, 2.5, usualRise).celsius, 4 + (then - 4) * Math.exp(-(2.5 - 0.73) / lag));
  });

  it('sugar alone makes so much gas and no more', () => {
    const model = withFigures({ starchMalting: 1e-9, maltingRate: 1e-12, riseGrowth: 0 });
    const got = riseFor({ ...dough, yeast: 2, awake: true }, 60, model).gas;
    relative(got, gasFigures.perSugar.value * riseFigures.sugarAtFirst.value);
  });

  it('starch becomes sugar by its share: A e^−kt', () => {
    const k =
      (riseFigures.maltingRate.value * Math.exp(gasFigures.maltingSlope.value * (26 - 30))) /
      riseFigures.starchMalting.value;
    relative(
      riseFor(dough, 6, usualRise).starch,
      riseFigures.starchMalting.value * Math.exp(-k * 6),
    );
  });
});

describe('rates', () => {
  for (const [celsius, share] of [
    [4, 0.0344],
    [10, 0.196],
    [20, 0.6314],
    [25, 0.8441],
    [30, 0.9816],
    [40, 0.7111],
  ] as const) {
    it(`growth at ${celsius} °C is the general cardinal model’s`, () => {
      expect(cardinalRate(celsius, 0, 32.3, 45.4)).to.be.closeTo(share, 5e-5);
    });
  }
  near(
    group,
    'lactobacilli grow fastest at',
    'Gänzle, Ehmann & Hammes 1998, from memory',
    () => best('lactobacilli'),
    33,
    0.6,
  );
  near(
    group,
    'sourdough yeast grows fastest at',
    'Gänzle, Ehmann & Hammes 1998, from memory',
    () => best('yeast'),
    27,
    0.6,
  );
  const best = (of: 'lactobacilli' | 'yeast') =>
    Array.from({ length: 500 }, (_, i) => i / 10).reduce((a, b) =>
      sourdoughRate(b, of) > sourdoughRate(a, of) ? b : a,
    );
  it('a share of its best is 1 there and nothing above what it bears', () => {
    expect(sourdoughShare(best('yeast'), 'yeast')).to.be.closeTo(1, 1e-3);
    expect(sourdoughRate(36.01, 'yeast')).to.equal(0);
    expect(sourdoughRate(35.9, 'yeast')).to.be.greaterThan(0);
  });
  it('yeast is halved in five minutes at 55 °C, and dead in as many at 60 (common practice, no source)', () => {
    expect(Math.exp(-dyingRate(55) / 12)).to.be.closeTo(0.5, 1e-9);
    expect(Math.exp(-dyingRate(60) / 12)).to.be.below(0.002);
    expect(dyingRate(42.9)).to.equal(0);
    const hot = {
      ...dough,
      celsius: 60,
      air: [
        { hours: 0.4, celsius: 60 },
        { hours: 1, celsius: 26 },
      ],
    };
    expect(riseFor(hot, 24).volume).to.be.below(1.001);
  });
});

describe('a rise', () => {
  const time = (over: Partial<RisingDough>, volume = 2) =>
    riseUntil({ ...dough, ...over }, { volume }).hours ?? Infinity;
  it('is the faster the more leaven, the warmer, the less salt and sugar; the slower in a fridge', () => {
    expect(time({ yeast: 2 })).to.be.below(time({}));
    const warm = { celsius: 30, air: [{ hours: 1, celsius: 30 }] };
    expect(time(warm)).to.be.below(time({}));
    expect(time({ salt: 0 })).to.be.below(time({}));
    expect(time({ sugar: 15 })).to.be.above(time({}));
    expect(time({ air: [{ hours: 1, celsius: 4 }] })).to.be.above(2 * time({}));
    // A doped sourdough has both.
    const sour = { yeast: 0, starter: 10 };
    expect(time({ ...sour, yeast: 0.2 })).to.be.below(Math.min(time(sour), time({ yeast: 0.2 })));
    expect(time({ pace: { yeast: 1.25 } })).to.be.below(time({}));
  });

  it('that never comes there says how far it comes, and when', () => {
    const whole = { ...dough, whole: 1, water: 72 };
    const never = riseUntil(whole, { volume: 2.6 });
    if (never.hours !== undefined) throw new Error('whole grain does not rise so far');
    expect(never.reaches).to.be.within(1.9, 2.4);
    expect(never.atHours).to.be.within(3, 120);
  });

  it('goes on in the last air; a stretch’s end is met to the minute', () => {
    const two = {
      ...dough,
      air: [
        { hours: 0.5, celsius: 26 },
        { hours: 1, celsius: 26 },
      ],
    };
    expect(riseFor(two, 3, usualRise).gas).to.be.closeTo(riseFor(dough, 3, usualRise).gas, 1e-6);
  });

  it('in every vessel, from a spoon to a trough, at every air: finite, and no volume below the first', () => {
    for (const vessel of vesselIds)
      for (const kilograms of [0.02, 0.8, 20])
        for (const celsius of [-18, 0, 26, 60]) {
          const at = riseFor({ ...dough, vessel, kilograms, air: [{ hours: 1, celsius }] }, 24);
          for (const value of Object.values(at)) expect(Number.isFinite(value)).to.equal(true);
          expect(at.volume).to.be.at.least(1);
        }
  });
});
