import { expect } from 'chai';
import fc from 'fast-check';
import {
  choicesFor,
  defaultHousehold,
  evaluate,
  giveBackCorrection,
  nothingLearned,
  resolve,
  stagesOf,
  substitute,
  takeCorrection,
  totals,
  weighingList,
  type Formula,
  type Household,
} from '../core.ts';
import { build } from '../build.ts';

const swap = (formula: Formula, line: string, to: string, household = defaultHousehold) => {
  const made = substitute(formula, line, to, household, nothingLearned);
  if ('refused' in made) throw new Error(made.refused.says);
  return made;
};
const refusal = (formula: Formula, line: string, to: string, household?: Household) => {
  const made = substitute(formula, line, to, household ?? defaultHousehold, nothingLearned);
  return 'refused' in made ? made.refused.says : undefined;
};
const grams = (formula: Formula) =>
  Object.fromEntries(
    resolve(formula).map((l) => [
      `${l.stageKind === 'dough' ? '' : 'pre:'}${l.ingredient}`,
      l.grams,
    ]),
  );
const points = (formula: Formula) =>
  evaluate(formula, defaultHousehold, nothingLearned)!.level.points;
const takeAll = ({ formula, consequences }: ReturnType<typeof swap>) =>
  consequences.reduce((f, s) => takeCorrection(f, { ...s, correction: s.key }), formula);

const loaf = build({
  'bread-flour': 500,
  water: 225,
  honey: 20,
  oil: 25,
  milk: 50,
  egg: 50,
  salt: 9,
  'instant-yeast': 6,
});
const id = (formula: Formula, ingredient: string) =>
  resolve(formula).find((l) => l.ingredient === ingredient)!.id;

describe('substitutions', () => {
  it('a flour for a flour: water keeps the dough where it was', () => {
    const made = swap(loaf, 'l1', 'whole-wheat');
    const water = made.consequences.find((s) => s.kind === 'water')!;
    expect(water.grams).to.be.closeTo((0.7 - 0.62) * 500, 1.5);
    // Whole wheat's protein is not far enough below what so much bran asks for.
    expect(made.consequences.map((s) => s.kind)).not.to.include('gluten');
    expect(made.notes.join()).to.contain('90 minutes');
    expect(points(takeAll(made))).to.be.closeTo(points(loaf), 0.5);
  });

  it('fresh-milled takes the place of all the bagged; bagged only of half the fresh-milled', () => {
    const bagged = build({ 'whole-wheat': 500, water: 350 });
    expect(grams(swap(bagged, 'l1', 'fresh-hard-wheat').formula)['fresh-hard-wheat']).to.equal(500);
    const fresh = build({ 'fresh-hard-wheat': 500, water: 365 });
    const made = grams(swap(fresh, 'l1', 'half-bagged').formula);
    expect(made).to.include({ 'whole-wheat': 250, 'bread-flour': 250, 'fresh-hard-wheat': 0 });
    expect(choicesFor(fresh, 'l1', defaultHousehold).map((c) => c.id)).not.to.include(
      'whole-wheat',
    );
  });

  it('sugar for honey: as sweet, and the honey’s water comes back', () => {
    const made = swap(loaf, id(loaf, 'honey'), 'sugar');
    expect(grams(made.formula)['sugar']).to.be.closeTo((20 * 82.12) / 99.8, 0.4);
    expect(points(takeAll(made))).to.be.closeTo(points(loaf), 0.5);
  });

  it('a sweetener feeds no yeast, and a low-carb dough then asks for a spoon of sugar', () => {
    const lean = build(
      {
        'vital-gluten': 160,
        'flax-meal': 80,
        'oat-fibre': 50,
        water: 240,
        honey: 7,
        'instant-yeast': 6,
      },
      'low-carb',
    );
    const made = swap(lean, id(lean, 'honey'), 'erythritol');
    expect(made.notes.join()).to.contain('feeds no yeast');
    expect(made.consequences.some((s) => s.ingredient === 'sugar')).to.equal(true);
  });

  it('butter for oil: as fat, its salt and its water counted', () => {
    const made = swap(loaf, id(loaf, 'oil'), 'butter-salted');
    expect(grams(made.formula)['butter-salted']).to.be.closeTo((25 * 100) / 81.11, 0.5);
    const salt = made.consequences.find((s) => s.kind === 'salt');
    expect(salt === undefined || salt.grams < 0).to.equal(true);
    const puree = grams(swap(loaf, id(loaf, 'oil'), 'fruit-puree').formula);
    expect(puree).to.include({ oil: 12.5, 'fruit-puree': 12.5 });
  });

  it('milk to water and powder, its fat back as oil; and powder to milk', () => {
    const milky = build({ 'bread-flour': 500, water: 100, milk: 230, salt: 9 });
    const made = swap(milky, id(milky, 'milk'), 'milk-powder');
    expect(grams(made.formula)['milk-powder']).to.be.closeTo(19.8, 0.1);
    expect(grams(made.formula)['water']).to.be.closeTo(100 + 202.6, 0.1);
    expect(made.consequences.find((s) => s.kind === 'fat')?.grams).to.be.closeTo(7.5, 0.6);
    const powder = build({ 'bread-flour': 500, water: 330, 'milk-powder': 15, salt: 9 });
    const back = swap(powder, id(powder, 'milk-powder'), 'milk');
    expect(grams(back.formula)['milk']).to.be.closeTo(174.4, 0.1);
    const dry = build({ 'bread-flour': 500, milk: 300, 'milk-powder': 40 });
    expect(refusal(dry, id(dry, 'milk-powder'), 'milk')).to.contain('not that much water');
  });

  it('egg to lecithin and water, or a gel of linseed; a yeast by its work', () => {
    expect(grams(swap(loaf, id(loaf, 'egg'), 'lecithin').formula)).to.include({
      egg: 0,
      lecithin: 3,
    });
    expect(grams(swap(loaf, id(loaf, 'egg'), 'flax-meal').formula)['flax-meal']).to.be.closeTo(
      7,
      1e-9,
    );
    expect(
      grams(swap(loaf, id(loaf, 'instant-yeast'), 'fresh-yeast').formula)['fresh-yeast'],
    ).to.equal(18);
  });

  it('gluten to a stronger flour: the protein stays (Pearson square)', () => {
    const formula = build({ 'plain-flour': 500, 'vital-gluten': 6, water: 300 });
    const made = swap(formula, 'l2', 'stronger-flour');
    const protein = (f: Formula) => totals(resolve(f))!.proteinPercent;
    expect(protein(made.formula)).to.be.closeTo(protein(formula), 1e-6);
    const much = build({ 'plain-flour': 500, 'vital-gluten': 20, water: 300 });
    expect(refusal(much, 'l2', 'stronger-flour')).to.contain('would not bring as much protein');
    expect(
      refusal(build({ 'bread-flour': 500, 'vital-gluten': 6 }), 'l2', 'stronger-flour'),
    ).to.contain('no weaker flour');
  });

  it('refuses what cannot work, with the reason', () => {
    expect(refusal(loaf, 'l1', 'rice-flour')).to.contain('no gluten');
    expect(refusal(loaf, 'l1', 'soft-white-flour')).to.contain('Soft wheat');
    expect(refusal(loaf, 'l1', 'rye-whole')).to.contain('build nothing');
    const rice = build({ 'rice-flour': 300, water: 300 });
    expect(
      refusal(rice, 'l1', 'spelt-white', { ...defaultHousehold, glutenFree: true }),
    ).to.contain('must not eat gluten');
    expect(refusal(loaf, 'l9', 'sugar')).to.contain('no such line');
    const listed = choicesFor(loaf, 'l1', defaultHousehold);
    expect(listed.find((c) => c.id === 'rice-flour')?.refused?.says).to.contain('no gluten');
    expect(listed.find((c) => c.id === 'spelt-white')?.refused).to.equal(undefined);
  });
});

describe('yeast and sourdough', () => {
  const yeasted = build({
    'bread-flour': 400,
    'rye-whole': 100,
    water: 340,
    salt: 10,
    'instant-yeast': 5,
  });

  it('flour and water move into the starter; total flour, hydration and salt stay', () => {
    const { formula } = swap(yeasted, 'l5', 'starter');
    const [before, after] = [yeasted, formula].map((f) => totals(resolve(f))!);
    expect(after!.flourGrams).to.be.closeTo(before!.flourGrams, 1e-9);
    expect(after!.hydrationTotalFlour).to.be.closeTo(before!.hydrationTotalFlour, 1e-9);
    expect(after!.saltPercent).to.be.closeTo(before!.saltPercent, 1e-9);
    const starter = resolve(formula).filter((l) => l.stageKind === 'starter');
    const weight = starter.reduce((sum, l) => sum + l.grams, 0);
    expect(weight / after!.addedFlourGrams).to.be.closeTo(0.25, 1e-9);
    expect(grams(formula)['instant-yeast']).to.equal(0);
    expect(points(formula)).to.be.closeTo(points(yeasted), 1e-9);
    expect(stagesOf(formula).map((s) => s.kind)).to.deep.equal(['starter', 'dough']);
    expect(weighingList(formula, 'hand')[0]!.items.map((i) => i.name)).to.include('starter');
  });

  it('there and back returns the formula (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 100, max: 1500, noNaN: true }),
        fc.double({ min: 0.5, max: 0.9, noNaN: true }),
        fc.double({ min: 0.5, max: 20, noNaN: true }),
        (flour, hydration, yeast) => {
          const formula = build({
            'bread-flour': flour,
            water: flour * hydration,
            'instant-yeast': yeast,
          });
          const sour = swap(formula, 'l3', 'starter').formula;
          const starter = resolve(sour).find((l) => l.stageKind === 'starter')!;
          expect(swap(sour, starter.id, 'instant-yeast').formula).to.deep.equal(formula);
        },
      ),
      { numRuns: 200 },
    );
  });

  it('a starter that was written as one goes back into the dough, with yeast for it', () => {
    const sour = build({ 'bread-flour': 450, water: 310, salt: 10 }, 'hearth-white', {
      'bread-flour': 50,
      water: 50,
    });
    const made = swap(sour, 'l1', 'instant-yeast').formula;
    expect(grams(made)).to.include({ 'bread-flour': 500, water: 360 });
    expect(grams(made)['instant-yeast']).to.be.closeTo(5, 1e-9);
    expect(points(made)).to.be.closeTo(points(sour), 1e-9);
  });

  it('refuses where there is no water or no flour to make a starter of', () => {
    const milky = build({ 'bread-flour': 500, milk: 330, 'instant-yeast': 6 });
    expect(refusal(milky, 'l3', 'starter')).to.contain('needs water');
    const lean = build({ 'vital-gluten': 160, 'oat-fibre': 50, water: 240, 'instant-yeast': 6 });
    expect(refusal(lean, 'l4', 'starter')).to.contain('no flour here');
  });
});

describe('any substitution', () => {
  it('never makes a mass negative or a figure that is none, and gives back bit for bit', () => {
    for (const line of resolve(loaf)) {
      for (const choice of choicesFor(loaf, line.id, defaultHousehold)) {
        if (choice.refused) continue;
        const made = swap(loaf, line.id, choice.id);
        for (const l of resolve(takeAll(made))) expect(l.grams, choice.label).to.be.at.least(0);
        expect(Number.isFinite(points(takeAll(made)))).to.equal(true);
        const taken = made.formula.taken.at(-1)!;
        expect(giveBackCorrection(made.formula, taken.id)).to.deep.equal(loaf);
      }
    }
  });
});
