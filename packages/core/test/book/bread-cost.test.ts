import { expect } from 'chai';
import { breadCost } from '@tender-crumb/core/book';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold, isCurrency, type Household } from '@tender-crumb/core/household';
import { machinePower, machines, ovenPower } from '@tender-crumb/core/machine';
import { aBake, at } from './a-bake.ts';

const household: Household = {
  ...defaultHousehold,
  prices: {
    'bread-flour': { paid: 2, kilograms: 1 },
    oil: { paid: 5, kilograms: 1 },
    salt: { paid: 0.5, kilograms: 0.5 },
    'instant-yeast': { paid: 4, kilograms: 0.5 },
  },
  money: { currency: 'EUR', power: 0.3, cheapPower: 0.1, shop: { loaf: { price: 3, grams: 500 } } },
};
const energy = (kilowattHours: number) =>
  ({ id: 'k', at: at(1, 500), kind: 'energy', data: { kilowattHours } }) as const;

describe('what a bread cost', () => {
  const bake = aBake(1, { household, more: [energy(2)], outcome: { before: 844, after: 750 } });

  it('is its ingredients by what was paid for them, and its power by the meter', () => {
    const cost = breadCost(bake, household, nothingLearned);
    expect(cost.priced).to.equal(true);
    // 500 g at 2, 10 g at 5, 9 g at 1, 5 g at 8 a kilogram; water is free.
    expect(cost.ingredients.known).to.be.closeTo(1 + 0.05 + 0.009 + 0.04, 1e-9);
    expect(cost.ingredients.unpriced).to.deep.equal([]);
    expect(cost.power).to.deep.equal({ kilowattHours: 2, read: true, cost: 0.6 });
    expect(cost.total).to.be.closeTo(1.699, 1e-9);
    expect(cost.perHundred).to.be.closeTo(1.699 / 7.5, 1e-9);
    expect(cost.portions.count).to.equal(16);
    expect(cost.perPortion).to.be.closeTo(1.699 / 16, 1e-9);
    expect(cost.shop).to.be.closeTo(4.5, 1e-9);
  });

  it('is less in the hours of cheap power, and without power where nobody said its price', () => {
    expect(breadCost(bake, household, nothingLearned, true).power.cost).to.be.closeTo(0.2, 1e-9);
    const silent = { ...household, money: { currency: 'EUR', shop: {} } };
    const cost = breadCost(bake, silent, nothingLearned);
    expect(cost.power.cost).to.equal(undefined);
    expect(cost.total).to.be.closeTo(1.099, 1e-9);
    expect(cost.shop).to.equal(undefined);
  });

  it('what has no price is named, and the bread weighs what it is thought to lose', () => {
    const cost = breadCost(aBake(1), defaultHousehold, nothingLearned);
    // Without a single price it is not free: it is not known.
    expect(cost.priced).to.equal(false);
    expect(cost.ingredients.unpriced).to.include('strong bread flour');
    expect(cost.grams).to.be.closeTo(844 * 0.88, 1);
    expect(cost.power.read).to.equal(false);
  });

  it('a machine’s loaf takes .4 to .7 kWh (handbook section 16, common practice), an oven more', () => {
    for (const { programmes } of Object.values(machines)) {
      const plain = programmes.find((p) => p.use === 'plain')!;
      expect(machinePower(plain.stages)).to.be.within(0.38, 0.72);
    }
    expect(ovenPower(190, 45)).to.be.within(0.8, 1.8);
    expect(ovenPower(20, 45)).to.equal(0);
    expect(ovenPower(10, 45)).to.equal(0);
  });

  it('currencies are three letters', () => {
    expect(['EUR', 'GBP'].every(isCurrency)).to.equal(true);
    expect(['eur', 'EURO', '€', ''].some(isCurrency)).to.equal(false);
  });
});
