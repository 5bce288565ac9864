import { expect } from 'chai';
import fc from 'fast-check';
import { weighingList } from '@tender-crumb/core/hands';
import { outside } from '@tender-crumb/core/dough';
import { evaluate } from '@tender-crumb/core/evaluate';
import {
  giveBackCorrection,
  resolve,
  stagesOf,
  takeCorrection,
  totals,
  type Formula,
} from '@tender-crumb/core/formula';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold, type Household } from '@tender-crumb/core/household';
import { choicesFor, substitute } from '@tender-crumb/core/substitute';
import { demoBreads } from '../../../../demo/formulas.ts';
import { build } from '../build.ts';
import { between, tally } from '../checks/near.ts';

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

describe('a part of a line', () => {
  it('a half or a third gives way, and the rest stays', () => {
    for (const share of [1 / 2, 1 / 3]) {
      const made = substitute(loaf, 'l1', 'whole-wheat', defaultHousehold, nothingLearned, share);
      if ('refused' in made) throw new Error(made.refused.says);
      const now = grams(made.formula);
      expect(now['whole-wheat']).to.be.closeTo(500 * share, 1e-9);
      expect(now['bread-flour']).to.be.closeTo(500 * (1 - share), 1e-9);
      expect(made.notes[0]).to.match(/^The other (50\.0|66\.7)\s% stays strong bread flour/);
      expect(points(takeAll(made))).to.be.closeTo(points(loaf), 0.4);
      const water = made.consequences.find((c) => c.kind === 'water')!;
      expect(water.grams).to.be.closeTo((0.7 - 0.62) * 500 * share, 1.5);
    }
  });

  it('is refused where only all of it makes sense, or none is meant', () => {
    const by = (line: string, to: string, share: number) => {
      const made = substitute(loaf, line, to, defaultHousehold, nothingLearned, share);
      return 'refused' in made ? made.refused.code : undefined;
    };
    expect(by(id(loaf, 'instant-yeast'), 'starter', 0.5)).to.equal('only-whole');
    expect(by('l1', 'whole-wheat', 0)).to.equal('no-share');
    expect(by('l1', 'whole-wheat', 1.01)).to.equal('no-share');
    // A third of a wheat loaf may be rice, a half may not.
    expect(by('l1', 'rice-flour', 0.3)).to.equal(undefined);
    expect(by('l1', 'rice-flour', 0.31)).to.equal('no-gluten');
  });
});

describe('what follows is told truly', () => {
  const says = (formula: Formula, ingredient: string, to: string) =>
    swap(formula, id(formula, ingredient), to).consequences.map((c) => c.reason);

  it('by what moves the water most', () => {
    expect(says(loaf, 'bread-flour', 'whole-wheat')[0]).to.match(
      /^It absorbs 40\sg more water than what it replaces: 4\d\sg of water keeps/,
    );
    expect(says(loaf, 'bread-flour', 'plain-flour')[0]).to.match(
      /^It absorbs 20\sg less water .*: \d\d\sg of water held back keeps/,
    );
    expect(says(loaf, 'honey', 'sugar')[0]).to.match(/^It adds 3.*\sg less water/);
    const oily = build({ 'bread-flour': 500, water: 300, oil: 60, salt: 9 });
    expect(says(oily, 'oil', 'fruit-puree')[0]).to.match(/^It adds 2\d\sg more water/);
  });

  it('what stood wrong before is another sentence', () => {
    const tight = build({ 'bread-flour': 500, water: 270, salt: 9, 'instant-yeast': 6 });
    const made = swap(tight, 'l1', 'whole-wheat').consequences.filter((c) => c.kind === 'water');
    expect(made.map((c) => c.grams)).to.deep.equal([40, 25]);
    expect(made[0]!.ifLeft).to.contain('tighter by 8.0 points');
    expect(made[1]!.reason).to.match(/^Apart from the swap, it stood too tight before\./);
    expect(new Set(made.map((c) => c.key)).size).to.equal(2);
    const loose = build({ 'bread-flour': 500, water: 350, salt: 9, 'instant-yeast': 6 });
    expect(swap(loose, 'l1', 'whole-wheat').consequences[1]!.reason).to.contain('too loose before');
  });

  it('where no plain water is poured, milk is held back; where no liquid is, flour goes in', () => {
    const milky = build({ 'bread-flour': 500, milk: 350, salt: 9, 'instant-yeast': 6 });
    const made = swap(milky, 'l1', 'plain-flour');
    expect(made.consequences[0]!.changes).to.deep.equal([
      { stage: 's1', ingredient: 'milk', grams: -22 },
    ]);
    expect(made.consequences[0]!.reason).to.match(/22.g of whole milk held back/);
    expect(points(takeAll(made))).to.be.closeTo(points(milky), 0.4);

    const eggs = { 'bread-flour': 500, egg: 420, butter: 50, salt: 9, 'instant-yeast': 6 };
    const eggy = build(eggs, 'hearth-yeast');
    const stiffer = swap(eggy, 'l1', 'plain-flour');
    expect(stiffer.consequences[0]!.changes.map((c) => c.ingredient)).to.deep.equal([
      'plain-flour',
    ]);
    expect(points(takeAll(stiffer))).to.be.closeTo(points(eggy), 0.4);
  });
});

describe('refusals look at the formula that would be', () => {
  const half = build({ 'bread-flour': 350, 'rice-flour': 150, water: 310, salt: 9 });
  it('two swaps that each pass are refused together', () => {
    expect(refusal(half, 'l1', 'whole-wheat')).to.equal(undefined);
    const third = substitute(half, 'l1', 'maize-meal', defaultHousehold, nothingLearned, 0.2);
    expect('refused' in third && third.refused.code).to.equal('no-gluten');
  });

  it('rye over half wants acid; egg over 15 g to 100 g of flour does not give way to lecithin', () => {
    const mixed = build({ 'bread-flour': 260, 'rye-whole': 240, water: 350, salt: 9 });
    const sour = build({ 'bread-flour': 260, 'rye-whole': 200, water: 310 }, 'rye', {
      'rye-whole': 40,
      water: 40,
    });
    const more = (f: Formula, line: string) => {
      const made = substitute(f, line, 'rye-whole', defaultHousehold, nothingLearned, 0.1);
      return 'refused' in made ? made.refused.code : undefined;
    };
    expect(more(mixed, 'l1')).to.equal('rye-without-acid');
    expect(more(sour, id(sour, 'bread-flour'))).to.equal(undefined);
    const egg = (g: number) => build({ 'bread-flour': 500, water: 250, egg: g, salt: 9 });
    expect(refusal(egg(75), 'l3', 'lecithin')).to.equal(undefined);
    expect(refusal(egg(76), 'l3', 'lecithin')).to.contain('So much egg');
    expect(refusal(egg(76), 'l3', 'flax-meal')).to.equal(undefined);
  });
});

describe('every pair that bakers put in each other’s place (handbook, common practice, no source)', () => {
  const pairs: ReadonlyArray<readonly [string, string]> = [
    ['bread-flour', 'whole-wheat'],
    ['whole-wheat', 'fresh-hard-wheat'],
    ['fresh-hard-wheat', 'half-bagged'],
    ['sugar', 'honey'],
    ['honey', 'syrup'],
    ['sugar', 'jaggery'],
    ['sugar', 'erythritol'],
    ['oil', 'butter'],
    ['butter', 'oil'],
    ['oil', 'fruit-puree'],
    ['fruit-puree', 'oil'],
    ['milk', 'milk-powder'],
    ['milk-powder', 'milk'],
    ['water', 'milk'],
    ['milk', 'water'],
    ['milk', 'buttermilk'],
    ['yoghurt', 'milk'],
    ['egg', 'lecithin'],
    ['lecithin', 'egg'],
    ['egg', 'flax-meal'],
    ['flax-meal', 'egg'],
    ['egg', 'egg-yolk'],
    ['egg-white', 'egg'],
    ['instant-yeast', 'fresh-yeast'],
    ['active-dry-yeast', 'osmotolerant-yeast'],
    ['instant-yeast', 'starter'],
    ['vital-gluten', 'stronger-flour'],
    ['bread-flour', 'plain-and-gluten'],
    ['salt', 'coarse-salt'],
    ['oat-fibre', 'wheat-bran'],
    ['oat-bran', 'oat-fibre'],
    ['flax-meal', 'chia-seeds'],
    ['chia-seeds', 'flax-meal'],
  ];
  for (const [from, to] of pairs) {
    it(`${from} to ${to}`, () => {
      const wet: Record<string, number> = {
        'bread-flour': 320,
        'whole-wheat': 365,
        'fresh-hard-wheat': 385,
      };
      const amounts: Record<string, number> = {
        ...(from in wet ? { [from]: 500 } : { 'plain-flour': 500 }),
        water: wet[from] ?? 325,
        salt: 9,
        'instant-yeast': 6,
        ...(from in wet || from === 'water' ? {} : { [from]: 12 }),
      };
      const formula = build(amounts, 'hearth-yeast');
      const made = swap(formula, id(formula, from), to);
      expect(points(takeAll(made))).to.be.closeTo(points(formula), 0.5);
    });
  }
});

describe('all substitutions of the invented household’s formulas', () => {
  const tried = [1, 1 / 2, 1 / 3].flatMap((share) =>
    demoBreads.flatMap(({ formula }) => {
      const judge = (f: Formula) => evaluate(f, defaultHousehold, nothingLearned)!;
      return resolve(formula).flatMap((line) =>
        choicesFor(formula, line.id, defaultHousehold, share)
          .filter((c) => !c.refused)
          .flatMap(({ id: to }) => {
            const made = substitute(formula, line.id, to, defaultHousehold, nothingLearned, share);
            if ('refused' in made) return [];
            const after = judge(takeAll(made));
            const moved = Math.abs(after.level.points - judge(formula).level.points);
            return [{ moved, out: Math.abs(outside(after.level.points, after.window)) }];
          }),
      );
    }),
  );
  const source = 'own choice: a swap is to leave the dough where it was';
  tally('Substitutions', 'of the demo’s formulas: all of a line, a half, a third', tried.length);
  between(
    'Substitutions',
    'that leave the window by more than 2 points',
    source,
    () => tried.filter((t) => t.out > 2).length,
    [0, 0],
  );
  between(
    'Substitutions',
    'largest move of the level with all that follows taken, points',
    source,
    () => Math.max(...tried.map((t) => t.moved)),
    [0, 1],
  );
  between(
    'Substitutions',
    'share that moves it by less than half a point',
    source,
    () => tried.filter((t) => t.moved < 0.5).length / tried.length,
    [0.99, 1],
  );
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
