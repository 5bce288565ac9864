import { expect } from 'chai';
import {
  answerLeaven,
  answerRise,
  leavenChange,
  starterShare,
  risesOf,
  riseUntil,
  type RiseAsked,
  type Standing,
} from '@tender-crumb/core/ferment';
import { resolve, setGrams } from '@tender-crumb/core/formula';
import { bakeState, breadMade } from '@tender-crumb/core/bake';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { hoursText } from '@tender-crumb/core/quantity';
import { build } from '../build.ts';

const standing: Standing = { celsius: 25, air: [{ hours: 1, celsius: 24 }], vessel: 'bowl' };
const changeOf = (formula: ReturnType<typeof build>, hours: number) => {
  const lines = resolve(formula);
  return leavenChange(lines, risesOf(lines, standing, 'tin')[0]!, hours);
};
const firstTakes = (formula: ReturnType<typeof build>): number => {
  const [first] = risesOf(resolve(formula), standing, 'tin');
  return riseUntil(first!.dough, first!.end).hours!;
};

describe('leaven of a formula for a time', () => {
  it('yeast in its own kind: with those grams the first rise takes that time', () => {
    for (const yeast of ['instant-yeast', 'fresh-yeast', 'active-dry-yeast']) {
      const loaf = build({ 'bread-flour': 500, water: 320, salt: 10, [yeast]: 6 });
      const change = changeOf(loaf, 3);
      if ('why' in change) throw new Error(change.why);
      expect(change.now).to.equal(6);
      expect(change.low).to.be.below(change.grams);
      expect(change.high).to.be.above(change.grams);
      expect(change.changes[0]!.grams).to.be.closeTo(change.grams - 6, 1e-9);
      const line = resolve(loaf).find((l) => l.ingredient === yeast)!;
      expect(firstTakes(setGrams(loaf, line.id, change.grams)), yeast).to.be.closeTo(3, 0.1);
    }
  });

  it('what another yeast brings is counted: the line makes up the rest', () => {
    const two = build({
      'bread-flour': 500,
      water: 320,
      salt: 10,
      'instant-yeast': 3,
      'fresh-yeast': 2,
    });
    const change = changeOf(two, 2.5);
    if ('why' in change) throw new Error(change.why);
    const line = resolve(two).find((l) => l.ingredient === 'instant-yeast')!;
    expect(firstTakes(setGrams(two, line.id, change.grams))).to.be.closeTo(2.5, 0.1);
  });

  it('a starter by all that it weighs; its flour and water come out of the dough’s or go back there', () => {
    const sour = (grams: number) =>
      build({ 'bread-flour': 500 - grams / 2, water: 350 - grams / 2, salt: 10 }, 'hearth-white', {
        'bread-flour': grams / 2,
        water: grams / 2,
      });
    const change = changeOf(sour(100), 7);
    if ('why' in change) throw new Error(change.why);
    expect(change).to.deep.include({ ingredient: 'starter', now: 100 });
    expect(firstTakes(sour(change.grams))).to.be.closeTo(7, 0.25);
    // Half as heavy, its flour and water are in the dough: nothing is lost between them.
    const moved = new Map(change.changes.map((c) => [`${c.stage} ${c.ingredient}`, c.grams]));
    const by = (change.grams - 100) / 2;
    expect(moved.get('s0 bread-flour')).to.be.closeTo(by, 0.05);
    expect(moved.get('s1 bread-flour')).to.be.closeTo(-by, 0.05);
    expect(change.changes.reduce((sum, c) => sum + c.grams, 0)).to.be.closeTo(0, 1e-9);
  });

  it('a dough that has not the water to give keeps its starter', () => {
    const lines = (water: number) =>
      resolve(
        build({ 'bread-flour': 400, water, salt: 8 }, 'hearth-white', {
          'bread-flour': 50,
          water: 50,
        }),
      );
    expect(starterShare(lines(50), 2)).to.have.length(4);
    expect(starterShare(lines(49.9), 2)).to.equal(undefined);
  });

  it('rye of the starter goes back to rye, and to the chief flour where there is none', () => {
    const lines = (dough: Record<string, number>) =>
      resolve(build({ ...dough, water: 300, salt: 8 }, 'rye', { 'rye-whole': 50, water: 50 }));
    const to = (dough: Record<string, number>) =>
      starterShare(lines(dough), 0.5)!.find((c) => c.stage === 's1' && c.ingredient !== 'water');
    expect(to({ 'bread-flour': 300, 'rye-whole': 100 })?.ingredient).to.equal('rye-whole');
    expect(to({ 'bread-flour': 300, 'whole-wheat': 100 })?.ingredient).to.equal('bread-flour');
  });

  it('says what is nearest where the time cannot be had', () => {
    const loaf = build({ 'bread-flour': 500, water: 320, salt: 10, 'instant-yeast': 5 });
    const soon = changeOf(loaf, 0.2);
    expect(soon).to.include({ why: 'too-soon' });
    if (!('why' in soon)) throw new Error('nothing is that quick');
    expect(soon.hours).to.be.above(0.2);
    expect(soon.grams).to.be.closeTo(25, 1e-9);
  });
});

describe('questions of the rise', () => {
  const asked: RiseAsked = {
    leavens: [{ kind: 'fresh' }],
    saltPercent: 2,
    sugarPercent: 0,
    fatPercent: 0,
    waterPercent: 62,
    wholeShare: 0,
    doughC: 25,
    air: [{ hours: 1, celsius: 25 }],
    vessel: 'bowl',
    kilograms: 0.85,
    until: { volume: 2 },
  };
  it('leaven in the kind that was asked for, there and back', () => {
    const fresh = answerLeaven(asked, 3);
    if ('refused' in fresh || !fresh.percent) throw new Error('it can be had');
    const instant = answerLeaven({ ...asked, leavens: [{ kind: 'instant' }] }, 3);
    if ('refused' in instant || !instant.percent) throw new Error('it can be had');
    expect(fresh.percent.middle).to.be.closeTo(3 * instant.percent.middle, 1e-9);
    const back = answerRise({
      ...asked,
      leavens: [{ kind: 'fresh', percent: fresh.percent.middle }],
    });
    expect(back.hours!.middle).to.be.closeTo(3, 0.01);
  });

  it('a final proof of whole grain ends sooner than white, at filled out and not at doubled', () => {
    const of = (flour: string) =>
      risesOf(
        resolve(build({ [flour]: 500, water: 350, salt: 10, 'instant-yeast': 5 })),
        standing,
        'tin',
      )[1]!.end;
    expect(of('bread-flour')).to.deep.equal({ volume: 2.1 });
    expect(of('whole-wheat')).to.deep.equal({ volume: 2.1 - 0.35 });
  });

  it('what was measured goes before what the kitchen is, and that before what is usual', () => {
    const formula = build({ 'bread-flour': 500, water: 320, 'instant-yeast': 5 });
    const lines = resolve(formula);
    const stands = (of: object, room: object) => {
      const state = { ...bakeState([]), ...of };
      const bake = { formula, lines, state, household: { ...defaultHousehold, room } };
      const made = breadMade(bake, nothingLearned);
      return [made.dough, made.room];
    };
    const measured = { warmth: { dough: 27, air: 30 } };
    const wished = { wished: { dough: 24, air: 18 } };
    expect(stands({ ...measured, ...wished }, { celsius: 19 })).to.deep.equal([27, 30]);
    expect(stands(wished, { celsius: 19 })).to.deep.equal([24, 18]);
    expect(stands({}, { celsius: 19 })).to.deep.equal([25, 19]);
    expect(stands({}, {})).to.deep.equal([25, 22]);
  });
});

describe('hours in words', () => {
  for (const [hours, text] of [
    [0, '0 min'],
    [0.2, '12 min'],
    [0.33, '20 min'],
    [0.35, '20 min'],
    [0.99, '1 h'],
    [1.29, '1 h 15 min'],
    [1.3, '1 h 20 min'],
    [5.99, '6 h'],
    [6.1, '6 h'],
    [6.13, '6 h 15 min'],
    [26, '26 h'],
  ] as const) {
    it(`${hours} h`, () => expect(hoursText(hours)).to.equal(text));
  }
});
