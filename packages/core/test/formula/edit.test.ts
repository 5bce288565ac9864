import { expect } from 'chai';
import {
  addIngredient,
  editLine,
  leaveCorrection,
  percentOf,
  reconsiderCorrection,
  removeLine,
  resolve,
  setGrams,
  setPercent,
  swapIngredient,
  takeCorrection,
  totals,
  type Formula,
} from '@tender-crumb/core/formula';
import { isRefused } from '@tender-crumb/core/quantity';
import { build } from '../build.ts';

const loaf = build({
  'plain-flour': 300,
  'whole-wheat': 200,
  water: 350,
  'fresh-yeast': 21,
  salt: 9,
});
const correction = (changes: Formula['taken'][number]['changes']) => ({
  correction: 'water:water:+',
  reason: 'r',
  basis: 'b',
  changes,
});
const grams = (formula: Formula) =>
  Object.fromEntries(resolve(formula).map((l) => [l.ingredient, Math.round(l.grams * 1e6) / 1e6]));

describe('edits', () => {
  it('a percentage of a flour is taken from the other flours of its stage', () => {
    const edited = setPercent(loaf, 'l2', 60, 'total') as Formula;
    expect(grams(edited)).to.include({ 'plain-flour': 200, 'whole-wheat': 300, water: 350 });
  });

  it('a percentage of anything else is of the flour, in either school', () => {
    const sour = build({ 'plain-flour': 500, water: 400 }, 'pan', { 'plain-flour': 50, water: 50 });
    const water = sour.stages[1]!.lines[1]!.id;
    const added = setPercent(sour, water, 70, 'added') as Formula;
    const total = setPercent(sour, water, 70, 'total') as Formula;
    expect(resolve(added).at(-1)!.grams).to.be.closeTo(350, 1e-9);
    expect(resolve(total).at(-1)!.grams).to.be.closeTo(385, 1e-9);
    expect(percentOf(350, totals(resolve(added))!, 'added')).to.be.closeTo(70, 1e-9);
  });

  it('refuses what cannot be, and says why', () => {
    const lean = build({ 'plain-flour': 500, water: 300 });
    const refused = (formula: Formula, percent: number) => {
      const made = setPercent(formula, 'l1', percent, 'total');
      return isRefused(made) ? made.refused.code : undefined;
    };
    expect(refused(lean, 80)).to.equal('only-flour');
    expect(refused(loaf, 120)).to.equal('over-hundred');
    expect(refused(build({ water: 300 }), 80)).to.equal('no-base');
    // All of it is what there is: at the edge it goes, a hair above it does not.
    expect(refused(loaf, 100)).to.equal(undefined);
    expect(refused(loaf, 100.1)).to.equal('over-hundred');
  });

  it('swaps gram for gram, and yeasts by their work', () => {
    expect(grams(swapIngredient(loaf, 'l1', 'fresh-hard-wheat'))).to.include({
      'fresh-hard-wheat': 300,
    });
    expect(grams(swapIngredient(loaf, 'l4', 'instant-yeast'))).to.include({ 'instant-yeast': 7 });
  });

  it('what the baker types stands, whatever corrections had made of the line', () => {
    const taken = takeCorrection(
      loaf,
      correction([{ stage: 's1', ingredient: 'water', grams: 20 }]),
    );
    expect(grams(taken)['water']).to.equal(370);
    const typed = setGrams(taken, 'l3', 360);
    expect(grams(typed)['water']).to.equal(360);
    expect(typed.taken).to.deep.equal([]);
    const noted = editLine(taken, 'l3', { note: 'warm' });
    expect(grams(noted)['water']).to.equal(370);
    expect(noted.taken).to.have.length(1);
  });

  it('a line that a correction brought in can be edited, and is then its own', () => {
    const taken = takeCorrection(
      loaf,
      correction([
        { stage: 's1', ingredient: 'vital-gluten', grams: 10 },
        { stage: 's1', ingredient: 'water', grams: 15 },
      ]),
    );
    const brought = resolve(taken).find((l) => l.ingredient === 'vital-gluten')!;
    const edited = setGrams(taken, brought.id, 12);
    expect(grams(edited)).to.include({ 'vital-gluten': 12, water: 365 });
    expect(edited.taken[0]!.changes).to.have.length(1);
    expect(grams(removeLine(taken, brought.id))).not.to.have.property('vital-gluten');
  });

  it('adds and removes lines', () => {
    const more = addIngredient(loaf, 'honey', 20);
    expect(grams(more)).to.include({ honey: 20 });
    expect(removeLine(more, 'l6')).to.deep.equal(loaf);
  });

  it('corrections are left and reconsidered', () => {
    const left = leaveCorrection(leaveCorrection(loaf, 'salt:salt:+'), 'salt:salt:+');
    expect(left.left).to.deep.equal(['salt:salt:+']);
    expect(reconsiderCorrection(left, 'salt:salt:+')).to.deep.equal(loaf);
  });

  it('a correction never takes a line below nothing', () => {
    const taken = takeCorrection(
      loaf,
      correction([{ stage: 's1', ingredient: 'salt', grams: -50 }]),
    );
    expect(grams(taken)['salt']).to.equal(0);
  });
});
