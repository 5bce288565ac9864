import { expect } from 'chai';
import type { BakeEvent } from '@tender-crumb/core/bake';
import { level } from '@tender-crumb/core/dough';
import { resolve } from '@tender-crumb/core/formula';
import {
  departure,
  departureKey,
  doubtOf,
  nothingLearned,
  placeOf,
  type Belief,
  kitchenOf,
} from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { forBread, learnFromBake, restBreads, updateBelief } from '@tender-crumb/core/learn';
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

  it('is seen under the key of the bread in view, and what belongs to others is not', () => {
    const view = forBread(belief, 'lock');
    const [inView, inBook] = [placeOf(view, departureKey)!, placeOf(belief, 'departure:lock')!];
    expect(view.mean[inView]).to.equal(belief.mean[inBook]).and.not.equal(0);
    expect(placeOf(view, 'departure:lock')).to.equal(undefined);
    expect(view.keys).to.have.length(belief.keys.length);
    const other = forBread(belief, 'quay');
    expect(placeOf(other, departureKey)).to.equal(undefined);
    expect(other.keys).to.have.length(belief.keys.length - 1);
    expect(JSON.stringify(other)).to.not.contain('lock');
    expect(JSON.stringify(forBread(belief, undefined))).to.not.contain('lock');
  });

  it('rests where breads are too many, and goes on from where it was left', () => {
    const many = (count: number): Belief =>
      Array.from({ length: count }, (_, i) => `departure:b${i}`).reduce(
        (known, key) =>
          updateBelief(known, {
            residual: 2,
            slopes: new Map([[key, 1]]),
            priors: new Map([[key, 3]]),
            noise: 4,
          }),
        belief,
      );
    const room = 240 - belief.keys.length;
    expect(restBreads(many(room)).rested).to.equal(undefined);
    const over = many(room + 1);
    const resting = restBreads(over);
    expect(resting.keys).to.have.length(200);
    // The one that was baked six times is not among those that rest, nor the last.
    expect(resting.keys).to.include('departure:lock').and.include(`departure:b${room}`);
    expect(resting.rested).to.have.all.keys(
      Array.from({ length: 41 }, (_, i) => `departure:b${i}`),
    );
    for (const key of ['departure:b0', 'departure:b40', 'departure:b41'])
      expect(departure(resting, key), key).to.be.closeTo(departure(over, key), 1e-12);
    // In view it is as it was, and a bake of it teaches on from there.
    const view = forBread(resting, 'b3');
    expect(departure(view, departureKey)).to.be.closeTo(departure(over, 'departure:b3'), 1e-12);
    expect(doubtOf(view, departureKey, 9)).to.be.closeTo(doubtOf(over, 'departure:b3', 9), 1e-12);
    const learn = (from: Belief) =>
      learnFromBake(loaf, felt(9), defaultHousehold, from, 'b3')!.belief;
    expect(departure(learn(resting), 'departure:b3')).to.be.closeTo(
      departure(learn(over), 'departure:b3'),
      0.01,
    );
    expect(learn(resting).bakes['departure:b3']).to.equal(2);
  });
});
