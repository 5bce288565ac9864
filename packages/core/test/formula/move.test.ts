import { expect } from 'chai';
import { completeFormula } from '@tender-crumb/core/exchange';
import { formulaWords, moveLine } from '@tender-crumb/core/formula';

const formula = completeFormula({
  name: 'Lockside',
  style: 'pan',
  notes: 'Cold Pantry',
  stages: [
    { id: 'a', kind: 'starter', lines: [{ id: 'l1', ingredient: 'rye-whole', grams: 50 }] },
    {
      id: 'b',
      lines: [
        { id: 'l2', ingredient: 'bread-flour', grams: 450 },
        { id: 'l3', ingredient: 'water', grams: 300 },
      ],
    },
  ],
});
const order = (f: typeof formula) => f.stages.map((s) => s.lines.map((l) => l.id).join(' '));

describe('moving a line', () => {
  it('goes up and down in its stage, and at an end into the next', () => {
    expect(order(moveLine(formula, 'l3', -1))).to.deep.equal(['l1', 'l3 l2']);
    expect(order(moveLine(formula, 'l2', 1))).to.deep.equal(['l1', 'l3 l2']);
    expect(order(moveLine(formula, 'l2', -1))).to.deep.equal(['l1 l2', 'l3']);
    expect(order(moveLine(formula, 'l1', 1))).to.deep.equal(['', 'l1 l2 l3']);
  });

  it('stays where there is nowhere to go, and there and back is the same', () => {
    expect(moveLine(formula, 'l1', -1)).to.equal(formula);
    expect(moveLine(formula, 'l3', 1)).to.equal(formula);
    expect(moveLine(formula, 'none', 1)).to.equal(formula);
    expect(moveLine(moveLine(formula, 'l2', -1), 'l2', 1)).to.deep.equal(formula);
  });
});

describe('what a formula is found by', () => {
  it('its style, what is in it, its notes', () => {
    const words = formulaWords(formula);
    for (const word of ['machine or tin loaf', 'whole rye flour', 'water', 'cold pantry']) {
      expect(words).to.contain(word);
    }
  });
});
