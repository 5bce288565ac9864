import { expect } from 'chai';
import { completeFormula, formulaProblems } from '@tender-crumb/core/exchange';
import {
  addIngredient,
  addStage,
  editStage,
  giveBackCorrection,
  moveLine,
  moveStage,
  placeLine,
  placeStage,
  removeLine,
  removeStage,
  resolve,
  setGrams,
  stageKinds,
  takeCorrection,
  type Formula,
} from '@tender-crumb/core/formula';
import { sumGrams } from '@tender-crumb/core/quantity';

const formula = completeFormula({
  name: 'Lockside',
  style: 'pan',
  stages: [
    {
      id: 'a',
      kind: 'starter',
      lines: [
        { id: 'l1', ingredient: 'rye-whole', grams: 50 },
        { id: 'l2', ingredient: 'water', grams: 50 },
      ],
    },
    {
      id: 'b',
      lines: [
        { id: 'l3', ingredient: 'bread-flour', grams: 450 },
        { id: 'l4', ingredient: 'water', grams: 300 },
      ],
    },
  ],
  steps: [{ says: 'Feed the starter.', stage: 'a' }],
  unread: [{ text: 'a bit of this', stage: 'a', after: 'l2' }],
});
const order = (f: Formula) =>
  f.stages.map((s) => `${s.id}: ${s.lines.map((l) => l.id).join(' ')}`).join(' | ');

describe('stages', () => {
  it('what is mixed ahead comes before the dough, a further dough after it, each with a name of its own', () => {
    for (const kind of stageKinds) {
      const next = addStage(formula, kind);
      expect(next.stages).to.have.length(3);
      const at = next.stages.findIndex((s) => s.id === 's1');
      expect(at, kind).to.equal(kind === 'dough' ? 2 : 1);
      expect(new Set(next.stages.map((s) => s.name)).size, kind).to.equal(3);
    }
    expect(addStage(formula, 'starter').stages[1]!.name).to.equal('Starter 2');
  });

  it('is renamed and moved; at an end it stays', () => {
    expect(editStage(formula, 'a', { name: 'Levain' }).stages[0]!.name).to.equal('Levain');
    expect(order(moveStage(formula, 'b', -1))).to.equal('b: l3 l4 | a: l1 l2');
    expect(order(placeStage(formula, 'a', 9))).to.equal('b: l3 l4 | a: l1 l2');
    expect(placeStage(formula, 'a', 0)).to.equal(formula);
    expect(moveStage(formula, 'a', -1)).to.equal(formula);
    expect(moveStage(formula, 'b', 1)).to.equal(formula);
    expect(moveStage(formula, 'none', 1)).to.equal(formula);
  });

  it('goes with its lines and corrections; what spoke of it does not name it any more', () => {
    const corrected = takeCorrection(formula, {
      correction: 'x',
      reason: '',
      basis: '',
      changes: [{ stage: 'a', ingredient: 'water', grams: 5 }],
    });
    const without = removeStage(corrected, 'a');
    expect(order(without)).to.equal('b: l3 l4');
    expect(without.taken).to.deep.equal([]);
    expect(without.steps).to.deep.equal([{ says: 'Feed the starter.' }]);
    expect(without.unread).to.deep.equal([{ text: 'a bit of this' }]);
    expect(formulaProblems(without)).to.deep.equal([]);
    expect(removeStage(without, 'b'), 'the last one stays').to.equal(without);
    expect(removeStage(formula, 'none')).to.equal(formula);
  });

  it('a line that goes is not named by what stood below it', () => {
    const without = removeLine(formula, 'l2');
    expect(formulaProblems(without)).to.deep.equal([]);
    expect(without.unread).to.deep.equal([{ text: 'a bit of this', stage: 'a' }]);
  });

  it('a stage that a correction brought in goes with it', () => {
    const brought = takeCorrection(formula, {
      correction: 'x',
      reason: '',
      basis: '',
      changes: [{ stage: 'n', ingredient: 'water', grams: 5 }],
      stages: [{ id: 'n', kind: 'soaker', name: 'Soaker' }],
    });
    const named = { ...brought, steps: [{ says: 'Soak it.', stage: 'n' }] };
    expect(formulaProblems(named)).to.deep.equal([]);
    const back = giveBackCorrection(named, brought.taken[0]!.id);
    expect(formulaProblems(back)).to.deep.equal([]);
  });

  it('a line of a soaker that is edited keeps to what a line is', () => {
    const soaker = addIngredient(addStage(formula, 'soaker'), 'rolled-oats', 0, 's1');
    const line = soaker.stages.flatMap((s) => s.lines).find((l) => l.ingredient === 'rolled-oats')!;
    const edited = setGrams(soaker, line.id, 80);
    const after = edited.stages.flatMap((s) => s.lines).find((l) => l.id === line.id)!;
    expect(after).to.deep.equal({ ...line, grams: 80 });
    expect(resolve(edited).find((l) => l.id === line.id)!.of.state).to.equal('soaked');
  });

  it('takes an ingredient where it is told, else the dough', () => {
    expect(addIngredient(formula, 'salt', 9).stages[1]!.lines.at(-1)!.ingredient).to.equal('salt');
    expect(addIngredient(formula, 'salt', 9, 'a').stages[0]!.lines.at(-1)!.ingredient).to.equal(
      'salt',
    );
  });
});

describe('placing a line', () => {
  it('at any place of any stage', () => {
    expect(order(placeLine(formula, 'l4', 'b', 0))).to.equal('a: l1 l2 | b: l4 l3');
    expect(order(placeLine(formula, 'l4', 'a', 1))).to.equal('a: l1 l4 l2 | b: l3');
    expect(order(placeLine(formula, 'l1', 'b', 99))).to.equal('a: l2 | b: l3 l4 l1');
  });

  it('where it stands, or where there is nothing, it is the same formula', () => {
    expect(placeLine(formula, 'l3', 'b', 0)).to.equal(formula);
    expect(placeLine(formula, 'none', 'b', 0)).to.equal(formula);
    expect(placeLine(formula, 'l3', 'none', 0)).to.equal(formula);
  });

  it('takes with it what corrections did to it, and the dough weighs the same', () => {
    const corrected = takeCorrection(formula, {
      correction: 'water+',
      reason: '',
      basis: '',
      changes: [{ stage: 'b', ingredient: 'bread-flour', grams: 12 }],
    });
    for (const moved of [
      placeLine(corrected, 'l3', 'a', 0),
      moveLine(corrected, 'l3', -1),
      // Another line of the same thing stays behind: so does the correction.
      placeLine(placeLine(addIngredient(corrected, 'bread-flour', 10), 'l3', 'a', 0), 'l4', 'a', 0),
    ]) {
      expect(formulaProblems(moved)).to.deep.equal([]);
      expect(sumGrams(resolve(moved))).to.be.oneOf([862, 872]);
      expect(resolve(moved).some((l) => l.id.startsWith('slip:'))).to.equal(false);
    }
  });
});
