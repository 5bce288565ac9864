import { expect } from 'chai';
import { allergensOf } from '@tender-crumb/core/caution';
import { resolve } from '@tender-crumb/core/formula';
import { z80 } from '@tender-crumb/core/coefficients';
import { kitchenOf } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { ingredient, ingredientFromLabel } from '@tender-crumb/core/ingredient';
import {
  availableCarbs,
  costOf,
  doughFor,
  energy,
  netCarbs,
  nutrition,
  partOf,
  portionsOf,
  slicesFor,
  spreadOf,
  usRounded,
  type UsPart,
} from '@tender-crumb/core/nutrition';
import { readerOf, readRecipe } from '@tender-crumb/core/reader';
import { styles } from '@tender-crumb/core/style';
import { build, judge } from '../build.ts';
import { near } from './near.ts';

const annex = 'EU 1169/2011, annex XIV';
const group = 'Nutrition';

describe('energy', () => {
  const bread = energy({ carbohydrate: 50, protein: 9, fat: 2, fibre: 4 });
  near(group, 'energy of C 50, P 9, F 2, fibre 4', annex, () => bread.kJ, 1109, 0.5);
  near(group, 'the same in kilocalories', annex, () => bread.kcal, 262, 0.5);
  near(group, '10 g of polyols', annex, () => energy({ polyols: 10 }).kcal, 24, 1e-9);
  near(group, '10 g of erythritol', annex, () => energy({ erythritol: 10 }).kcal, 0, 1e-9);
  near(group, '10 g of organic acids', annex, () => energy({ organicAcids: 10 }).kJ, 130, 1e-9);
});

describe('rounding of US labels', () => {
  const rows: ReadonlyArray<readonly [UsPart, number, number]> = [
    ['calories', 4.9, 0],
    ['calories', 47, 45],
    ['calories', 87, 90],
    ['fat', 0.49, 0],
    ['fat', 2.3, 2.5],
    ['fat', 5.4, 5],
    ['carbohydrate', 0.4, 0],
    ['carbohydrate', 12.6, 13],
    ['sodium', 4, 0],
    ['sodium', 138, 140],
    ['sodium', 146, 150],
  ];
  for (const [part, value, rounded] of rows) {
    near(group, `${part} ${value}`, '21 CFR 101.9(c)', () => usRounded(part, value), rounded, 1e-9);
  }
});

describe('net carbohydrate', () => {
  it('is without fibre in both schools; they part over polyols', () => {
    const flax = ingredient('flax-meal');
    expect(netCarbs(flax, 'eu')).to.be.closeTo(28.88 - 27.3, 1e-9);
    expect(netCarbs(flax, 'us')).to.be.closeTo(28.88 - 27.3, 1e-9);
    expect(netCarbs(ingredient('xylitol'), 'eu')).to.equal(0);
    expect(netCarbs(ingredient('xylitol'), 'us')).to.be.closeTo(49.75, 1e-9);
    expect(netCarbs(ingredient('erythritol'), 'us')).to.equal(0);
    expect(availableCarbs({ ...flax.composition, fibre: 40 })).to.equal(0);
  });

  it('of a bread is the sum of its lines, with an interval that a scale narrows', () => {
    const dough = { 'vital-gluten': 165, 'oat-fibre': 50, 'flax-meal': 80, water: 237, egg: 100 };
    const kitchen = kitchenOf(defaultHousehold);
    const of = (measured: 'scale' | 'volume') =>
      nutrition(resolve(build(dough, 'low-carb', undefined, { measured })), 'eu', kitchen, 0.12);
    const weighed = of('scale');
    const byHand = (165 * (13.79 - 0.6) + 50 * (91 - 88) + 80 * (28.88 - 27.3) + 100 * 0.72) / 100;
    expect(weighed.netCarbs.value).to.be.closeTo(byHand, 1e-9);
    expect(weighed.netCarbs.low).to.be.lessThan(byHand);
    expect(weighed.netCarbs.high).to.be.greaterThan(byHand);
    const width = (n: typeof weighed) => n.protein.high - n.protein.low;
    expect(width(of('volume'))).to.be.greaterThan(width(weighed) * 1.1);
    const slice = partOf(weighed, 1 / 16);
    expect(slice.netCarbs.value * 16).to.be.closeTo(byHand, 1e-9);
    expect(slice.grams).to.be.closeTo((632 * 0.88) / 16, 1e-9);
  });
});

describe('rows that their kind misled', () => {
  const of = (id: string, part: 'water' | 'fibre' | 'protein' | 'sugars') =>
    ingredient(id).composition[part];
  const named = (words: string) =>
    readRecipe(`500 g ${words}`, readerOf(defaultHousehold)).formula.stages[0]!.lines[0]!
      .ingredient;
  near(
    group,
    'fibre of dark rye',
    'USDA SR Legacy 20063, from memory',
    () => of('rye-dark', 'fibre'),
    23.8,
    0.05,
  );
  near(
    group,
    'fibre of whole rye',
    'USDA SR Legacy 20062, from memory',
    () => of('rye-whole', 'fibre'),
    15.1,
    0.05,
  );
  near(
    group,
    'water of maple syrup',
    'USDA SR Legacy 19353, from memory',
    () => of('maple-syrup', 'water'),
    32.39,
    0.05,
  );
  near(
    group,
    'water of agave syrup',
    'USDA SR Legacy 19912, from memory',
    () => of('agave-syrup', 'water'),
    22.94,
    0.05,
  );
  near(
    group,
    'water of dextrose, the monohydrate',
    'molar masses 198.17 and 18.02 g',
    () => of('dextrose', 'water'),
    (100 * 18.02) / 198.17,
    0.05,
  );

  it('are read by their names', () => {
    expect(
      ['dark rye flour', 'rye flour', 'maple syrup', 'golden syrup', 'agave syrup', 'dextrose'].map(
        named,
      ),
    ).to.deep.equal(['rye-dark', 'rye-whole', 'maple-syrup', 'syrup', 'agave-syrup', 'dextrose']);
  });

  it('malt flour is no sugar to the dough: it neither softens nor slows its yeast', () => {
    expect(of('barley-malt', 'sugars')).to.be.below(10);
    const level = (dough: Record<string, number>) => judge(build(dough)).level.account.softens;
    const loaf = { 'bread-flour': 500, water: 310, salt: 9 };
    expect(level({ ...loaf, 'barley-malt': 60 })).to.equal(level(loaf));
  });
});

describe('how far goods differ', () => {
  it('gluten’s carbohydrate by 35 % (common practice, no source): most of a low-carb loaf’s doubt', () => {
    const kitchen = kitchenOf(defaultHousehold);
    const of = (dough: Record<string, number>) =>
      nutrition(resolve(build(dough, 'low-carb')), 'eu', kitchen, 0.12).netCarbs;
    const { value, low, high } = of({ 'vital-gluten': 100 });
    expect(value).to.be.closeTo(13.19, 1e-9);
    expect((high - low) / 2 / z80 / value).to.be.closeTo(0.35, 0.01);
    const flour = of({ 'bread-flour': 100 });
    expect((flour.high - flour.low) / 2 / z80 / flour.value).to.be.below(0.06);
  });

  it('a label of the household’s own is a label: a tenth', () => {
    const own = ingredientFromLabel('own-meal', {
      name: 'Meal',
      like: 'almond-meal',
      school: 'eu',
      protein: 20,
      fat: 50,
      carbohydrate: 8,
      fibre: 10,
      sugars: 4,
      salt: 0,
    });
    expect(spreadOf(own, 'available')).to.equal(0.1);
    expect(spreadOf(ingredient('almond-meal'), 'available')).to.equal(0.25);
  });
});

describe('bread and its slices', () => {
  near(
    group,
    'dough for 800 g of tin loaf at 12 % loss',
    'plain arithmetic; loss from memory',
    () => doughFor(800, styles.pan.loss.value),
    909,
    0.5,
  );

  it('slices by thickness, portions by what is said', () => {
    expect(slicesFor(210, 13)).to.equal(16);
    expect(slicesFor(210, 15)).to.equal(14);
    expect(() => slicesFor(210, 0)).to.throw(RangeError);
    const formula = build({ 'bread-flour': 500 });
    expect(portionsOf(formula)).to.include({ count: 16, assumed: true });
    expect(portionsOf({ ...formula, pieces: 8 })).to.include({ count: 8, word: 'piece' });
    expect(portionsOf({ ...formula, pieces: 8, slices: 18 })).to.include({ count: 18 });
  });

  it('costs what its priced lines cost, and says which have no price', () => {
    const lines = resolve(build({ 'bread-flour': 500, water: 300, salt: 9 })).map((l) =>
      l.ingredient === 'bread-flour' ? { ...l, of: { ...l.of, pricePerKilo: 1.6 } } : l,
    );
    expect(costOf(lines).known).to.be.closeTo(0.8, 1e-9);
    expect(costOf(lines).unpriced).to.deep.equal(['fine salt']);
  });

  it('its allergens stand on the list of either school', () => {
    const of = (dough: Record<string, number>) => allergensOf(resolve(build(dough)));
    expect(of({ 'rye-whole': 500 })).to.deep.equal({ eu: ['cereals containing gluten'], us: [] });
    expect(of({ 'spelt-white': 500, egg: 50, lecithin: 3 }).us).to.deep.equal([
      'egg',
      'soy',
      'wheat',
    ]);
    expect(of({ 'lupin-flour': 50, 'rice-flour': 100 })).to.deep.equal({ eu: ['lupin'], us: [] });
  });
});
