import { expect } from 'chai';
import { measuringSd } from '@tender-crumb/core/dough';
import {
  measuresFor,
  measuringMethods,
  methods,
  resolve,
  setMethod,
  type MeasuringMethod,
} from '@tender-crumb/core/formula';
import { coefficients } from '@tender-crumb/core/coefficients';
import { defaultMeasures } from '@tender-crumb/core/quantity';
import { build } from '../build.ts';

const kitchen = { measures: defaultMeasures, scaleStep: 1 };
const line = (ingredient: string, grams: number, measured: MeasuringMethod, over = {}) =>
  resolve(build({ [ingredient]: grams }, 'pan', undefined, { measured, ...over }))[0]!;
const sd = (...given: Parameters<typeof line>) => measuringSd(line(...given), kitchen);

describe('how far an amount can be trusted', () => {
  it('on a scale by its step, as a rectangular distribution (JCGM 100:2008)', () => {
    expect(sd('bread-flour', 500, 'scale')).to.be.closeTo(1 / Math.sqrt(12), 1e-12);
    const coarse = measuringSd(line('bread-flour', 500, 'scale'), { ...kitchen, scaleStep: 5 });
    expect(coarse).to.be.closeTo(5 / Math.sqrt(12), 1e-12);
  });

  it('three cups spooned: each strays by itself, and goods differ', () => {
    // In words it is said within a hundredth: a rectangular spread that wide either way.
    const said = (0.01 * 375) / Math.sqrt(3);
    const byHand = Math.hypot(((6 / 125) * 375) / Math.sqrt(3), 0.03 * 375, said);
    expect(sd('bread-flour', 375, 'spooned')).to.be.closeTo(byHand, 1e-9);
    expect(sd('bread-flour', 375, 'volume')).to.be.closeTo(byHand, 1e-9);
  });

  it('dipped strays more than spooned, heaping more than level, by eye by a tenth', () => {
    expect(sd('bread-flour', 435, 'dipped') / 435).to.be.greaterThan(
      sd('bread-flour', 375, 'spooned') / 375,
    );
    const level = sd('sugar', 12.5, 'volume');
    expect(sd('sugar', 12.5, 'heaping')).to.be.closeTo(Math.hypot(level, 0.2 * 12.5), 1e-9);
    expect(sd('bread-flour', 500, 'about')).to.be.closeTo(Math.hypot(1 / Math.sqrt(12), 50), 1e-9);
  });

  it('two eggs stray as two eggs do; a further doubt adds as squares', () => {
    expect(sd('egg', 100, 'count')).to.be.closeTo(0.06 * 50 * Math.SQRT2, 1e-9);
    expect(sd('bread-flour', 500, 'scale', { spread: 0.1 })).to.be.closeTo(
      Math.hypot(1 / Math.sqrt(12), 50),
      1e-9,
    );
  });

  it('every method has its row, and a doubt that has a coefficient', () => {
    for (const method of measuringMethods) {
      const { label, doubt } = methods[method];
      expect(label).not.to.equal('');
      if (doubt) expect(coefficients[doubt].value).to.be.greaterThan(0);
    }
  });
});

describe('changing how a line is measured', () => {
  const formula = build({ 'bread-flour': 375, water: 240 }, 'pan', undefined, {
    measured: 'spooned',
  });
  const to = (method: MeasuringMethod) => {
    const [flour] = resolve(formula);
    return resolve(setMethod(formula, flour!, method, defaultMeasures))[0]!;
  };
  it('between two ways of filling the cups stay; onto the scale the grams do', () => {
    expect(to('dipped').grams).to.be.closeTo((375 * 145) / 125, 1e-9);
    expect(to('volume').grams).to.equal(375);
    expect(to('scale')).to.include({ grams: 375, measured: 'scale' });
    expect(to('about').grams).to.equal(375);
  });

  it('a line that is dipped reads its cups as dipped, without the household’s own cup', () => {
    const own = {
      ...defaultMeasures,
      cups: { 'bread-flour': { weighings: [130], millilitres: 237 } },
    };
    expect(measuresFor({ measured: 'dipped' }, own)).to.deep.include({ fill: 'dipped', cups: {} });
    expect(measuresFor({ measured: 'volume' }, own)).to.equal(own);
    expect(measuresFor({ measured: 'scale' }, own)).to.equal(own);
  });
});
