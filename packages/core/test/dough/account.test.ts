import { expect } from 'chai';
import {
  ordinaryMoisture,
  accountBars,
  doughModel,
  laterShare,
  level,
  waterAccount,
} from '@tender-crumb/core/dough';
import { resolve } from '@tender-crumb/core/formula';
import { coefficients } from '@tender-crumb/core/coefficients';
import { kitchenOf } from '@tender-crumb/core/belief';
import { defaultHousehold, pantryIn, type Household } from '@tender-crumb/core/household';
import { ingredient } from '@tender-crumb/core/ingredient';
import { build } from '../build.ts';

const kitchen = kitchenOf(defaultHousehold);
const account = (dough: Record<string, number>) =>
  waterAccount(doughModel(resolve(build(dough)), kitchen));

describe('the water account', () => {
  it('of the strong white machine loaf, by hand', () => {
    const { brings, softens, drinks, later } = account({
      'bread-flour': 400,
      water: 230,
      oil: 27,
      sugar: 25,
      'milk-powder': 11,
      salt: 8,
    });
    expect(brings).to.be.closeTo(230, 0.01);
    expect(softens).to.be.closeTo(0.3 * (27 + 0.998 * 25), 0.05);
    expect(drinks).to.be.closeTo(0.62 * 400 + 0.3 * 11, 1e-9);
    expect(later).to.equal(0);
  });

  it('milk, egg, butter and honey bring their water, and soften by their fat and sugar', () => {
    const { entries } = account({ 'bread-flour': 500, milk: 100, egg: 50, butter: 20, honey: 20 });
    const of = (id: string) => entries.find((e) => e.of.id === id)!;
    expect(of('milk').brings).to.be.closeTo(88.13, 1e-9);
    expect(of('egg').brings).to.be.closeTo(0.7615 * 50, 1e-9);
    expect(of('honey').brings).to.be.closeTo(0.171 * 20, 1e-9);
    expect(of('milk').softens).to.be.closeTo(0.3 * (4.8 + 3.25), 1e-9);
    expect(of('butter').softens).to.be.greaterThan(0.3 * 0.8 * 20);
  });

  it('salt, yeast and milk’s own solids drink nothing; nothing native to flour softens', () => {
    const { entries } = account({ 'bread-flour': 500, salt: 9, 'instant-yeast': 6, milk: 50 });
    for (const id of ['salt', 'instant-yeast', 'milk']) {
      expect(entries.find((e) => e.of.id === id)!.drinks, id).to.equal(0);
    }
    expect(entries[0]!.softens).to.equal(0);
  });

  it('the same goods drink less where they are the base', () => {
    const gluten = (dough: Record<string, number>) =>
      account(dough).entries.find((e) => e.of.id === 'vital-gluten')!.absorption;
    const { absorption, dryBaseAbsorption } = ingredient('vital-gluten');
    expect(gluten({ 'bread-flour': 500, 'vital-gluten': 20 })).to.equal(absorption.value);
    expect(gluten({ 'vital-gluten': 160, 'oat-fibre': 50 })).to.equal(dryBaseAbsorption!.value);
    expect(dryBaseAbsorption!.value).to.be.below(absorption.value - 0.3);
  });

  it('its bars hold all of it on one scale', () => {
    const whole = account({ 'whole-wheat': 400, water: 300, honey: 20, egg: 50, 'flax-meal': 30 });
    const bars = accountBars(whole);
    const sum = (of: typeof bars.brings) => of.reduce((total, s) => total + s.grams, 0);
    expect(sum(bars.brings)).to.be.closeTo(whole.brings + whole.softens, 1e-9);
    expect(sum(bars.drinks)).to.be.closeTo(whole.drinks, 1e-9);
    const ends = [...bars.brings, ...bars.drinks].map((s) => s.to);
    expect(Math.max(...ends)).to.be.closeTo(1, 1e-9);
    expect(bars.scale).to.be.closeTo(Math.max(whole.brings + whole.softens, whole.drinks), 1e-9);
  });
  it('they leave out what no kitchen scale would show', () => {
    const [bread] = account({ 'bread-flour': 400, water: 240 }).entries;
    const lines = (brings: number) =>
      accountBars({
        entries: [{ ...bread!, line: 'a', brings, softens: 0, drinks: 0 }],
        brings,
        softens: 0,
        drinks: 0,
        later: 0,
      }).brings.map((s) => s.line);
    expect([lines(0.09), lines(0.1)]).to.deep.equal([[], ['a']]);
  });
});

describe('slow drinkers', () => {
  it('have drunk a part at the first touch, by what they are; soaked ones all', () => {
    const lines = resolve({
      ...build({ 'whole-wheat': 400, 'wheat-bran': 30, 'bread-flour': 100, raisins: 50 }),
    });
    const share = (id: string) =>
      laterShare(
        lines.find((l) => l.ingredient === id)!,
        coefficients,
      );
    expect(share('whole-wheat')).to.be.closeTo(0.1, 1e-9);
    expect(share('wheat-bran')).to.be.closeTo(0.25, 1e-9);
    expect(share('raisins')).to.be.closeTo(0.6, 1e-9);
    expect(share('bread-flour')).to.equal(0);
    const soaked = { ...lines[0]!, stageKind: 'soaker' as const };
    expect(laterShare(soaked, coefficients)).to.equal(0);
  });
});

describe('doubts by what is known of a bag', () => {
  const loaf = (edit = {}) =>
    resolve(build({ 'bread-flour': 500, water: 310 }, 'pan', undefined, edit));
  it('a measured moisture leaves less doubt than an assumed one', () => {
    const household: Household = {
      ...defaultHousehold,
      bags: [{ id: 'dry', name: 'Dry', ingredient: 'bread-flour', moisture: 14 }],
    };
    const bagged = resolve(
      build({ 'bread-flour': 500, water: 310 }, 'pan', undefined, { bag: 'dry' }),
      pantryIn(household),
    );
    const moisture = (lines: ReturnType<typeof loaf>, at = kitchen) =>
      level(lines, at)!.doubts.find((d) => d.kind === 'moisture')!.points;
    const measured = moisture(bagged, kitchenOf(household));
    const { moistureSpread, measuredMoisture } = coefficients;
    // At 14 % it drinks a little less than at the ordinary moisture, and so moves a little less.
    expect(moisture(loaf()) / measured).to.be.closeTo(
      (moistureSpread.value * 86.8) / (measuredMoisture.value * 86),
      0.02,
    );
    // What of its moisture stays with an unmeasured bag is in its absorption.
    const absorption = (lines: ReturnType<typeof loaf>, at = kitchen) =>
      level(lines, at)!.doubts.find((d) => d.kind === 'absorption')!.points;
    expect(absorption(loaf())).to.be.greaterThan(absorption(bagged, kitchenOf(household)) + 0.2);
  });

  it('the damper the flour, the less a unit of its absorption moves the dough', () => {
    const at = (moisture: number) => {
      const household: Household = {
        ...defaultHousehold,
        bags: [{ id: 'b', name: 'B', ingredient: 'bread-flour', moisture }],
      };
      const lines = resolve(
        build({ 'bread-flour': 500, water: 310 }, 'pan', undefined, { bag: 'b' }),
        pantryIn(household),
      );
      return level(lines, kitchenOf(household))!.slopes.get('thirst:bag:b')!;
    };
    expect(at(ordinaryMoisture)).to.be.closeTo(-100, 1e-9);
    expect(at(10)).to.be.closeTo((-100 * 90) / (100 - ordinaryMoisture), 1e-9);
  });
});
