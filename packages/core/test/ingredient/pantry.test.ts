import { expect } from 'chai';
import { ordinaryMoisture, windowFor } from '@tender-crumb/core/dough';
import { evaluate } from '@tender-crumb/core/evaluate';
import { nothingLearned } from '@tender-crumb/core/belief';
import { coefficientsWith } from '@tender-crumb/core/coefficients';
import { defaultHousehold, pantryIn, type Household } from '@tender-crumb/core/household';
import {
  bagProblems,
  cataloguePantry,
  grainFor,
  gramsByVolume,
  groundAs,
  ingredient,
  ingredientFromLabel,
  labelProblems,
  ownCup,
  pantryOf,
  weighingProblem,
  type Bag,
  type Label,
} from '@tender-crumb/core/ingredient';
import { defaultMeasures } from '@tender-crumb/core/quantity';
import { build } from '../build.ts';

const bag = (over: Partial<Bag> = {}): Bag => ({
  id: 'b',
  name: 'Blue',
  ingredient: 'whole-wheat',
  ...over,
});
const withBags = (...bags: Bag[]): Household => ({ ...defaultHousehold, bags });
const loaf = (edit = {}) =>
  build({ 'whole-wheat': 500, water: 350, salt: 9 }, 'wholegrain-pan', undefined, edit);
const points = (household: Household, edit = {}) =>
  evaluate(loaf(edit), household, nothingLearned)!.level.points;

describe('bags', () => {
  it('drier flour drinks more, and one of ordinary moisture as the tables have it', () => {
    // A bag that was measured at what is ordinary is as one of which nothing is known.
    const ordinary = points(withBags(bag({ moisture: ordinaryMoisture })), { bag: 'b' });
    const at12 = points(withBags(bag({ moisture: 12 })), { bag: 'b' });
    expect(ordinary).to.be.closeTo(points(defaultHousehold), 1e-9);
    // (100 + 70) / 86.8 points of water for each point of moisture.
    expect(ordinary - at12).to.be.closeTo(
      ((ordinaryMoisture - 12) * 170) / (100 - ordinaryMoisture),
      1e-6,
    );
  });

  it('a bag drifts to the air for as long as it has been open', () => {
    const damp = (openedOn: string): Household => ({
      ...withBags(bag({ openedOn })),
      room: { celsius: 20, humidity: 0.72 },
      today: '2026-10-10',
    });
    const [fresh, old] = ['2026-10-09', '2026-07-01'].map((d) => points(damp(d), { bag: 'b' }));
    const dry = points(defaultHousehold);
    expect(fresh! - dry).to.be.within(0, 0.5);
    expect(old! - dry).to.be.within(2, 5);
  });

  it('a label’s protein counts, and two bags of one kind are told apart', () => {
    const household = withBags(
      bag({ id: 'weak', protein: 11, price: { paid: 3, kilograms: 1.5 } }),
      bag({ id: 'strong', protein: 14.5 }),
    );
    const protein = (id: string) =>
      evaluate(loaf({ bag: id }), household, nothingLearned)!.totals.proteinPercent;
    expect(protein('weak')).to.be.closeTo(11, 1e-9);
    expect(protein('strong')).to.be.closeTo(14.5, 1e-9);
    const stuff = pantryIn(household).stuff({ ingredient: 'whole-wheat', bag: 'weak' });
    expect(stuff.pricePerKilo).to.be.closeTo(2, 1e-9);
    expect(pantryIn(household).stuff({ ingredient: 'bread-flour', bag: 'weak' }).bag).to.equal(
      undefined,
    );
  });

  it('what cannot be is said at its field', () => {
    const fields = (over: Partial<Bag>) => bagProblems(bag(over)).map((p) => p.field);
    expect(fields({ protein: 45 })).to.deep.equal(['protein']);
    expect(fields({ moisture: 40 })).to.deep.equal(['moisture']);
    expect(fields({ price: { paid: 3, kilograms: -2 } })).to.deep.equal(['price']);
    expect(fields({ extraction: 0.2 })).to.deep.equal(['extraction']);
    expect(fields({ protein: 12.5, moisture: 13, extraction: 0.85 })).to.deep.equal([]);
  });
});

describe('grinding and milling', () => {
  it('fresh flour drinks more than bought, and sifted less than whole (balance of masses)', () => {
    const whole = ingredient('rye-whole');
    expect(groundAs(whole, { grind: 'fresh-warm' }).absorption.value).to.be.closeTo(0.81, 1e-9);
    expect(groundAs(whole, { grind: 'bought' })).to.equal(whole);
    const sifted = groundAs(whole, { grind: 'sifted', extraction: 0.85 });
    expect(0.85 * sifted.absorption.value + 0.15 * 1.2).to.be.closeTo(0.78, 1e-9);
    expect(sifted.composition.fibre).to.be.lessThan(whole.composition.fibre);
    expect(sifted.whole).to.be.within(0, 0.3);
  });

  it('grain weight is flour weight, and a sieve keeps some back', () => {
    expect(grainFor(450)).to.include({ grain: 450, bran: 0 });
    expect(grainFor(425, 0.85).grain).to.be.closeTo(500, 1e-9);
    expect(grainFor(425, 0.85).bran).to.be.closeTo(75, 1e-9);
    expect(() => grainFor(100, 0)).to.throw(RangeError);
  });
});

const label: Label = {
  name: 'Bean flour',
  like: 'lupin-flour',
  school: 'eu',
  protein: 26,
  fat: 2,
  carbohydrate: 34,
  fibre: 25,
  sugars: 3,
  salt: 0.1,
  moisture: 11,
};

describe('own ingredients from a label', () => {
  it('carbohydrate is kept with fibre whatever the label’s school', () => {
    const eu = ingredientFromLabel('own-a', label);
    const us = ingredientFromLabel('own-b', { ...label, school: 'us', carbohydrate: 59 });
    expect(eu.composition.carbohydrate).to.equal(59);
    expect(us.composition.carbohydrate).to.equal(59);
    expect(eu.composition.sodium).to.be.closeTo(40, 1e-9);
    expect(eu).to.include({ role: 'meal', name: 'Bean flour' });
  });

  it('what cannot be is said at its field', () => {
    const fields = (over: Partial<Label>) =>
      labelProblems({ ...label, ...over }).map((p) => p.field);
    expect(fields({})).to.deep.equal([]);
    expect(fields({ like: 'bread-flour', protein: 45 })).to.deep.equal(['protein']);
    expect(fields({ moisture: 40 })).to.deep.equal(['moisture']);
    expect(fields({ carbohydrate: 80 })).to.deep.equal(['carbohydrate']);
    expect(fields({ fat: -1 })).to.deep.equal(['fat']);
    expect(fields({ school: 'us', carbohydrate: 10 })).to.include('fibre');
    expect(fields({ sugars: 70 })).to.deep.equal(['sugars']);
    expect(fields({ like: 'nothing' })).to.deep.equal(['like']);
    expect(fields({ name: ' ' })).to.deep.equal(['name']);
    expect(() => ingredientFromLabel('own-a', { ...label, fat: 90 })).to.throw(RangeError);
  });

  it('stands in a formula as any other, and an id that nobody has is refused', () => {
    const own = [ingredientFromLabel('own-bean', label)];
    const household = { ...defaultHousehold, own };
    const formula = build({ 'bread-flour': 450, 'own-bean': 50, water: 330 });
    const evaluation = evaluate(formula, household, nothingLearned)!;
    expect(evaluation.lines[1]!.of.name).to.equal('Bean flour');
    expect(() => evaluate(formula, defaultHousehold, nothingLearned)).to.throw(RangeError);
    expect(pantryOf({ own: [], bags: [], figures: {} })).to.equal(cataloguePantry);
  });
});

describe('a household’s own figures', () => {
  it('go over the table’s, and what is out of range does not', () => {
    const own = coefficientsWith({ softening: 0.2, about: 7, nonsense: 1 });
    expect(own.softening.value).to.equal(0.2);
    expect(own.about.value).to.equal(0.1);
    const thirsty = { ...defaultHousehold, figures: { 'thirst:whole-wheat': 0.75 } };
    expect(points(defaultHousehold) - points(thirsty)).to.be.closeTo(5, 1e-9);
    expect(windowFor('pan', 0, { 'window:pan:low': -1 })).to.deep.equal([-1, 5]);
    expect(windowFor('pan', 0, { 'window:pan:low': 9 })).to.deep.equal([-3, 5]);
  });
});

describe('my cup', () => {
  const cup = { weighings: [131, 127, 135], millilitres: 250 };
  it('weighs what it was weighed at; its spread is theirs, pooled with the usual', () => {
    const own = ownCup(cup)!;
    expect(own.value * 250).to.be.closeTo(131, 1e-9);
    const usual = 0.06 * 131;
    const variance = ((32 + 2 * usual ** 2) / 4) * (4 / 3);
    expect(own.sd * 250).to.be.closeTo(Math.sqrt(variance), 1e-9);
    const measures = { ...defaultMeasures, cup: 'metric' as const, cups: { 'bread-flour': cup } };
    expect(gramsByVolume(2, 'cup', ingredient('bread-flour'), measures)).to.be.closeTo(262, 1e-9);
  });

  it('is surer than a cup that was never weighed, and free of the habit', () => {
    const formula = build({ 'bread-flour': 500, water: 310 }, 'pan', undefined, {
      measured: 'volume',
    });
    const weighed = { ...defaultMeasures, cups: { 'bread-flour': cup } };
    const sd = (measures: typeof weighed | typeof defaultMeasures) =>
      evaluate(formula, { ...defaultHousehold, measures }, nothingLearned)!.level;
    expect(sd(weighed).sd).to.be.lessThan(sd(defaultMeasures).sd);
    expect(sd(weighed).doubts.map((d) => d.kind)).not.to.include('habit');
  });

  it('a weighing that cannot be is refused', () => {
    expect(weighingProblem(131, 250)).to.equal(undefined);
    expect(weighingProblem(900, 250)).to.contain('tared');
  });
});
