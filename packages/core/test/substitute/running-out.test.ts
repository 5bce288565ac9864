import { expect } from 'chai';
import { bakeState, usedFromBags, type BakeEvent } from '@tender-crumb/core/bake';
import { evaluate } from '@tender-crumb/core/evaluate';
import { resolve } from '@tender-crumb/core/formula';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold, pantryIn, type Household } from '@tender-crumb/core/household';
import { bagLeft, type Bag } from '@tender-crumb/core/ingredient';
import { makeUpFor, runningOut } from '@tender-crumb/core/substitute';
import { build } from '../build.ts';

const bag = (id: string, ingredient: string, hasLeft?: number, protein?: number): Bag => ({
  id,
  name: `The ${id} bag`,
  ingredient,
  ...(hasLeft === undefined ? {} : { hasLeft }),
  ...(protein === undefined ? {} : { protein }),
});
const household = (...bags: Bag[]): Household => ({ ...defaultHousehold, bags });
const loaf = build(
  { 'bread-flour': 500, water: 320, salt: 9, 'instant-yeast': 6 },
  'pan',
  undefined,
  { bag: 'blue' },
);
const out = (here: Household) => runningOut(resolve(loaf, pantryIn(here)), here.bags);
const points = (formula: typeof loaf, here: Household) =>
  evaluate(formula, here, nothingLearned)!.level.points;

describe('what a bag has left', () => {
  const left = { grams: 1000, at: '2026-11-02T08:00:00Z' };
  it('is what was said, less what bakes took since; never below nothing', () => {
    const took = (grams: number, at: string) => ({ grams, at });
    expect(bagLeft({ left }, [])).to.equal(1000);
    expect(bagLeft({ left }, [took(400, '2026-11-02T09:00:00Z')])).to.equal(600);
    expect(bagLeft({ left }, [took(400, '2026-11-02T08:00:00Z')])).to.equal(1000);
    expect(bagLeft({ left }, [took(400, '2026-11-02T10:00:00+02:00')])).to.equal(1000);
    expect(
      bagLeft({ left }, [took(700, '2026-11-03T08:00:00Z'), took(700, '2026-11-04T08:00:00Z')]),
    ).to.equal(0);
    expect(bagLeft({}, [])).to.equal(undefined);
  });

  it('a bake takes what was weighed, and what was spooned in at the check', () => {
    const events = [
      {
        id: 'w',
        at: '2026-11-02T08:00:00Z',
        kind: 'weighed',
        data: { item: 'l1', grams: 520, byScale: true },
      },
      {
        id: 'a',
        at: '2026-11-02T08:10:00Z',
        kind: 'added',
        data: { ingredient: 'bread-flour', grams: 9 },
      },
    ] as BakeEvent[];
    const here = household(bag('blue', 'bread-flour'));
    expect([...usedFromBags(loaf, bakeState(events), pantryIn(here))]).to.deep.equal([
      ['blue', 529],
    ]);
    expect([...usedFromBags(loaf, bakeState([]), pantryIn(here))]).to.deep.equal([['blue', 500]]);
  });
});

describe('a bag that runs out', () => {
  it('is told past a couple of grams, and only where somebody said what was in it', () => {
    expect(out(household(bag('blue', 'bread-flour')))).to.deep.equal([]);
    expect(out(household(bag('blue', 'bread-flour', 498)))).to.deep.equal([]);
    expect(out(household(bag('blue', 'bread-flour', 497)))[0]).to.include({
      wants: 500,
      left: 497,
    });
  });

  it('is made up for from another bag of the same first: the line is parted between them', () => {
    const here = household(
      bag('blue', 'bread-flour', 300),
      bag('plain', 'plain-flour', 5000),
      bag('red', 'bread-flour', 900),
    );
    const [first] = makeUpFor(loaf, out(here)[0]!, here, nothingLearned);
    expect(first!.from.id).to.equal('red');
    const lines = resolve(first!.formula, pantryIn(here)).filter((l) => l.of.role === 'flour');
    expect(lines.map((l) => [l.bag, l.grams])).to.deep.equal([
      ['blue', 300],
      ['red', 200],
    ]);
    expect(runningOut(resolve(first!.formula, pantryIn(here)), here.bags)).to.deep.equal([]);
  });

  it('else from the flour most like it, with the water that keeps the dough, from its own bag', () => {
    const here = household(
      bag('blue', 'bread-flour', 300),
      bag('whole', 'whole-wheat', 5000, 13),
      bag('plain', 'plain-flour', 5000, 10.5),
      bag('rice', 'rice-flour', 5000),
      bag('little', 'very-strong-flour', 100),
    );
    const found = makeUpFor(loaf, out(here)[0]!, here, nothingLearned);
    expect(found.map((f) => f.from.id)).to.deep.equal(['plain', 'whole']);
    for (const { formula, from, grams } of found) {
      expect(grams).to.equal(200);
      expect(points(formula, here)).to.be.closeTo(points(loaf, here), 0.4);
      const line = resolve(formula, pantryIn(here)).find((l) => l.ingredient === from.ingredient)!;
      expect(line).to.include({ bag: from.id, grams: 200 });
      expect(line.of.bag?.id).to.equal(from.id);
    }
  });

  it('offers nothing where no other bag could', () => {
    const here = household(
      bag('blue', 'bread-flour', 300),
      { ...bag('old', 'bread-flour', 900), finished: true },
      { ...bag('yeast', 'instant-yeast'), kind: 'yeast' },
    );
    expect(makeUpFor(loaf, out(here)[0]!, here, nothingLearned)).to.deep.equal([]);
  });
});
