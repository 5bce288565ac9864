import { expect } from 'chai';
import { kitchenOf, nothingLearned } from '@tender-crumb/core/belief';
import { fussedOver, level, outside, roomFor, windowFor } from '@tender-crumb/core/dough';
import { resolve } from '@tender-crumb/core/formula';
import { defaultHousehold } from '@tender-crumb/core/household';
import { build } from '../build.ts';

const kitchen = kitchenOf(defaultHousehold, nothingLearned);
const window = windowFor('pan', 0);
const of = (amounts: Record<string, number>) => resolve(build(amounts, 'pan'));
const room = (lines: ReturnType<typeof of>, ingredient: string) =>
  roomFor(lines, lines.find((l) => l.ingredient === ingredient)!.id, window, kitchen);

describe('how much of a thing leaves a dough right', () => {
  const loaf = of({ 'bread-flour': 500, water: 310, salt: 9, 'instant-yeast': 5 });
  const at = (lines: typeof loaf, ingredient: string, grams: number) =>
    outside(
      level(
        lines.map((l) => (l.ingredient === ingredient ? { ...l, grams } : l)),
        kitchen,
      )!.points,
      window,
    );

  for (const ingredient of ['water', 'bread-flour'])
    it(`${ingredient}: both ends are inside, a gram beyond either is not`, () => {
      const { from, to } = room(loaf, ingredient)!;
      expect(at(loaf, ingredient, from)).to.equal(0);
      expect(at(loaf, ingredient, to)).to.equal(0);
      expect(at(loaf, ingredient, from - 1)).to.not.equal(0);
      expect(at(loaf, ingredient, to + 1)).to.not.equal(0);
    });

  // Arithmetic of baker's percentages: a point is a gram of water for 100 g of flour, and the window is 8 wide.
  it('500 g of flour have room for 40 g of water', () => {
    const { from, to } = room(loaf, 'water')!;
    expect(to - from).to.be.within(38, 40);
  });

  it('a dough that is out is told where it would be right', () => {
    const wet = of({ 'bread-flour': 500, water: 400, salt: 9, 'instant-yeast': 5 });
    const { from, to } = room(wet, 'water')!;
    expect(to).to.be.below(400);
    expect(from).to.be.above(280);
  });

  it('what does not reach into the window has no room; salt is not fussed over', () => {
    const lines = of({ 'bread-flour': 1000, water: 100, salt: 20 });
    expect(room(lines, 'water')).to.equal(undefined);
    expect(fussedOver(lines).map((l) => l.ingredient)).to.deep.equal(['bread-flour', 'water']);
  });
});
