import { expect } from 'chai';
import fc from 'fast-check';
import { weighingList } from '@tender-crumb/core/hands';
import { evaluate } from '@tender-crumb/core/evaluate';
import {
  gramsOf,
  hydration,
  hundred,
  inSchool,
  otherSchool,
  percentOf,
  resolve,
  scaleTo,
  shares,
  stagesOf,
  takeCorrection,
  totals,
  type Formula,
} from '@tender-crumb/core/formula';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold, percentageSchools, waterSchools } from '@tender-crumb/core/household';
import { build } from '../build.ts';

const sourdough = build({ 'bread-flour': 400, water: 250, milk: 100, salt: 9 }, 'hearth-white', {
  'rye-whole': 100,
  water: 100,
});
const sums = totals(resolve(sourdough))!;

describe('totals', () => {
  it('every school of flour and of water, by hand', () => {
    const milkWater = 88.13;
    expect(sums).to.include({ flourGrams: 500, addedFlourGrams: 400, pouredWaterGrams: 350 });
    expect(sums.effectiveWaterGrams).to.be.closeTo(350 + milkWater, 1e-9);
    const expected = {
      'total poured': 70,
      'added poured': (100 * 250) / 400,
      'total effective': (100 * (350 + milkWater)) / 500,
      'added effective': (100 * (250 + milkWater)) / 400,
    };
    for (const school of percentageSchools) {
      for (const water of waterSchools) {
        expect(hydration(sums, school, water), `${school} ${water}`).to.be.closeTo(
          expected[`${school} ${water}`],
          1e-9,
        );
      }
    }
    expect(sums.prefermentedFlourPercent).to.be.closeTo(20, 1e-9);
    expect(inSchool(sums.saltPercent, sums, 'added')).to.be.closeTo((100 * 9) / 400, 1e-9);
    expect(otherSchool(waterSchools, 'poured')).to.equal('effective');
  });

  it('percent and grams are each other’s inverse in either school (property)', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 5000, noNaN: true }), (grams) => {
        for (const school of percentageSchools) {
          expect(gramsOf(percentOf(grams, sums, school), sums, school)).to.be.closeTo(grams, 1e-9);
        }
      }),
    );
  });

  it('gluten, bran and meal are no flour in a wheat bread, and the base without one', () => {
    const wheat = totals(
      resolve(build({ 'bread-flour': 500, 'vital-gluten': 20, 'flax-meal': 30 })),
    )!;
    expect(wheat).to.include({ flourGrams: 500, dryBase: false });
    const lean = totals(resolve(build({ 'vital-gluten': 160, 'flax-meal': 80, egg: 100 })))!;
    expect(lean).to.include({ flourGrams: 240, dryBase: true });
    expect(hundred(lean, 'added')).to.equal(240);
  });

  it('the baker’s word on what is flour goes before the catalogue’s', () => {
    const formula = build({ 'bread-flour': 400, 'wheat-bran': 100, water: 300 });
    const [stage] = formula.stages;
    const counted: Formula = {
      ...formula,
      stages: [
        {
          ...stage!,
          lines: stage!.lines.map((l) =>
            l.ingredient === 'wheat-bran' ? { ...l, countsAsFlour: true } : l,
          ),
        },
      ],
    };
    expect(totals(resolve(formula))!.flourGrams).to.equal(400);
    expect(totals(resolve(counted))!.flourGrams).to.equal(500);
  });

  it('its shares come to the dough, largest first', () => {
    const all = shares(resolve(sourdough), sums);
    expect(all.reduce((sum, s) => sum + s.grams, 0)).to.be.closeTo(sums.doughGrams, 1e-9);
    expect(all[0]).to.include({ role: 'flour', percent: 100 });
    expect(all.map((s) => s.grams)).to.deep.equal(
      [...all.map((s) => s.grams)].sort((a, b) => b - a),
    );
  });
});

describe('stages that a correction brings in', () => {
  const base = build({ 'bread-flour': 500, water: 320, salt: 9 });
  const sour = takeCorrection(base, {
    correction: 'swap:yeast:starter',
    reason: '',
    basis: '',
    stages: [{ id: 'starter', kind: 'starter', name: 'Starter' }],
    changes: [
      { stage: 'starter', ingredient: 'bread-flour', grams: 50 },
      { stage: 'starter', ingredient: 'water', grams: 50 },
      { stage: 's1', ingredient: 'bread-flour', grams: -50 },
      { stage: 's1', ingredient: 'water', grams: -50 },
    ],
  });

  it('stand before the dough, hold their lines, and are weighed as one thing', () => {
    expect(stagesOf(sour).map((s) => s.name)).to.deep.equal(['Starter', 'Dough']);
    expect(stagesOf(base)).to.have.length(1);
    const lines = resolve(sour);
    expect(lines.filter((l) => l.stageKind === 'starter').map((l) => l.grams)).to.deep.equal([
      50, 50,
    ]);
    const items = weighingList(sour, 'liquids-first').flatMap((s) => s.items);
    expect(items.filter((i) => i.ingredient === 'starter').map((i) => i.grams)).to.deep.equal([
      100,
    ]);
  });

  it('scale with the rest', () => {
    const double = scaleTo(sour, 'flour', 1000)!;
    expect(totals(resolve(double))!.prefermentedFlourPercent).to.be.closeTo(10, 1e-9);
    const level = (f: Formula) => evaluate(f, defaultHousehold, nothingLearned)!.level.points;
    expect(level(double)).to.be.closeTo(level(sour), 1e-9);
  });

  it('what a correction takes reaches over all lines of the thing, and what it adds goes to the first', () => {
    const [stage] = base.stages;
    const more = { id: 'l9', ingredient: 'water', grams: 30, measured: 'scale' as const };
    const twice: Formula = { ...base, stages: [{ ...stage!, lines: [...stage!.lines, more] }] };
    const water = (grams: number) =>
      resolve(
        takeCorrection(twice, {
          correction: 'w',
          reason: '',
          basis: '',
          changes: [{ stage: 's1', ingredient: 'water', grams }],
        }),
      )
        .filter((l) => l.ingredient === 'water')
        .map((l) => l.grams);
    expect(water(-330)).to.deep.equal([0, 20]);
    expect(water(-900)).to.deep.equal([0, 0]);
    expect(water(-100)).to.deep.equal([220, 30]);
    expect(water(40)).to.deep.equal([360, 30]);
  });

  it('what a correction brings in stands next to what gave way to it', () => {
    const swapped = takeCorrection(base, {
      correction: 'swap',
      reason: '',
      basis: '',
      changes: [
        { stage: 's1', ingredient: 'whole-wheat', grams: 500 },
        { stage: 's1', ingredient: 'bread-flour', grams: -500 },
      ],
    });
    expect(resolve(swapped).map((l) => l.ingredient)).to.deep.equal([
      'bread-flour',
      'whole-wheat',
      'water',
      'salt',
    ]);
  });
});
