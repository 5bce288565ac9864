import { expect } from 'chai';
import type { Formula } from '@tender-crumb/core/formula';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import {
  likelihood,
  ranked,
  rescueDough,
  rescueOver,
  rescueRise,
  type GoneOver,
  type NoRise,
} from '@tender-crumb/core/rescue';
import { breadOf } from '@tender-crumb/core/schedule';
import { build } from '../build.ts';

const about = { measured: 'about' as const };
const loaf = build(
  { 'bread-flour': 500, water: 310, salt: 9, 'instant-yeast': 7 },
  'pan',
  undefined,
  about,
);
const exact = build({ 'bread-flour': 500, water: 310, salt: 9, 'instant-yeast': 7 });
const whole = build(
  { 'fresh-hard-wheat': 450, water: 380, salt: 8, 'instant-yeast': 6 },
  'wholegrain-pan',
  undefined,
  about,
);
const lowCarb = build(
  {
    'vital-gluten': 165,
    'oat-fibre': 50,
    'flax-meal': 80,
    water: 300,
    egg: 100,
    'instant-yeast': 7,
  },
  'low-carb',
  undefined,
  about,
);
const bread = (formula: Formula) =>
  breadOf({ id: 'rescue', formula }, defaultHousehold, nothingLearned);
const feel = (felt: number, formula: Formula = loaf, rested = true) =>
  rescueDough(formula, felt, rested, defaultHousehold)!;

describe('a dough that feels wrong', () => {
  it('too wet takes a spoon of its flour, too dry a spoon of warm water, right is left alone', () => {
    expect(feel(12).advice).to.include({ action: 'add', ingredient: 'bread-flour', grams: 8 });
    expect(feel(-9).advice).to.include({ action: 'add', ingredient: 'water', grams: 15 });
    expect(feel(1).advice.action).to.equal('leave');
    expect(feel(1).causes).to.deep.equal([]);
  });

  it('in a low-carb dough it is fibre, not flour (handbook section 11)', () => {
    expect(feel(20, lowCarb).advice.ingredient).to.equal('oat-fibre');
  });

  it('slow flour that has just been mixed is waited for before anything goes in', () => {
    expect(feel(12, whole, false).wait).to.match(/Wait 25 minutes/);
    expect(feel(12, whole, true).wait).to.match(/After each spoon/);
    // What it still drinks is taken off the feel.
    expect(feel(9, whole, false).advice.totalGrams ?? 0).to.be.below(
      feel(9, whole, true).advice.totalGrams ?? 0,
    );
  });

  it('causes make up the whole, point the right way, and a far departure is a lost count', () => {
    const wet = feel(14);
    expect(wet.causes.reduce((sum, c) => sum + c.share, 0)).to.be.closeTo(1, 1e-9);
    expect(wet.causes.map((c) => c.says).join(' ')).to.match(/Less strong bread flour|More water/);
    expect(
      feel(-14)
        .causes.map((c) => c.says)
        .join(' '),
    ).to.match(/More strong bread flour|Less water/);
    const count = (felt: number) =>
      feel(felt, exact)
        .causes.filter((c) => c.id.startsWith('count:'))
        .reduce((sum, c) => sum + c.share, 0);
    expect(count(22)).to.be.above(0.9);
    expect(count(8)).to.be.below(count(22));
  });

  it('weighed amounts leave less to the weighing than handfuls do', () => {
    const share = (formula: Formula) =>
      feel(6, formula)
        .causes.filter((c) => c.id.startsWith('line:'))
        .reduce((sum, c) => sum + c.share, 0);
    expect(share(exact)).to.be.below(share(loaf));
    expect(feel(6, exact).expected.sd).to.be.below(feel(6, loaf).expected.sd);
  });

  it('without flour nothing can be told', () => {
    expect(rescueDough(build({ water: 300, salt: 5 }), 4, true, defaultHousehold)).to.equal(
      undefined,
    );
  });
});

describe('a rise that does not come', () => {
  const seen = (edit: Partial<NoRise> = {}): NoRise => ({
    hours: 1,
    water: 'lukewarm',
    leaven: 'fresh',
    ...edit,
  });
  const first = (edit: Partial<NoRise>, formula: Formula = exact) =>
    rescueRise(bread(formula), seen(edit)).causes[0]!.id;
  const share = (id: string, edit: Partial<NoRise>) =>
    rescueRise(bread(exact), seen(edit)).causes.find((c) => c.id === id)?.share ?? 0;

  it('soon after mixing it is too early; hours later it is dead, scalded or forgotten', () => {
    expect(first({ hours: 0.3 })).to.equal('early');
    expect(first({ hours: 8 })).to.be.oneOf(['dead', 'scalded', 'forgotten']);
    expect(share('early', { hours: 0.3 })).to.be.above(share('early', { hours: 2 }));
  });

  it('hot water and an old packet weigh more the longer nothing moves', () => {
    expect(first({ hours: 4, water: 'hot' })).to.equal('scalded');
    expect(first({ hours: 4, leaven: 'old' })).to.equal('dead');
    expect(share('scalded', { hours: 4, water: 'cold' })).to.equal(0);
  });

  it('in the cold it is too early for longer', () => {
    expect(share('early', { hours: 1, celsius: 12 })).to.be.above(
      share('early', { hours: 1, celsius: 28 }),
    );
  });

  it('waits first where it may still live, acts first where it hardly does', () => {
    expect(rescueRise(bread(exact), seen({ hours: 0.5 })).now[0]).to.match(/somewhere warm/);
    expect(rescueRise(bread(exact), seen({ hours: 0.5 })).now[2]).to.match(/^If nothing .*, dis/);
    expect(rescueRise(bread(exact), seen({ hours: 9 })).now[0]).to.match(
      /^Dissolve a fresh packet/,
    );
    const sour = build({ 'bread-flour': 450, water: 300, salt: 9 }, 'hearth-white', {
      'bread-flour': 50,
      water: 50,
    });
    const late = rescueRise(bread(sour), seen({ hours: 30, leaven: 'old' })).now;
    expect(late[0]).to.match(/^Knead in a level teaspoon/);
  });

  it('a sourdough takes its hours, and no yeast at all is said so', () => {
    const sour = build({ 'bread-flour': 450, water: 300, salt: 9 }, 'hearth-white', {
      'bread-flour': 50,
      water: 50,
    });
    const rescued = rescueRise(bread(sour), seen({ hours: 2 }));
    expect(rescued.causes[0]!.id).to.equal('early');
    expect(rescued.expected!.low).to.be.above(2);
    const none = rescueRise(bread(build({ 'bread-flour': 500, water: 310 })), seen());
    expect(none.causes).to.deep.equal([
      { id: 'forgotten', says: 'No yeast and no starter went in.', share: 1 },
    ]);
  });
});

describe('a dough that has gone too far (common practice, no source)', () => {
  const over = (edit: Partial<GoneOver> = {}) =>
    rescueOver({ where: 'bowl', leaven: 'yeast', looks: 'puffy', smells: 'mild', ...edit }).map(
      (s) => s.id,
    );

  it('shaped and still standing is baked now; in its bowl with yeast it is knocked back', () => {
    expect(over({ where: 'shaped' })[0]).to.equal('bake-now');
    expect(over()[0]).to.equal('knock-back');
    expect(over({ leaven: 'starter' })[0]).to.equal('fold-cold');
    expect(over({ leaven: 'starter', looks: 'fallen' })[0]).to.equal('tin');
  });

  it('liquid or sharp it is flat bread and crackers; and always there is something', () => {
    expect(over({ looks: 'liquid' })).to.include.members(['flat', 'crackers']);
    expect(over({ smells: 'sharp' })).not.to.include('old-dough');
    for (const where of ['bowl', 'shaped'] as const)
      for (const leaven of ['yeast', 'starter'] as const)
        for (const looks of ['puffy', 'fallen', 'liquid'] as const)
          for (const smells of ['mild', 'of beer', 'sharp'] as const)
            expect(over({ where, leaven, looks, smells }).length).to.be.at.least(1);
  });
});

describe('causes beside each other', () => {
  it('are said in a word, from their share on', () => {
    const said = [0.7, 0.69, 0.35, 0.34, 0.15, 0.14, 0];
    expect(said.map(likelihood)).to.deep.equal([
      'most likely',
      'likely',
      'likely',
      'perhaps',
      'perhaps',
      'hardly',
      'hardly',
    ]);
  });
  it('one in twenty-five is named, less is not', () => {
    const of = (weight: number) =>
      ranked([
        { id: 'a', says: '', weight: 1 - weight },
        { id: 'b', says: '', weight },
      ]).length;
    expect([of(0.041), of(0.039)]).to.deep.equal([2, 1]);
  });

  it('the likeliest first, the hardly likely left out, the whole made up by the rest', () => {
    const causes = ranked([
      { id: 'a', says: '', weight: 1 },
      { id: 'b', says: '', weight: 3 },
      { id: 'c', says: '', weight: 0.1 },
    ]);
    expect(causes.map((c) => c.id)).to.deep.equal(['b', 'a']);
    expect(causes[0]!.share).to.be.closeTo(0.75, 1e-9);
    expect(ranked([])).to.deep.equal([]);
  });
});
