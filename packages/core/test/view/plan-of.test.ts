import { expect } from 'chai';
import { firstLoaves } from '@tender-crumb/core/exchange';
import { isTimed } from '@tender-crumb/core/schedule';
import { planOf, type PlannedWithBake } from '@tender-crumb/core/view';
import { belief, houses, now } from './one-answer.ts';

const [loaf] = firstLoaves;
const planned = (...plans: PlannedWithBake[]) => {
  const ids = plans.map((p) => p.id);
  const { answer } = planOf(
    {
      plans,
      formulas: Object.fromEntries(ids.map((id) => [id, loaf!])),
      devices: Object.fromEntries(ids.map((id) => [id, 'hand' as const])),
      household: houses['usual']!,
      belief,
      zone: 'UTC',
    },
    now,
  );
  if (!isTimed(answer)) throw new Error(answer.why);
  return answer;
};
const plan = (id: string, readyBy: string): PlannedWithBake => ({
  id,
  formulaId: 'f',
  version: 1,
  readyBy,
});

describe('what nobody began in time', () => {
  it('stands in no plan, is named, and does not stand in the way of the rest', () => {
    const answer = planned(
      plan('past', '2026-11-26T08:00:00.000Z'),
      plan('ahead', '2026-11-26T20:00:00.000Z'),
    );
    expect(answer.missed).to.deep.equal(['past']);
    expect(answer.bakes.map((b) => b.id)).to.deep.equal(['ahead']);
    expect(new Set(answer.steps.map((s) => s.bake))).to.deep.equal(new Set(['ahead']));
  });

  it('nothing is missed where everything can still be had', () => {
    expect(planned(plan('ahead', '2026-11-26T20:00:00.000Z')).missed).to.deep.equal([]);
  });
});
