import { expect } from 'chai';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import {
  breadOf,
  isPlan,
  oneKitchen,
  plan,
  type Fact,
  type Plan,
} from '@tender-crumb/core/schedule';
import { build } from '../build.ts';

const bread = breadOf(
  { id: 'b', formula: build({ 'bread-flour': 500, water: 310, salt: 9, 'instant-yeast': 6 }) },
  defaultHousehold,
  nothingLearned,
);
const planned = (facts: Readonly<Record<string, Fact>>, now: number) =>
  plan({
    breads: [{ bread, wish: {}, ways: ['as-it-is'] }],
    closed: [],
    resources: oneKitchen,
    facts,
    now,
  });
const of = (found: Plan, kind: string) => found.steps.find((s) => s.kind === kind)!;
const upTo = (proof: Fact): Record<string, Fact> => ({
  'b:mix': { start: 0, end: 25 },
  'b:first-rise': { start: 25, end: 110 },
  'b:shape': { start: 110, end: 120 },
  'b:final-proof': proof,
});

describe('a rise that is later than anybody thought', () => {
  it('and an oven that is still cold: there is a plan all the same, as soon as that is hot', () => {
    for (const now of [170, 200, 240, 300, 400]) {
      const found = planned(upTo({ start: 120 }), now);
      expect(isPlan(found), String(now)).to.equal(true);
      if (!isPlan(found)) continue;
      expect(of(found, 'heat').start).to.be.at.least(now);
      expect(of(found, 'bake').start).to.be.at.least(of(found, 'heat').end);
      expect(of(found, 'bake').start, String(now)).to.be.at.most(
        Math.max(of(found, 'final-proof').end + 10, now + 16),
      );
    }
  });

  it('said to take longer, it is not over before that, and what follows waits', () => {
    const usual = planned(upTo({ start: 120 }), 130);
    const longer = planned(upTo({ start: 120, notBefore: 260 }), 130);
    if (!isPlan(usual) || !isPlan(longer)) throw new Error('there is a plan');
    expect(of(usual, 'final-proof').end).to.be.below(260);
    expect(of(longer, 'final-proof').end).to.be.at.least(260);
    expect(of(longer, 'bake').start).to.be.at.least(260);
    const shorter = planned(upTo({ start: 120, notBefore: 131 }), 130);
    if (!isPlan(shorter)) throw new Error('there is a plan');
    expect(of(shorter, 'final-proof').end).to.equal(of(usual, 'final-proof').end);
  });
});
