import { expect } from 'chai';
import { completeFormula } from '@tender-crumb/core/exchange';
import { bagBindings, withoutStrangeBags } from '@tender-crumb/core/formula';
import type { Bag } from '@tender-crumb/core/ingredient';

const bags: readonly Bag[] = [
  { id: 'blue', name: 'Blue', ingredient: 'bread-flour' },
  { id: 'tin', name: 'Tin', ingredient: 'instant-yeast', kind: 'yeast' },
  { id: 'jar', name: 'Jar', ingredient: 'rye-whole', kind: 'starter' },
];
const formula = (flour: string, stage?: string, starter?: string) =>
  completeFormula({
    stages: [
      {
        id: 's1',
        kind: 'starter',
        ...(stage ? { bag: stage } : {}),
        lines: [{ ingredient: 'rye-whole', grams: 50, ...(starter ? { bag: starter } : {}) }],
      },
      {
        id: 's2',
        lines: [
          { ingredient: 'bread-flour', grams: 450, bag: flour },
          { ingredient: 'instant-yeast', grams: 2, bag: 'tin' },
        ],
      },
    ],
  });
const told = (...of: Parameters<typeof formula>) =>
  bagBindings(formula(...of), bags).map((p) => `${p.code} ${p.field}`);

describe('bags that a formula is bound to', () => {
  it('are there, and of their kind', () => {
    expect(told('blue', 'jar')).to.deep.equal([]);
    expect(told('gone')).to.deep.equal(['unknown-bag stages[1].lines[0].bag']);
    expect(told('tin')).to.deep.equal(['other-bag stages[1].lines[0].bag']);
    expect(told('blue', 'blue')).to.deep.equal(['other-bag stages[0].bag']);
    // The flour of a starter is flour: what is bound to a jar is the stage.
    expect(told('blue', 'jar', 'jar')).to.deep.equal(['other-bag stages[0].lines[0].bag']);
  });

  it('those that do not hold are taken off, and nothing else', () => {
    const right = formula('blue', 'jar');
    expect(withoutStrangeBags(right, bags)).to.equal(right);
    const mended = withoutStrangeBags(formula('tin', 'blue'), bags);
    expect(bagBindings(mended, bags)).to.deep.equal([]);
    expect(mended.stages[0]).not.to.have.property('bag');
    const [flour, yeast] = mended.stages[1]!.lines;
    expect(flour).to.deep.equal({
      id: 'l2',
      ingredient: 'bread-flour',
      grams: 450,
      measured: 'scale',
    });
    expect(yeast!.bag).to.equal('tin');
  });
});
