import { expect } from 'chai';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { isTimed, oneKitchen, timedPlan } from '@tender-crumb/core/schedule';
import { eatings, styles, type StyleId } from '@tender-crumb/core/style';
import { read } from '../build.ts';
import { fortyPlans, type PlanWanted } from './forty-plans.ts';

const dayZero = Date.UTC(2026, 11, 3);
const at = (hours: number) => new Date(dayZero + hours * 3_600_000).toISOString();
const household = { ...defaultHousehold, zone: 'UTC' };

/** What is not as a good baker would have it; nothing where it is. */
function faults({
  recipe,
  style,
  now,
  ready,
  room,
  early,
  ways,
  notWays = [],
}: PlanWanted): string[] {
  const { formula } = read(recipe, style);
  const answer = timedPlan({
    now: at(now),
    zone: 'UTC',
    bakes: [{ id: 'b', formula: { ...formula, style }, room, readyBy: at(ready), device: 'hand' }],
    week: household.week,
    resources: oneKitchen,
    household: { ...household, room: { celsius: room } },
    belief: nothingLearned,
  });
  if (!isTimed(answer)) return [`none: ${answer.why}`];
  const own = answer.steps;
  const hours = (iso: string) => (Date.parse(iso) - dayZero) / 3_600_000;
  const { way = '' } = answer.bakes[0]!;
  const over = ready - hours(own.at(-1)!.end);
  const leaven = answer.bakes[0]!.leaven;
  const grams = leaven && 'changes' in leaven ? leaven.grams / Math.max(leaven.now, 0.01) : 1;
  return [
    ...(over < -0.02 ? [`late by ${(-over).toFixed(1)} h`] : []),
    ...(over > early ? [`ready ${over.toFixed(1)} h before (${way})`] : []),
    ...(ways && !ways.includes(way) ? [`by ${way}`] : []),
    ...(notWays.includes(way) ? [`by ${way}`] : []),
    // Hands are wanted when somebody is up.
    ...own
      .filter((s) => s.attended === 'all' && s.kind !== 'cool')
      .filter((s) => {
        const from = hours(s.start) % 24;
        return from < 6.5 || from >= 22.5;
      })
      .map((s) => `${s.label} at night`),
    // Nobody makes five times as much of a leaven, or a tenth.
    ...(grams > 5 || grams < 0.1 ? [`leaven × ${grams.toFixed(2)}`] : []),
  ];
}

describe('forty plans, as a good baker would have them', () => {
  it('are mostly that (written down beforehand; 36 of 40)', function () {
    const found = fortyPlans.map((p) => ({ what: p.what, faults: faults(p) }));
    const wrong = found.filter((f) => f.faults.length > 0);
    for (const { what, faults: why } of wrong) console.info(`        ${what}: ${why.join('; ')}`);
    console.info(`        ${found.length - wrong.length} of ${found.length}`);
    expect(found).to.have.length(40);
    expect(found.length - wrong.length).to.be.at.least(36);
  });
});

describe('when a bread is at its best', () => {
  it('rolls, pizza and flatbread at once, a loaf that day, rye and what is full of fruit later (common practice)', () => {
    const eaten = (...of: StyleId[]) => of.map((style) => styles[style].eaten);
    expect(new Set(eaten('rolls', 'bagel', 'pizza', 'flatbread', 'slack'))).to.deep.equal(
      new Set(['at once']),
    );
    expect(new Set(eaten('pan', 'plait', 'hearth-white', 'rich'))).to.deep.equal(
      new Set(['that day']),
    );
    expect(new Set(eaten('rye', 'low-carb', 'fruit-rich'))).to.deep.equal(new Set(['later']));
  });
  it('an hour early counts the more the sooner it is eaten, and what waits a day is not hurried', () => {
    const { 'at once': soon, 'that day': day, later } = eatings;
    expect([soon.fresh < day.fresh, day.fresh < later.fresh]).to.deep.equal([true, true]);
    expect([soon.stale > day.stale, day.stale > later.stale]).to.deep.equal([true, true]);
    expect(later.fresh).to.be.at.least(24);
  });
});
