import { expect } from 'chai';
import {
  drawnRise,
  isForecast,
  leavenForRise,
  ripeEnd,
  riseUntil,
  riseCurve,
  risesOf,
  risingDough,
  withPaces,
  type RiseBand,
  type Standing,
} from '@tender-crumb/core/ferment';
import { resolve } from '@tender-crumb/core/formula';
import { cataloguePantry } from '@tender-crumb/core/ingredient';
import { build } from '../build.ts';

const standing: Standing = { celsius: 25, air: [{ hours: 1, celsius: 24 }], vessel: 'bowl' };
const white = { 'bread-flour': 500, water: 320, salt: 10, 'instant-yeast': 5 };
const rising = (amounts: Record<string, number>, starter?: Record<string, number>) =>
  risingDough(resolve(build(amounts, 'pan', starter)), standing)!;
const rises = (amounts: Record<string, number>, starter?: Record<string, number>, over = {}) =>
  risesOf(resolve(build(amounts, 'pan', starter)), { ...standing, ...over }, 'tin');
const middle = (of: ReturnType<typeof rises>[number]): number => {
  if (!isForecast(of.forecast)) throw new Error('it never comes there');
  return (of.forecast as RiseBand).middle;
};

describe('a formula’s dough as the rise model takes it', () => {
  it('its percentages are of all flour, its yeast as instant, its sugar without milk’s', () => {
    const of = rising({
      'bread-flour': 400,
      'whole-wheat': 100,
      milk: 200,
      water: 150,
      sugar: 25,
      butter: 50,
      salt: 10,
      'fresh-yeast': 15,
    });
    expect(of.yeast).to.be.closeTo(1, 1e-9);
    expect(of.whole).to.be.closeTo(0.2, 1e-9);
    expect(of.salt).to.be.closeTo(2, 1e-9);
    expect(of.sugar).to.be.closeTo((25 * 99.8) / 500, 1e-6);
    expect(of.fat).to.be.closeTo((50 * 81.11 + 200 * 3.25) / 500, 0.02);
    expect(of.starter).to.equal(0);
    expect(of.tolerant).to.equal(false);
    expect(rising({ ...white, 'instant-yeast': 0, 'osmotolerant-yeast': 6 }).tolerant).to.equal(
      true,
    );
  });

  it('a starter by its flour of all flour; a ripe poolish with the yeast that has grown in it', () => {
    const sour = rising(
      { 'bread-flour': 450, water: 300, salt: 10 },
      { 'bread-flour': 50, water: 50 },
    );
    expect(sour.starter).to.be.closeTo(10, 1e-9);
    expect(sour.yeast).to.equal(0);
    const formula = build({ 'bread-flour': 350, water: 170, salt: 10 });
    const withPoolish = {
      ...formula,
      stages: [
        {
          id: 'p',
          kind: 'preferment' as const,
          name: 'Poolish',
          lines: [
            { id: 'p1', ingredient: 'bread-flour', grams: 150, measured: 'scale' as const },
            { id: 'p2', ingredient: 'water', grams: 150, measured: 'scale' as const },
            { id: 'p3', ingredient: 'instant-yeast', grams: 0.15, measured: 'scale' as const },
          ],
        },
        ...formula.stages,
      ],
    };
    const { yeast } = risingDough(resolve(withPoolish, cataloguePantry), standing)!;
    // .1 % of the poolish has grown several times over by the time it is ripe.
    expect(yeast).to.be.within(2 * 0.03, 12 * 0.03);
  });

  it('is none for a dough on its dry base, or without flour', () => {
    const low = resolve(
      build({ 'vital-gluten': 160, 'oat-fibre': 50, water: 230, 'instant-yeast': 6 }),
    );
    expect(risingDough(low, standing)).to.equal(undefined);
    expect(risingDough(resolve(build({ water: 100 })), standing)).to.equal(undefined);
    expect(risesOf(low, standing, 'tin')).to.deep.equal([]);
    expect(rises({ ...white, 'instant-yeast': 0 })).to.deep.equal([]);
  });
});

describe('the rises of a bread', () => {
  it('first and last, each with the sign that ends it (common practice, no source)', () => {
    const [first, last] = rises(white);
    expect([first!.until, last!.until]).to.deep.equal([
      'doubled',
      'nearly doubled; a poke comes back slowly',
    ]);
    // 1 % instant at 24 to 25 °C: 1 to 1¾ h, then ¾ to 1¼ h.
    expect(middle(first!)).to.be.within(1.1, 1.75);
    expect(middle(last!)).to.be.within(0.7, 1.25);
    const whole = rises({ 'whole-wheat': 500, water: 360, salt: 10, 'instant-yeast': 5 });
    expect(whole[1]!.until).to.equal('filled out and puffy, not doubled');
    expect(middle(whole[1]!)).to.be.above(1.4 * middle(last!));
    const sour = rises(
      { 'bread-flour': 450, water: 300, salt: 10 },
      { 'bread-flour': 50, water: 50 },
    );
    expect(sour[0]!.until).to.contain('half as high again');
    expect(middle(sour[0]!)).to.be.within(3, 8);
  });

  it('in the cold it takes longer, and its curve ends where the forecast does', () => {
    const [warm] = rises(white);
    const [cold] = rises(white, undefined, { celsius: 18, air: [{ hours: 1, celsius: 15 }] });
    expect(middle(cold!)).to.be.above(1.8 * middle(warm!));
    const curve = riseCurve(warm!.dough, middle(warm!));
    expect(curve[0]!.volume).to.equal(1);
    expect(curve.at(-1)!.volume).to.be.closeTo(2, 0.01);
  });

  it('through a fridge it takes much longer, and the last rise begins cold', () => {
    const lean = { ...white, 'instant-yeast': 2 };
    const cold = {
      air: [
        { hours: 0.5, celsius: 24 },
        { hours: 1, celsius: 4 },
      ],
    };
    const [warm, through] = [rises(lean), rises(lean, undefined, cold)];
    expect(middle(through[0]!)).to.be.above(3 * middle(warm[0]!));
    expect(through[1]!.dough.celsius).to.be.within(4, 12);
    expect(through[1]!.dough.air).to.deep.equal([{ hours: 1, celsius: 24 }]);
    expect(middle(through[1]!)).to.be.above(middle(warm[1]!));
  });

  it('with a leaven that is slower than usual the curve ends where that forecast does, too', () => {
    const paces = { yeast: { mean: -0.3, sd: 0.05 } };
    const [slow] = risesOf(resolve(build(white)), standing, 'tin', paces);
    const curve = riseCurve(withPaces(slow!.dough, paces), middle(slow!));
    expect(curve.at(-1)!.volume).to.be.closeTo(2, 0.01);
    // As it is drawn it stands where the forecast has it, and goes on past its end.
    const drawn = drawnRise(slow!.dough, slow!.forecast, paces);
    const there = drawn.find((p) => p.volume >= 2)!;
    expect(there.hours).to.be.closeTo(middle(slow!), 0.06);
    expect(drawn.at(-1)!.hours).to.be.above(1.3 * middle(slow!));
    expect(middle(slow!)).to.be.above(1.15 * middle(rises(white)[0]!));
  });

  it('leaven for a first rise in so many hours', () => {
    const [first] = rises(white);
    const { percent } = leavenForRise(first!, 'yeast', 4);
    expect(riseUntil({ ...first!.dough, yeast: percent!.middle }, first!.end).hours).to.be.closeTo(
      4,
      0.02,
    );
  });

  it('what is ripe: gas of a pre-ferment, volume of a dough, less of whole grain', () => {
    expect(ripeEnd({ yeast: 1, starter: 0, whole: 0 })).to.deep.equal({ volume: 2 });
    expect(ripeEnd({ yeast: 1, starter: 0, whole: 1 })).to.deep.equal({ volume: 1.8 });
    expect(ripeEnd({ yeast: 0, starter: 10, whole: 0 })).to.deep.equal({ volume: 1.55 });
    expect(ripeEnd({ yeast: 0.2, starter: 0, whole: 0, liquid: true })).to.have.property('gas');
  });
});
