import { expect } from 'chai';
import { swapIngredient } from '@tender-crumb/core/formula';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import type { StyleId } from '@tender-crumb/core/style';
import { substitute } from '@tender-crumb/core/substitute';
import { build, judge } from '../build.ts';
import { between } from './near.ts';

/**
 * Formulas that bakers use with success must fall in their window, and those that they correct must
 * call for that correction. Source of every row: common practice, no source.
 */
const successes: ReadonlyArray<{
  name: string;
  style: StyleId;
  dough: Record<string, number>;
  starter?: Record<string, number>;
  states: readonly string[];
}> = [
  {
    name: 'strong white machine loaf',
    style: 'pan',
    dough: { 'bread-flour': 400, water: 230, oil: 27, sugar: 25, 'milk-powder': 11, salt: 8 },
    states: ['firm and smooth', 'tacky ball'],
  },
  ...[440, 450].map((flour) => ({
    name: `fresh-milled machine loaf at ${flour} g`,
    style: 'pan' as const,
    dough: {
      'fresh-hard-wheat': flour,
      water: 365,
      oil: 27,
      sugar: 14,
      'milk-powder': 15,
      'vital-gluten': 17,
      'flax-meal': 30,
    },
    states: ['firm and smooth', 'tacky ball'],
  })),
  {
    name: 'whole-grain hearth sourdough',
    style: 'hearth-wholegrain',
    dough: { 'fresh-hard-wheat': 500, water: 400, honey: 25, salt: 8 },
    starter: { 'whole-wheat': 50, water: 50 },
    states: ['slack'],
  },
  {
    name: 'milk rolls',
    style: 'rolls',
    dough: { 'bread-flour': 500, water: 150, milk: 150, salt: 10 },
    states: ['tight', 'firm and smooth'],
  },
  {
    name: 'plait of plain and whole flour',
    style: 'plait',
    dough: {
      'plain-flour': 750,
      'whole-wheat': 250,
      water: 520,
      oil: 109,
      sugar: 44,
      'vital-gluten': 5,
    },
    states: ['tight'],
  },
  {
    name: 'low-carb loaf',
    style: 'low-carb',
    dough: { 'vital-gluten': 165, 'oat-fibre': 50, 'flax-meal': 80, water: 237, egg: 100 },
    states: ['tight', 'firm and smooth', 'tacky ball', 'soft'],
  },
];

describe('level: formulas that work fall in their window (common practice, no source)', () => {
  for (const { name, style, dough, starter, states } of successes) {
    const judged = judge(build(dough, style, starter));
    between(
      'The dough level: formulas that work',
      name,
      'common practice, no source',
      () => judged.level.points,
      judged.window,
    );
    it(`${name}: its state, and no call for water`, () => {
      expect(states).to.include(judged.state.id);
      expect(judged.corrections.map((s) => s.kind)).not.to.include('water');
    });
  }

  it('a dry base has the low-carb window in whatever style it is judged', () => {
    const { window, totals } = judge(build(successes.at(-1)!.dough, 'pan'));
    expect(totals.dryBase).to.equal(true);
    expect(window).to.deep.equal([-8, 10]);
  });
});

describe('level: formulas that bakers correct call for that correction (common practice, no source)', () => {
  const waterCalledFor = (evaluation: ReturnType<typeof judge>) =>
    evaluation.corrections.find((s) => s.kind === 'water')?.grams ?? 0;

  it('fresh-milled 480 with the water for 440 asks for water', () => {
    const formula = build({
      'fresh-hard-wheat': 480,
      water: 365,
      oil: 27,
      sugar: 14,
      'milk-powder': 15,
      'vital-gluten': 17,
      'flax-meal': 30,
    });
    expect(waterCalledFor(judge(formula))).to.be.within(15, 25);
  });

  it('the swap of a third and of all the flour, as the substitution makes it, calls for it too', () => {
    const formula = build({ 'plain-flour': 375, water: 210, oil: 14, sugar: 12 });
    const made = substitute(formula, 'l1', 'whole-wheat', defaultHousehold, nothingLearned);
    if ('refused' in made) throw new Error(made.refused.says);
    const water = made.consequences.find((s) => s.kind === 'water')!;
    expect(water.grams).to.be.within(35, 60);
  });

  it('whole wheat in place of plain flour asks for more water, the more the more', () => {
    const formula = build({ 'plain-flour': 375, water: 210, oil: 14, sugar: 12 });
    const third = build({ 'plain-flour': 250, 'whole-wheat': 125, water: 210, oil: 14, sugar: 12 });
    const all = swapIngredient(formula, 'l1', 'whole-wheat');
    const wants = [formula, third, all].map((f) => waterCalledFor(judge(f)));
    expect(wants[0]).to.equal(0);
    expect(wants[1]).to.be.greaterThan(0);
    expect(wants[2]).to.be.greaterThan(wants[1]! + 15);
  });

  it('too wet a mix asks to hold water back, or for flour where none is poured', () => {
    const wet = judge(build({ 'bread-flour': 500, water: 380, salt: 10 }));
    expect(waterCalledFor(wet)).to.be.lessThan(-20);
    const milky = judge(build({ 'bread-flour': 500, milk: 480, salt: 10 }));
    const correction = milky.corrections.find((s) => s.kind === 'flour');
    expect(correction?.ingredient).to.equal('bread-flour');
    expect(correction?.grams).to.be.greaterThan(50);
  });
});
