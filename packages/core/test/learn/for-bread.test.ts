import { expect } from 'chai';
import {
  defaultHousehold,
  departureKey,
  forBread,
  fromBread,
  kitchenOf,
  learnFromBake,
  level,
  nothingLearned,
  placeOf,
  resolve,
  type BakeEvent,
} from '../core.ts';
import { build } from '../build.ts';

const loaf = build({ 'bread-flour': 500, water: 310 });
const felt = (points: number): BakeEvent[] => [
  { id: 'f', at: '2026-01-10T08:00:00Z', kind: 'felt', data: { points } },
  { id: 'e', at: '2026-01-10T12:00:00Z', kind: 'finished', data: {} },
];

describe('how one bread departs from the model', () => {
  let { belief } = learnFromBake(loaf, felt(9), defaultHousehold, nothingLearned, 'lock')!;
  for (let i = 0; i < 5; i += 1) {
    belief = learnFromBake(loaf, felt(9), defaultHousehold, belief, 'lock')!.belief;
  }
  const points = (bread: string | undefined) =>
    level(resolve(loaf), kitchenOf(defaultHousehold, forBread(belief, bread)))!;

  it('is learned for that bread, and not for another of the same flour', () => {
    expect(placeOf(belief, departureKey)).to.equal(undefined);
    expect(points('lock').points).to.be.greaterThan(points('quay').points + 1);
    expect(points('quay').points).to.equal(points(undefined).points);
    // The other is looser too, by what was learned of flour and touch, and surely less sure.
    expect(points('quay').points).to.be.greaterThan(
      level(resolve(loaf), kitchenOf(defaultHousehold))!.points + 0.5,
    );
    expect(points('lock').sd).to.be.lessThan(points('quay').sd - 0.5);
  });

  it('there and back it is the same belief', () => {
    expect(fromBread(forBread(belief, 'lock'), 'lock')).to.deep.equal(belief);
    expect(forBread(belief, 'quay')).to.equal(belief);
  });
});
