import { expect } from 'chai';
import { completeFormula } from '@tender-crumb/core/exchange';
import {
  bigBatch,
  perKilo,
  pieceGrams,
  resolve,
  scaleTo,
  scaleToPiece,
  setPieces,
  totals,
  type Formula,
} from '@tender-crumb/core/formula';
import { defaultMeasures, sumGrams } from '@tender-crumb/core/quantity';

const rolls = completeFormula({
  style: 'rolls',
  stages: [
    {
      lines: [
        { ingredient: 'bread-flour', grams: 400 },
        { ingredient: 'water', grams: 176 },
        { ingredient: 'egg', grams: 100, measured: 'count' },
        { ingredient: 'salt', grams: 8 },
      ],
    },
  ],
});
const weight = (f: Formula | undefined) => sumGrams(resolve(f!));
const eggs = (f: Formula | undefined) => f!.stages[0]!.lines[2]!.grams / 50;

describe('pieces', () => {
  it('nine of a dough of 684 g are 76 g each, and the other way round', () => {
    const nine = setPieces(rolls, 9);
    expect(pieceGrams(nine)).to.equal(76);
    expect(pieceGrams(rolls)).to.equal(undefined);
    expect(pieceGrams(setPieces(nine, undefined))).to.equal(undefined);
    expect(weight(scaleToPiece(nine, 80))).to.be.closeTo(720, 1e-9);
    expect(pieceGrams(scaleToPiece(nine, 80)!)).to.be.closeTo(80, 1e-9);
  });

  it('eggs that are counted stay whole, and the rest makes up the weight', () => {
    for (const [grams, count] of [
      [684, 2],
      [513, 2],
      [512, 1],
      [100, 1],
      [1368, 4],
    ] as const) {
      const scaled = scaleTo(rolls, 'dough', grams, undefined, defaultMeasures);
      expect(eggs(scaled), String(grams)).to.equal(count);
      expect(weight(scaled), String(grams)).to.be.closeTo(grams, 1e-9);
    }
    // Weighed eggs are weighed, and half an egg in the recipe is half an egg.
    expect(eggs(scaleTo(rolls, 'dough', 342))).to.be.closeTo(1, 1e-9);
    const half = {
      ...rolls,
      stages: rolls.stages.map((s) => ({
        ...s,
        lines: s.lines.map((l) => (l.ingredient === 'egg' ? { ...l, grams: 25 } : l)),
      })),
    };
    expect(eggs(scaleTo(half, 'dough', 609 / 2, undefined, defaultMeasures))).to.be.closeTo(
      0.25,
      1e-9,
    );
    // A single egg weighs more than the whole dough wanted.
    expect(scaleTo(rolls, 'dough', 49, undefined, defaultMeasures)).to.equal(undefined);
  });

  it('scales to flour with its eggs whole', () => {
    const scaled = scaleTo(rolls, 'flour', 1000, undefined, defaultMeasures);
    expect(totals(resolve(scaled!))!.flourGrams).to.be.closeTo(1000, 1e-9);
    expect(eggs(scaled)).to.equal(5);
  });

  it('a big batch is told by the kilo of flour, a small one not', () => {
    const batch = (flour: number) =>
      completeFormula({
        stages: [
          {
            lines: [
              { ingredient: 'bread-flour', grams: flour },
              { ingredient: 'instant-yeast', grams: flour / 100 },
            ],
          },
        ],
      });
    const told = (flour: number) => {
      const lines = resolve(batch(flour));
      return perKilo(lines, totals(lines)!);
    };
    expect(told(bigBatch.value - 1)).to.deep.equal([]);
    expect(told(bigBatch.value)).to.deep.equal([{ line: 'l2', name: 'instant yeast', grams: 10 }]);
  });
});
