import { expect } from 'chai';
import {
  isForecast,
  mostKept,
  notedForecast,
  riseForecast,
  riseUntil,
  solvedOnce,
  usualRise,
  type RiseEnd,
  type RisingDough,
} from '@tender-crumb/core/ferment';
import { seeded } from '../seeded.ts';
import { lean } from './anchors.ts';

describe('the forecast that a noted rise is held against', () => {
  const random = seeded(1);
  const within = (least: number, most: number) => least + (most - least) * random.uniform();
  const cases = Array.from({ length: 120 }, (_, n) => {
    const sour = n % 2 === 0;
    const dough: RisingDough = {
      ...lean,
      yeast: sour ? 0 : within(0.2, 2),
      starter: sour ? within(4, 20) : 0,
      salt: within(1, 2.4),
      sugar: within(0, 12),
      water: within(58, 80),
      whole: within(0, 1),
      celsius: within(19, 30),
      air: [{ hours: 1, celsius: within(16, 30) }],
    };
    const end: RiseEnd = { volume: within(1.4, 2) };
    const pace = { mean: within(-0.4, 0.4), sd: within(0.05, 0.22) };
    return { dough, end, paces: sour ? { starter: pace } : { yeast: pace } };
  });

  it('has the very time, and nearly its doubt, for doughs, warmth and leavens as they come', () => {
    const off: number[] = [];
    const steeper: number[] = [];
    for (const { dough, end, paces } of cases) {
      const exact = riseForecast(dough, end, paces);
      const noted = notedForecast(dough, end, paces);
      expect(isForecast(noted)).to.equal(isForecast(exact));
      if (!isForecast(noted) || !isForecast(exact)) continue;
      expect(noted.middle).to.equal(exact.middle);
      off.push(Math.abs(noted.sd / exact.sd - 1));
      for (const leaven of ['yeast', 'starter'] as const)
        steeper.push(Math.abs(noted.slopes[leaven] - exact.slopes[leaven]));
    }
    for (const [by, mostly, ever] of [
      [off, 0.05, 0.2],
      [steeper, 0.03, 0.15],
    ] as const) {
      by.sort((a, b) => a - b);
      expect(by.length).to.be.above(100);
      expect(by[Math.floor(by.length * 0.9)]).to.be.below(mostly);
      expect(by.at(-1)).to.be.below(ever);
    }
  });
});

describe('what is solved once', () => {
  it('is not solved again for the same case, and is for another model', () => {
    let times = 0;
    const solve = () => (times += 1);
    const other = { ...usualRise };
    for (const model of [usualRise, usualRise, other, other]) solvedOnce(model, 'test', solve);
    expect(times).to.equal(2);
  });

  it('forgets the oldest beyond so many, and gives what it would have given', () => {
    const model = { ...usualRise };
    const dough = { ...lean, yeast: 1 };
    const first = riseUntil(dough, { volume: 1.6 }, model);
    for (let n = 0; n < mostKept; n += 1) solvedOnce(model, `other ${n}`, () => n);
    let again = 0;
    solvedOnce(model, 'other 0', () => (again += 1));
    expect(again).to.equal(0);
    const solved = riseUntil(dough, { volume: 1.6 }, model);
    expect(solved).to.deep.equal(first);
    // Worked out anew, for it was forgotten.
    expect(solved).to.not.equal(first);
  });
});
