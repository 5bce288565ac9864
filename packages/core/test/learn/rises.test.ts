import { expect } from 'chai';
import { bakeState, type BakeEvent } from '@tender-crumb/core/bake';
import { isForecast, leavenKeys, type RiseBand } from '@tender-crumb/core/ferment';
import { resolve } from '@tender-crumb/core/formula';
import { nothingLearned, type Belief } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { bakeRises, learnFromBake } from '@tender-crumb/core/learn';
import { build } from '../build.ts';

const loaf = build({ 'bread-flour': 500, water: 320, salt: 10, 'instant-yeast': 5 });
const sour = build({ 'bread-flour': 450, water: 300, salt: 10 }, 'hearth-white', {
  'bread-flour': 50,
  water: 50,
});
const start = Date.parse('2026-10-04T08:00:00Z');
const at = (hours: number) => new Date(start + hours * 3_600_000).toISOString();
let n = 0;
const event = (hours: number, kind: string, data: object) =>
  ({ id: `e${(n += 1)}`, at: at(hours), kind, data }) as BakeEvent;
const rise = (hours: number, sense: string, of = 'first') =>
  event(hours, 'rise', { rise: of, sense });
const ended = (hours: number, sense = 'there') => [rise(0, 'begun'), rise(hours, sense)];
const learn = (events: BakeEvent[], of = sour, before: Belief = nothingLearned) =>
  learnFromBake(of, events, defaultHousehold, before)!.belief;
const asBake = (formula: typeof sour, events: readonly BakeEvent[] = []) => ({
  formula,
  lines: resolve(formula),
  state: bakeState(events),
  household: defaultHousehold,
});
const band = (belief: Belief, of = sour): RiseBand => {
  const [first] = bakeRises(asBake(of), belief);
  if (!isForecast(first!.forecast)) throw new Error('it never comes there');
  return first!.forecast as RiseBand;
};

describe('noted rises in the book', () => {
  const fresh = band(nothingLearned);

  it('one that took longer than forecast makes the next forecast longer, and its band narrower', () => {
    const belief = learn(ended(fresh.middle * 1.4));
    const next = band(belief);
    expect(next.middle).to.be.above(fresh.middle * 1.1);
    expect(next.sd).to.be.below(fresh.sd);
    expect(belief.paces!['pace:starter']!.rises).to.equal(1);
    // What is believed of flours stays as it was.
    expect(belief.mean).to.deep.equal(nothingLearned.mean);
  });

  it('five of them bring it near; the yeast of another bread learns nothing of it', () => {
    let belief = nothingLearned;
    for (let bake = 0; bake < 5; bake += 1) belief = learn(ended(fresh.middle * 1.4), sour, belief);
    expect(band(belief).middle / fresh.middle).to.be.within(1.28, 1.42);
    expect(band(belief, loaf)).to.deep.equal(band(nothingLearned, loaf));
    expect(Object.keys(belief.paces!)).to.deep.equal(['pace:starter']);
  });

  it('a leaven that changes is followed, however many rises were noted before', () => {
    let belief = nothingLearned;
    for (let bake = 0; bake < 60; bake += 1) belief = learn(ended(fresh.middle), sour, belief);
    const settled = band(belief);
    expect(settled.middle / fresh.middle).to.be.closeTo(1, 0.02);
    // Never so sure that nothing could move it.
    // In one warmth its pace and its temper cannot be told apart: what they come to there is known.
    expect(belief.paces!['pace:starter']!.sd).to.be.within(0.03, 0.2);
    const ofLeaven = Math.sqrt(settled.sd ** 2 - settled.passing ** 2);
    expect(ofLeaven).to.be.within(0.02, 0.09);
    for (let bake = 0; bake < 15; bake += 1)
      belief = learn(ended(fresh.middle * 1.3), sour, belief);
    expect(band(belief).middle / fresh.middle).to.be.within(1.2, 1.32);
  });

  it('“not yet” teaches one side only; “gone over” the other', () => {
    const late = learn(ended(fresh.middle * 1.3, 'not-yet'));
    expect(band(late).middle).to.be.above(fresh.middle);
    const early = learn(ended(fresh.middle * 0.4, 'not-yet'));
    expect(band(early).middle).to.be.closeTo(fresh.middle, fresh.middle * 0.01);
    const over = learn(ended(fresh.middle * 0.8, 'past'));
    expect(band(over).middle).to.be.below(fresh.middle);
  });

  it('what was noted before “ripe” is said by that; what was taken back is as if it never was', () => {
    const [begun, there] = ended(fresh.middle * 1.2);
    const before = [begun!, rise(fresh.middle, 'not-yet'), there!];
    expect(learn(before).paces).to.deep.equal(learn([begun!, there!]).paces);
    const back = event(9, 'retracted', { event: there!.id });
    expect(learn([begun!, there!, back])).to.equal(nothingLearned);
    // Without a beginning there is no time to it.
    expect(learn([there!])).to.equal(nothingLearned);
  });

  it('a measured dough and place are what it is forecast by', () => {
    const cold = [
      event(0, 'warmth', { of: 'dough', celsius: 20 }),
      event(0, 'warmth', { of: 'air', celsius: 17 }),
    ];
    expect(bakeState(cold).warmth).to.deep.equal({ dough: 20, air: 17 });
    const [first] = bakeRises(asBake(sour, cold), nothingLearned);
    const slow = first!.forecast as RiseBand;
    expect(slow.middle).to.be.above(1.5 * fresh.middle);
    // As it was forecast there, it moves nothing.
    const belief = learn([...cold, ...ended(slow.middle)]);
    expect(belief.paces!['pace:starter']!.mean).to.be.closeTo(0, 1e-6);
  });

  it('a packet of yeast and a starter by their own keys; a doped dough teaches both', () => {
    expect(leavenKeys(resolve(loaf), loaf)).to.deep.equal({ yeast: 'pace:instant-yeast' });
    expect(leavenKeys(resolve(sour), sour)).to.deep.equal({ starter: 'pace:starter' });
    const doped = build({ 'bread-flour': 450, water: 300, salt: 10, 'instant-yeast': 1 }, 'pan', {
      'bread-flour': 50,
      water: 50,
    });
    const took = band(nothingLearned, doped).middle * 1.3;
    expect(Object.keys(learn(ended(took), doped).paces!).sort()).to.deep.equal([
      'pace:instant-yeast',
      'pace:starter',
    ]);
  });

  it('a final proof teaches as well', () => {
    const rises = bakeRises(asBake(sour), nothingLearned);
    const proof = (rises[1]!.forecast as RiseBand).middle;
    const belief = learn([rise(0, 'begun', 'final'), rise(proof * 1.4, 'there', 'final')]);
    expect(band(belief).middle).to.be.above(fresh.middle);
  });

  it('a starter that was seen at its highest teaches too, by what it was fed', () => {
    const peak = (hours: number) => [
      event(0, 'fed', { stage: 's0', seed: 20, flour: 50, water: 50 }),
      event(hours, 'peaked', { stage: 's0' }),
    ];
    const slow = learn(peak(12));
    const soon = learn(peak(3));
    expect(slow.paces!['pace:starter']!.rises).to.equal(1);
    expect(slow.paces!['pace:starter']!.mean).to.be.below(0);
    expect(soon.paces!['pace:starter']!.mean).to.be.above(0);
    expect(band(slow).middle).to.be.above(fresh.middle);
    // A tap that was forgotten for a week is none.
    expect(learn(peak(170))).to.equal(nothingLearned);
  });
});
