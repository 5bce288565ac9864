import { expect } from 'chai';
import { asAlways, householdOn, kitchenNow } from '@tender-crumb/core/bake';
import { completeFormula } from '@tender-crumb/core/exchange';
import { type Belief } from '@tender-crumb/core/belief';
import { defaultHousehold, type Household } from '@tender-crumb/core/household';
import type { Bag } from '@tender-crumb/core/ingredient';
import { learnBook, type BookBake } from '@tender-crumb/core/learn';

const bag: Bag = {
  id: 'blue',
  name: 'Blue sack',
  ingredient: 'bread-flour',
  openedOn: '2026-03-01',
  moisture: 13,
};
const other: Bag = { id: 'jar', name: 'Rye, jar', ingredient: 'rye-whole' };
const then: Household = {
  ...defaultHousehold,
  room: { celsius: 19, humidity: 0.7 },
  bags: [bag, other],
};
const formula = completeFormula({
  stages: [
    {
      lines: [
        { ingredient: 'bread-flour', grams: 400, bag: 'blue', measured: 'spooned' },
        { ingredient: 'rye-whole', grams: 60, bag: 'jar' },
        { ingredient: 'fresh-hard-wheat', grams: 40 },
        { ingredient: 'water', grams: 320 },
        { ingredient: 'honey', grams: 20 },
      ],
    },
  ],
});
const bakes = [-6, -4, 2, -5].map((points, i): BookBake => ({
  id: `b${i}`,
  formula,
  events: [
    { id: 'f', at: `2026-05-0${i + 1}T08:00:00Z`, kind: 'felt', data: { points, rested: true } },
  ],
  circumstances: { day: `2026-05-0${i + 1}`, kitchen: kitchenNow(then, formula) },
}));

function learned(household: Household, book = bakes): Belief {
  const fold = learnBook(book, household);
  let step = fold.next();
  while (!step.done) step = fold.next();
  return step.value.belief;
}

/** Largest difference between two beliefs, in any of their figures. */
function apart(one: Belief, two: Belief): number {
  expect(two.keys).to.deep.equal(one.keys);
  const flat = ({ mean, covariance }: Belief) => [...mean, ...covariance.flat()];
  const others = flat(two);
  return Math.max(...flat(one).map((x, i) => Math.abs(x - others[i]!)));
}

describe('a bake keeps its circumstances', () => {
  const before = learned(then);

  it('its kitchen, its bags as they then were, and nothing that is mended for all times', () => {
    const kitchen = kitchenNow({ ...then, bags: [...then.bags, { ...bag, id: 'x' }] }, formula);
    expect(Object.keys(kitchen.bags)).to.deep.equal(['blue', 'jar']);
    expect(kitchen.bags['blue']).to.deep.equal({ openedOn: '2026-03-01', moisture: 13 });
    const now: Household = {
      ...defaultHousehold,
      glutenFree: true,
      bags: [{ ...bag, moisture: 9, protein: 14, name: 'Renamed' }],
    };
    const was = householdOn(now, { kitchen, day: '2026-05-01' });
    expect(was.room).to.deep.equal(then.room);
    expect(was.today).to.equal('2026-05-01');
    expect(was.glutenFree).to.equal(true);
    expect(was.bags).to.deep.equal([{ ...bag, protein: 14, name: 'Renamed' }]);
  });

  it('a moisture that was not known then is not known of that day now', () => {
    const unknown = kitchenNow({ ...then, bags: [other] }, formula);
    const now = { ...then, bags: [{ ...other, moisture: 11, openedOn: '2026-06-01' }] };
    expect(householdOn(now, { kitchen: unknown, day: '2026-05-01' }).bags).to.deep.equal([other]);
  });

  it('however the kitchen changes afterwards, the book teaches the same', () => {
    const later: Household = {
      ...then,
      room: { celsius: 31, humidity: 0.3 },
      measures: { ...then.measures, cup: 'metric', fill: 'dipped' },
      scaleStep: 5,
      today: '2027-01-01',
      bags: [{ ...bag, moisture: 9.5, openedOn: '2026-06-01' }, other],
    };
    expect(apart(before, learned(later))).to.be.below(1e-9);
  });

  it('what a bag is, was so at its bakes too; put back, the belief is as it was', () => {
    const mended = { ...then, bags: [{ ...bag, ingredient: 'plain-flour' }, other] };
    expect(learned(mended).keys).not.to.include('thirst:bag:blue');
    const ground: Household = {
      ...then,
      bags: [{ ...bag, grind: 'sifted', extraction: 0.8 }, other],
    };
    expect(learned(ground)).not.to.deep.equal(before);
    expect(apart(before, learned({ ...then, bags: [{ ...bag }, { ...other }] }))).to.be.below(1e-9);
  });

  it('a moisture that had always been so changes what the bakes taught', () => {
    const damp = { ...bag, moisture: 15 };
    const always = bakes.map((b) => ({
      ...b,
      circumstances: { ...b.circumstances, kitchen: asAlways(b.circumstances.kitchen, damp) },
    }));
    expect(apart(before, learned(then, always))).to.be.above(0.002);
    const back = always.map((b) => ({
      ...b,
      circumstances: { ...b.circumstances, kitchen: asAlways(b.circumstances.kitchen, bag) },
    }));
    expect(apart(before, learned(then, back))).to.be.below(1e-9);
    const elsewhere = bakes[0]!.circumstances.kitchen;
    expect(asAlways(elsewhere, { ...damp, id: 'unknown' })).to.equal(elsewhere);
  });
});
