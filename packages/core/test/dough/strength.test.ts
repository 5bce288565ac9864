import { expect } from 'chai';
import { Matrix, solve } from 'ml-matrix';
import { blendTo } from '@tender-crumb/core/correct';
import { mixingAdvice, pearsonSquare } from '@tender-crumb/core/dough';
import { evaluate } from '@tender-crumb/core/evaluate';
import { resolve, takeCorrection, totals } from '@tender-crumb/core/formula';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { catalogue, ingredient } from '@tender-crumb/core/ingredient';
import { build, judge } from '../build.ts';
import { near } from '../checks/near.ts';

describe('strength', () => {
  near(
    'Strength',
    'Pearson square of 10 and 14 % for 12 %',
    'mass balance, plain arithmetic',
    () => pearsonSquare(500, 10, 14, 12)!.second,
    250,
    1e-9,
  );

  it('Pearson square is the solution of the two balances (linear algebra package)', () => {
    const [first, second] = solve(
      new Matrix([
        [1, 1],
        [10.33, 14.1],
      ]),
      Matrix.columnVector([620, 620 * 12.7]),
    ).to1DArray();
    const square = pearsonSquare(620, 10.33, 14.1, 12.7)!;
    expect(square.first).to.be.closeTo(first!, 1e-9);
    expect(square.second).to.be.closeTo(second!, 1e-9);
    expect(pearsonSquare(500, 10, 12, 13)).to.equal(undefined);
    expect(pearsonSquare(500, 10, 10, 10)).to.equal(undefined);
  });

  it('water and gluten together are the solution of both balances at once', () => {
    const formula = build({ 'plain-flour': 500, water: 255, salt: 9, 'instant-yeast': 6 });
    const { corrections } = judge(formula);
    const both = corrections.filter((s) => s.kind === 'water' || s.kind === 'gluten');
    expect(both).to.have.length(2);
    const after = judge(
      both.reduce((f, s) => takeCorrection(f, { ...s, correction: s.key }), formula),
    );
    // Unknown: gluten g and water w. 75.16 g + 500 × 10.33 = 12 (500 + g); 255 + w − .58 × 500 − 1.5 g = −3 × 5.
    const [g, w] = solve(
      new Matrix([
        [75.16 - 12, 0],
        [-1.5, 1],
      ]),
      Matrix.columnVector([500 * (12 - 10.33), -15 - 255 + 290]),
    ).to1DArray();
    const added = (id: string) => after.lines.find((l) => l.ingredient === id)!.grams;
    expect(added('vital-gluten')).to.be.closeTo(g!, 0.6);
    expect(added('water') - 255).to.be.closeTo(w!, 2);
    expect(
      after.corrections.filter((s) => s.kind === 'water' || s.kind === 'gluten'),
    ).to.deep.equal([]);
  });

  it('a blend reaches the protein without gluten', () => {
    const lines = resolve(build({ 'plain-flour': 500, water: 300 }));
    const sums = totals(lines)!;
    const blend = blendTo(11.5, lines, sums, catalogue)!;
    expect(blend.stronger.strength).to.equal('strong');
    const { protein } = blend.stronger.composition;
    const mixed = ((500 - blend.grams) * 10.33 + blend.grams * protein) / 500;
    expect(mixed).to.be.closeTo(11.5, 0.02);
    expect(blendTo(10, lines, sums, catalogue)).to.equal(undefined);
    expect(blendTo(30, lines, sums, catalogue)).to.equal(undefined);
  });

  it('mixing: strong flour stands the machine, spelt does not', () => {
    const of = (flour: string) => mixingAdvice(resolve(build({ [flour]: 500 })));
    expect(of('bread-flour').map((m) => [m.minutes, m.tooLong])).to.deep.equal([
      [10, false],
      [16, false],
      [25, false],
    ]);
    expect(of('spelt-whole')[0]!.minutes).to.equal(5);
    expect(of('spelt-whole')[2]!.tooLong).to.equal(true);
    // Without flour there is one short knead, not none.
    const low = mixingAdvice(
      resolve(build({ 'vital-gluten': 165, 'oat-fibre': 50, 'flax-meal': 80, water: 237 })),
    );
    expect(low.map((m) => [m.minutes, m.tooLong])).to.deep.equal([
      [5, false],
      [8, false],
      [13, true],
    ]);
  });
});

describe('first touch and after the rest', () => {
  const early = (dough: Record<string, number>, stage?: Record<string, number>) => {
    const { level } = judge(build(dough, 'wholegrain-pan', stage));
    return level.early - level.points;
  };
  it('fresh-milled feels looser at first; white does not; what soaked before has drunk', () => {
    expect(early({ 'fresh-hard-wheat': 500, water: 365 })).to.be.closeTo(7.3, 1e-6);
    expect(early({ 'bread-flour': 500, water: 310 })).to.equal(0);
    expect(early({ 'bread-flour': 500, 'rolled-oats': 80, water: 310 })).to.be.greaterThan(5);
  });
});

describe('what cannot be told', () => {
  const reason = (dough: Record<string, number>) =>
    evaluate(build(dough), defaultHousehold, nothingLearned)?.cannotTell?.code;
  it('gluten alone, hardly any flour, a soup: said, with no correction of the water', () => {
    expect(reason({ 'vital-gluten': 200, water: 200 })).to.equal('gluten-only');
    expect(reason({ 'bread-flour': 20, water: 500 })).to.equal('hardly-any-flour');
    expect(reason({ 'bread-flour': 200, water: 400 })).to.equal('beyond');
    expect(reason({ 'bread-flour': 500, water: 310 })).to.equal(undefined);
    expect(reason({ 'bread-flour': 500 })).to.equal(undefined);
    const { corrections, state } = judge(build({ 'bread-flour': 200, water: 400 }));
    expect(corrections.map((s) => s.kind)).not.to.include('water');
    expect(state.id).to.equal('cannot tell');
    expect(judge(build({ 'bread-flour': 500 })).state.id).to.equal('dry');
    expect(evaluate(build({ water: 500 }), defaultHousehold, nothingLearned)).to.equal(undefined);
  });
});

describe('low-sodium household', () => {
  const correction = (grams: number) =>
    judge(build({ 'bread-flour': 500, water: 310, salt: grams, 'instant-yeast': 5 }), {
      ...defaultHousehold,
      lowSodium: true,
    }).corrections.find((s) => s.kind === 'salt');
  it('comes down to .9 %, says what that does, and never asks for more', () => {
    expect(correction(10)?.grams).to.be.closeTo(-5.5, 1e-9);
    expect(correction(10)?.reason).to.match(/% faster/);
    expect(correction(2)).to.equal(undefined);
  });
  it('counts the salt in salted butter, and all sodium as salt', () => {
    const { totals: sums } = judge(
      build({ 'bread-flour': 500, water: 250, 'butter-salted': 60, 'milk-powder': 20, salt: 5 }),
    );
    expect(sums.saltPercent).to.be.closeTo(
      (100 * (5 + (60 * ingredient('butter-salted').addedSalt!) / 100)) / 500,
      1e-9,
    );
    expect(sums.saltEquivalentPercent).to.be.greaterThan(sums.saltPercent);
  });
});
