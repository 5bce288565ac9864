import { expect } from 'chai';
import { parametersOf, doughModel } from '@tender-crumb/core/dough';
import { resolve } from '@tender-crumb/core/formula';
import { coefficientFor, nothingLearned, type Belief, kitchenOf } from '@tender-crumb/core/belief';
import { coefficients } from '@tender-crumb/core/coefficients';
import { defaultHousehold, type Household } from '@tender-crumb/core/household';
import {
  learnFromBake,
  feltBand,
  learnedFigures,
  learnedKinds,
  learnedName,
  learnedWindows,
  lessonOf,
  bookKey,
} from '@tender-crumb/core/learn';
import { build } from '../build.ts';

const household: Household = {
  ...defaultHousehold,
  bags: [{ id: 'blue', name: 'Blue sack', ingredient: 'bread-flour' }],
  pans: [{ id: 'tin', kind: 'tin', name: 'Long tin', millilitres: 1800 }],
  friction: { mixer: 6 },
};
const belief: Belief = {
  ...nothingLearned,
  keys: ['thirst:bag:blue', 'touch', 'departure:weir'],
  mean: [-0.02, 0.8, -1.2],
  covariance: [
    [0.0001, 0, 0],
    [0, 0.25, 0],
    [0, 0, 1],
  ],
  bakes: { 'thirst:bag:blue': 4, touch: 4, 'departure:weir': 2 },
  paces: { 'pace:bag:blue': { mean: Math.log(0.8), sd: 0.05, rises: 3 } },
  measured: {
    oven: { mean: 0.1, sd: 0.02, bakes: 5 },
    'loss:pan:tin': { mean: 0.13, sd: 0.01, bakes: 2 },
  },
  windows: { 'departure:weir': Array.from({ length: 6 }, () => ({ points: 8, stars: 5 })) },
};
const breads = new Map([['weir', 'Weir loaf']]);

describe('what the book has learned, as it is read', () => {
  it('each figure in its own unit, beside the table, the bakes behind it', () => {
    const rows = learnedFigures(household, belief, breads).map(
      (r) => `${r.says}: ${r.text(r.now.value)} (${r.text(r.table.value)}), ${r.bakes}`,
    );
    const s = '\u202f';
    expect(rows).to.deep.equal([
      `Blue sack absorbs: 60.0${s}% (62.0${s}%), 4`,
      'your touch calls doughs looser by: +0.8 points (0.0 points), 4',
      'Weir loaf comes out looser by: −1.2 points (0.0 points), 2',
      'Blue sack works at: 0.80 × (1.00 ×), 3',
      'bread is in the oven for, beside the usual minutes: 1.11 × (1.00 ×), 5',
      `Long tin loses: 13.0${s}% (12.0${s}%), 2`,
      `kneading (mixer, then hand) warms a dough by: 5.6${s}°C (4.0${s}°C), 0`,
    ]);
  });

  it('what rounds to nothing is neither more nor less', () => {
    const text = (share: number) => learnedKinds.fill.text(share);
    const s = '\u202f';
    expect([-0.0006, -0.0004, 0, 0.0004, 0.0006].map(text)).to.deep.equal([
      `−0.1${s}%`,
      `0.0${s}%`,
      `0.0${s}%`,
      `0.0${s}%`,
      `+0.1${s}%`,
    ]);
  });

  it('nothing of what no bake stands behind', () => {
    expect(learnedFigures(defaultHousehold, nothingLearned)).to.deep.equal([]);
    expect(learnedWindows(defaultHousehold, nothingLearned, new Map())).to.deep.equal([]);
  });

  it('windows that loaves have moved, beside the style’s', () => {
    const [own] = learnedWindows(household, belief, new Map([['weir', 'pan']]));
    expect(own).to.include({ bread: 'weir', looks: 6 });
    expect(own!.style).to.deep.equal([-3, 5]);
    expect(own!.own[1]).to.be.greaterThan(6);
    // Of a formula that is gone nothing is said.
    expect(learnedWindows(household, belief, new Map())).to.deep.equal([]);
  });

  it('every key that a dough is learned by has a kind that names it', () => {
    const cups = build(
      { 'bread-flour': 500, water: 320, oil: 20, sugar: 20, salt: 9 },
      'pan',
      undefined,
      {
        measured: 'volume',
      },
    );
    const damp = { ...household, room: { celsius: 20, humidity: 0.8 } };
    const kitchen = kitchenOf(damp);
    const learned = parametersOf(doughModel(resolve(cups), kitchen).forms, kitchen).filter(
      (p) => p.learned,
    );
    expect(learned.length).to.be.greaterThan(6);
    for (const { key } of learned) {
      const kind = bookKey(key, 'weir').split(':')[0]!;
      expect(Object.keys(learnedKinds), key).to.include(kind);
      expect(learnedName(bookKey(key, 'weir'), damp, breads).says, key).to.not.equal(key);
    }
  });

  it('a bag, a pan or a bread that is gone is said to be', () => {
    expect(learnedName('thirst:bag:lost', household).says).to.equal('a bag that is gone absorbs');
    expect(learnedName('loss:pan:lost', household).says).to.equal('a pan that is gone loses');
    expect(learnedName('departure:lost', household, breads).says).to.equal(
      'this bread comes out looser by',
    );
  });

  it('a lesson of the first versions is read as today’s', () => {
    const old = {
      taught: [
        {
          key: 'thirst:rye-whole',
          before: { thirst: 0.78, sd: 0.05 },
          after: { thirst: 0.8, sd: 0.04 },
        },
      ],
    };
    expect(lessonOf(old).taught[0]!.after).to.deep.equal({ value: 0.8, sd: 0.04 });
    const today = {
      taught: [{ key: 'touch', before: { value: 0, sd: 1 }, after: { value: 0.4, sd: 0.9 } }],
    };
    expect(lessonOf(today).taught[0]).to.deep.equal(today.taught[0]);
  });

  it('where a finger finds a dough is wider than where it stands', () => {
    const { low, high } = feltBand({ points: 1, low: -1, high: 3 }, 1.5);
    expect(high - 1).to.be.closeTo(Math.hypot(2, 1.2816 * 1.5), 1e-3);
    expect(low + high).to.be.closeTo(2, 1e-9);
  });
});

describe('the table behind a learned key', () => {
  it('what a bake taught is told in the same unit as what is learned', () => {
    const rich = build({ 'bread-flour': 500, water: 300, butter: 60, sugar: 40, salt: 9 });
    const { lesson } = learnFromBake(
      rich,
      [{ id: 'f', at: '2026-05-01T08:00:00Z', kind: 'felt', data: { points: 4 } }],
      defaultHousehold,
      nothingLearned,
    )!;
    const taught = lesson.taught.find((t) => t.key === 'softening')!;
    expect(taught.before.value).to.equal(coefficients.softening.value);
    expect(taught.after.value).to.be.within(0.2, 0.45);
    expect(coefficientFor('fill:bread-flour', coefficients)).to.equal(coefficients.fillByFlour);
    expect(coefficientFor('departure:weir', coefficients)).to.equal(coefficients.departure);
    expect(coefficientFor('thirst:bread-flour', coefficients)).to.equal(undefined);
  });
});
