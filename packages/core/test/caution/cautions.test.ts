import { expect } from 'chai';
import { cautionTable, defaultHousehold, type Household } from '../core.ts';
import { build, judge } from '../build.ts';

type Dough = Record<string, number>;
const wheat: Dough = { 'bread-flour': 500, water: 310, salt: 9 };

/** Each caution with a dough that calls for it, and one that does not. */
const cases: ReadonlyArray<
  readonly [id: string, calls: Dough, not: Dough, over?: Partial<Household>]
> = [
  ['gluten', wheat, { 'rice-flour': 500, water: 400 }],
  [
    'gluten-in-gluten-free-house',
    { 'spelt-white': 500, water: 280 },
    { 'rice-flour': 500, water: 400 },
    { glutenFree: true },
  ],
  ['shared-mill', { 'buckwheat-flour': 500, water: 400 }, wheat, { glutenFree: true }],
  ['perishable', { ...wheat, milk: 50 }, { ...wheat, 'milk-powder': 10 }],
  ['perishable-hot', { ...wheat, egg: 50 }, wheat, { room: { celsius: 34 } }],
  ['egg-rich', { ...wheat, egg: 50 }, wheat],
  ['honey-infants', { ...wheat, honey: 10 }, { ...wheat, sugar: 10 }],
  ['xylitol-dogs', { ...wheat, xylitol: 10 }, { ...wheat, erythritol: 10 }],
  ['raisins-dogs', { ...wheat, raisins: 60 }, wheat],
  ['polyols', { ...wheat, erythritol: 20 }, wheat],
  ['carbohydrate-estimate', { 'vital-gluten': 160, 'oat-fibre': 50, water: 240 }, wheat],
  ['rubbery-gluten', { ...wheat, 'vital-gluten': 40 }, { ...wheat, 'vital-gluten': 10 }],
  [
    'needless-gluten',
    { 'bread-flour': 500, 'vital-gluten': 10, water: 320 },
    { 'plain-flour': 500, 'vital-gluten': 10, water: 300 },
  ],
  ['no-gluten-grains', { 'rye-whole': 500, water: 400 }, wheat],
  ['soft-wheat', { 'spelt-whole': 500, water: 330 }, wheat],
  ['machine-too-loose', { 'bread-flour': 500, water: 370 }, wheat],
];

describe('each caution', () => {
  const ids = (dough: Dough, over: Partial<Household> = {}) =>
    judge(build(dough), { ...defaultHousehold, ...over }).cautions.map((c) => c.id);
  for (const [id, calls, not, over] of cases) {
    it(`${id} stands where it belongs and nowhere else`, () => {
      expect(ids(calls, over)).to.include(id);
      expect(ids(not, over)).not.to.include(id);
    });
  }

  it('of the table is one of these, or stands always', () => {
    const known = new Set([...cases.map(([id]) => id), 'raw-flour']);
    expect(cautionTable.map((row) => row.id).filter((id) => !known.has(id))).to.deep.equal([]);
    expect(ids(wheat)).to.include('raw-flour');
  });
});
