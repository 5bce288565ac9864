import { expect } from 'chai';
import type { BakeEvent } from '@tender-crumb/core/bake';
import { nothingLearned, type Belief } from '@tender-crumb/core/belief';
import { evaluate } from '@tender-crumb/core/evaluate';
import { takeCorrection, type Formula } from '@tender-crumb/core/formula';
import { defaultHousehold } from '@tender-crumb/core/household';
import { forBread, learnFromBake } from '@tender-crumb/core/learn';
import { build } from '../build.ts';

const dry = build({ 'bread-flour': 500, water: 250, salt: 9, 'instant-yeast': 5 }, 'pan');
const events = (points: number): BakeEvent[] => [
  { id: 'f', at: '2026-05-01T08:10:00.000Z', kind: 'felt', data: { points } },
  { id: 'e', at: '2026-05-01T12:00:00.000Z', kind: 'finished', data: {} },
];
const after = (formula: Formula, felt: number, before: Belief = nothingLearned) =>
  learnFromBake(formula, events(felt), defaultHousehold, before, 'dry')!.belief;
const water = (belief: Belief, formula = dry) =>
  evaluate(formula, defaultHousehold, forBread(belief, 'dry'))!.corrections.find(
    (c) => c.kind === 'water',
  )!;

describe('what was said of a dough, and how it felt', () => {
  it('left: a dough that felt dry was said rightly, one that felt right was not', () => {
    expect(water(nothingLearned).certainty).to.be.above(0.9);
    expect(after(dry, -9).said!.words).to.deep.equal({ 'very likely': { said: 1, right: 1 } });
    expect(after(dry, 0).said!.words).to.deep.equal({ 'very likely': { said: 1, right: 0 } });
  });

  it('taken: what it would have been without is what is scored', () => {
    const first = water(nothingLearned);
    const taken = takeCorrection(dry, { ...first, correction: first.key });
    // With the water it felt as forecast: without it, it would have been dry.
    const at = evaluate(taken, defaultHousehold, nothingLearned)!.level.points;
    expect(after(taken, at).said!.words).to.deep.equal({ 'very likely': { said: 1, right: 1 } });
    expect(after(taken, at + 9).said!.words).to.deep.equal({
      'very likely': { said: 1, right: 0 },
    });
  });

  it('too wet was said rightly only of what felt looser than its window, too dry of what felt firmer', () => {
    const wet = build({ 'bread-flour': 500, water: 390, salt: 9, 'instant-yeast': 5 }, 'pan');
    const [, loose] = evaluate(wet, defaultHousehold, nothingLearned)!.window;
    const right = (felt: number, formula = wet) =>
      Object.values(after(formula, felt).said!.words)[0]!.right;
    expect(right(loose + 0.1)).to.equal(1);
    expect(right(loose - 0.1)).to.equal(0);
    const [tight] = evaluate(dry, defaultHousehold, nothingLearned)!.window;
    expect(right(tight - 0.1, dry)).to.equal(1);
    expect(right(tight + 0.1, dry)).to.equal(0);
  });

  it('nothing called for, nothing felt, a bread that is guessed: nothing is scored', () => {
    const right = build({ 'bread-flour': 500, water: 315, salt: 9, 'instant-yeast': 5 }, 'pan');
    expect(after(right, 1).said).to.equal(undefined);
    expect(after({ ...dry, styleGuessed: true }, -9).said).to.equal(undefined);
    const [, end] = events(0);
    expect(
      learnFromBake(dry, [end!], defaultHousehold, nothingLearned, 'dry')!.belief.said,
    ).to.equal(undefined);
  });

  it('a baker whose doughs all feel perfect is told less surely than before', () => {
    let belief = nothingLearned;
    for (let i = 0; i < 4; i += 1) belief = after(dry, 0, belief);
    const { said: _said, ...unscored } = belief;
    void _said;
    const [shrunk, plain] = [belief, unscored].map(
      (b) =>
        evaluate(
          build({ 'bread-flour': 500, water: 200, salt: 9 }, 'pan'),
          defaultHousehold,
          b,
        )!.corrections.find((c) => c.kind === 'water')!.certainty,
    );
    expect(shrunk).to.be.below(plain!);
  });

  it('ten grams of a flour are no bake with that flour', () => {
    const of = (whole: number) =>
      learnFromBake(
        build({ 'bread-flour': 500 - whole, 'whole-wheat': whole, water: 320, salt: 9 }, 'pan'),
        events(1),
        defaultHousehold,
        nothingLearned,
        'dry',
      )!.belief.bakes;
    expect(of(10)['thirst:whole-wheat'] ?? 0).to.equal(0);
    expect(of(49)['thirst:whole-wheat'] ?? 0).to.equal(0);
    expect(of(51)['thirst:whole-wheat']).to.equal(1);
    expect(of(10)['thirst:bread-flour']).to.equal(1);
  });
});
