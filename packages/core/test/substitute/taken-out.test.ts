import { expect } from 'chai';
import { nothingLearned } from '@tender-crumb/core/belief';
import { evaluate } from '@tender-crumb/core/evaluate';
import { editLine, removeLine, takeCorrection, type Formula } from '@tender-crumb/core/formula';
import { defaultHousehold } from '@tender-crumb/core/household';
import { takenOut } from '@tender-crumb/core/substitute';
import { build } from '../build.ts';

const loaf = build(
  {
    'bread-flour': 500,
    water: 260,
    egg: 50,
    sugar: 40,
    oil: 25,
    salt: 9,
    'instant-yeast': 6,
    'milk-powder': 15,
  },
  'pan',
);
const idOf = (formula: Formula, ingredient: string) =>
  formula.stages[0]!.lines.find((l) => l.ingredient === ingredient)!.id;
const without = (ingredient: string) => removeLine(loaf, idOf(loaf, ingredient));
const told = (after: Formula) => takenOut(loaf, after, defaultHousehold, nothingLearned);
const level = (formula: Formula) => evaluate(formula, defaultHousehold, nothingLearned)!.level;

// Facts of the trade: sugar softens, browns and brakes yeast; egg brings water; salt brakes yeast.
describe('a line that is taken out', () => {
  it('sugar: firmer, faster, paler; set to nothing is the same as taken out', () => {
    const says = told(without('sugar'))!.says;
    expect(says).to.match(/^Without 40\sg of sugar the dough is 2\.\d points firmer/);
    expect(says)
      .to.match(/rises about \d+ % faster/)
      .and.match(/browns less/);
    const zero = editLine(loaf, idOf(loaf, 'sugar'), { grams: 0 });
    expect(told(zero)!.says).to.equal(says);
  });

  for (const ingredient of ['egg', 'oil', 'sugar'] as const)
    it(`${ingredient}: what is offered keeps the dough as firm as it was`, () => {
      const after = without(ingredient);
      const { keeps } = told(after)!;
      expect(keeps!.changes[0]!.grams).to.be.above(0);
      const kept = takeCorrection(after, { ...keeps!, correction: keeps!.key });
      expect(level(kept).points).to.be.closeTo(level(loaf).points, 0.3);
      expect(Math.abs(level(after).points - level(loaf).points)).to.be.above(0.75);
    });

  it('salt moves no level: its rise and its taste are told, and nothing is offered', () => {
    const { says, keeps } = told(without('salt'))!;
    expect(says)
      .to.match(/faster/)
      .and.match(/flat/)
      .and.not.match(/points/);
    expect(keeps).to.equal(undefined);
  });

  it('yeast: nothing raises it, and no pace is told', () => {
    expect(told(without('instant-yeast'))!.says)
      .to.match(/nothing raises it/)
      .and.not.match(/faster/);
  });

  it('a dough that hardly moves is not told of, one that does a little more is', () => {
    const says = (sugar: number) => {
      const of = build({ 'bread-flour': 500, water: 300, sugar, salt: 9, 'instant-yeast': 5 });
      const less = removeLine(of, idOf(of, 'sugar'));
      const moved = Math.abs(level(of).points - level(less).points);
      const { says } = takenOut(of, less, defaultHousehold, nothingLearned)!;
      return { moved, points: /points/.test(says), faster: /faster/.test(says) };
    };
    const all = [4, 8, 10, 11, 12, 13, 14, 16, 20, 30].map(says);
    for (const { moved, points } of all) expect(points).to.equal(moved >= 0.75);
    expect(new Set(all.map((a) => a.points)).size).to.equal(2);
    // Two per cent of sugar brake no yeast.
    expect(all[0]!.faster).to.equal(false);
    expect(says(60).faster).to.equal(true);
  });

  it('a yeast for sweet doughs is braked less by the same sugar', () => {
    const faster = (yeast: string) => {
      const of = build({ 'bread-flour': 500, water: 280, sugar: 90, salt: 9, [yeast]: 6 });
      const less = removeLine(of, idOf(of, 'sugar'));
      const { says } = takenOut(of, less, defaultHousehold, nothingLearned)!;
      return Number(/about (\d+) % faster/.exec(says)?.[1] ?? 0);
    };
    expect(faster('osmotolerant-yeast')).to.be.below(faster('instant-yeast') - 10);
  });

  it('less of a thing, and nothing, say nothing', () => {
    expect(told(loaf)).to.equal(undefined);
    expect(told(editLine(loaf, idOf(loaf, 'sugar'), { grams: 10 }))).to.equal(undefined);
  });
});
