import { expect } from 'chai';
import {
  risesOf,
  sourness,
  tangIds,
  tangOf,
  tangs,
  type Rise,
  type RisingDough,
} from '@tender-crumb/core/ferment';
import { forTang, starterLadder, starterStep, withinShare } from '@tender-crumb/core/starter';
import { resolve } from '@tender-crumb/core/formula';
import { build } from '../build.ts';

const rises = (flour: string, celsius: number) => {
  const sour = build({ [flour]: 450, water: 300, salt: 10 }, 'hearth-white', {
    [flour]: 50,
    water: 50,
  });
  return risesOf(
    resolve(sour),
    { celsius, air: [{ hours: 1, celsius }], vessel: 'bowl' },
    'basket',
  ) as [Rise, Rise];
};
const dough = (more: Partial<RisingDough> = {}): RisingDough => ({
  ...rises('bread-flour', 24)[0].dough,
  ...more,
});
/** Starter of added flour, %, as its flour of all flour: common practice says it the first way. */
const ofAdded = (percent: number): number => (100 * (percent / 2)) / (100 + percent / 2);

describe('how sour a sourdough becomes', () => {
  // Each of these is common practice, no source: section 9 of the trade's rules of thumb.
  it('less starter and longer is sourer, up to a third of the flour', () => {
    for (const celsius of [19.5, 22, 25, 28]) {
      const sour = starterLadder(rises('bread-flour', celsius))
        .filter((s) => s.percent <= 18)
        .map((s) => s.sour);
      for (let i = 1; i < sour.length; i += 1)
        expect(sour[i], `${celsius} °C`).to.be.at.most(sour[i - 1]! + 1e-3);
    }
  });

  it('20 to 30 % starter of added flour at 25 °C is mild', () => {
    for (const added of [20, 30])
      expect(starterStep(rises('bread-flour', 25), ofAdded(added))?.tang).to.equal('mild');
  });

  it('10 to 15 % overnight at 19.5 °C is tangy, 9 to 14 hours of it', () => {
    for (const added of [10, 13]) {
      const step = starterStep(rises('bread-flour', 19.5), ofAdded(added))!;
      expect(step.tang, `${added} %`).to.equal('tangy');
      expect(step.hours).to.be.within(9, 14);
    }
  });

  it('past 20 hours in the room it is too sour; in the fridge it is not', () => {
    const stay = (celsius: number, hours: number) =>
      tangOf(
        sourness([{ dough: dough({ starter: 5, celsius, air: [{ hours: 1, celsius }] }), hours }]),
      );
    expect(stay(20, 24)).to.equal('too-sour');
    expect(stay(4, 24)).to.equal('mild');
  });

  it('longer is sourer, and so is whole grain, for the same share', () => {
    const at = (hours: number) => sourness([{ dough: dough({ starter: 10 }), hours }]);
    for (let h = 2; h <= 20; h += 2) expect(at(h)).to.be.above(at(h - 1));
    const white = starterStep(rises('bread-flour', 22), 12)!;
    const whole = starterStep(rises('whole-wheat', 22), 12)!;
    expect(whole.sour).to.be.above(white.sour + 0.1);
  });

  it('a second stay goes on from the first', () => {
    const whole = sourness([{ dough: dough({ starter: 10 }), hours: 6 }]);
    const parts = sourness([
      { dough: dough({ starter: 10 }), hours: 4 },
      { dough: dough({ starter: 10 }), hours: 2 },
    ]);
    expect(parts).to.be.closeTo(whole, 0.01);
    expect(sourness([{ dough: dough({ starter: 0 }), hours: 6 }])).to.equal(0);
    expect(sourness([])).to.equal(0);
  });

  it('has a taste for every acid, each up to its row’s end', () => {
    for (const [i, id] of tangIds.entries()) {
      const { upTo } = tangs[id];
      if (upTo === Infinity) continue;
      expect(tangOf(upTo)).to.equal(id);
      expect(tangOf(upTo + 1e-9)).to.equal(tangIds[i + 1]);
    }
    expect(tangOf(0)).to.equal('mild');
    expect(tangOf(1)).to.equal('too-sour');
  });

  it('a wish of taste finds its share, and says where there is none', () => {
    const of = rises('bread-flour', 22);
    for (const wanted of ['mild', 'light', 'tangy'] as const)
      expect(starterStep(of, forTang(of, wanted)!.percent)!.tang).to.equal(wanted);
    expect(forTang(rises('whole-wheat', 22), 'mild')).to.equal(undefined);
    expect([withinShare(0.1), withinShare(12), withinShare(90)]).to.deep.equal([0.5, 12, 60]);
  });
});
