import { expect } from 'chai';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import {
  isTimed,
  oneKitchen,
  timedPlan,
  type NoTimedPlan,
  type TimedPlan,
} from '@tender-crumb/core/schedule';
import { build } from '../build.ts';

const loaf = {
  ...build({ 'bread-flour': 500, water: 320, salt: 10, 'instant-yeast': 5 }, 'pan'),
  name: 'Loaf',
};
const sour = build({ 'bread-flour': 450, water: 300, salt: 10 }, 'hearth-white', {
  'bread-flour': 50,
  water: 50,
});
const planned = (
  now: string,
  readyBy: string,
  { room = 21, zone = 'UTC', formula = loaf } = {},
): TimedPlan | NoTimedPlan =>
  timedPlan({
    now,
    zone,
    bakes: [{ id: 'b', formula, room, readyBy, device: 'hand' }],
    week: defaultHousehold.week,
    resources: oneKitchen,
    household: { ...defaultHousehold, zone, room: { celsius: room } },
    belief: nothingLearned,
  });

describe('wishes that no kitchen has', () => {
  it('ready in ten minutes: said that it cannot be, with what is had without that', () => {
    const answer = planned('2026-12-01T09:00:00Z', '2026-12-01T09:10:00Z');
    if (isTimed(answer)) throw new Error('in ten minutes?');
    expect(answer.why).to.not.equal('');
    const [first] = answer.drop;
    expect(Date.parse(Object.values(first!.ready)[0]!)).to.be.above(
      Date.parse('2026-12-01T11:00:00Z'),
    );
  });

  it('ready last Tuesday: said to be past', () => {
    const answer = planned('2026-12-01T09:00:00Z', '2026-11-24T09:00:00Z');
    if (isTimed(answer)) expect(answer.missed).to.deep.equal(['b']);
    else expect(answer.why).to.match(/passed/);
  });

  for (const room of [-5, 0, 14, 36, 45])
    for (const [name, formula] of [
      ['yeast', loaf],
      ['starter', sour],
    ] as const)
      it(`a kitchen of ${room} °C, ${name}: a plan with times in order, or said why there is none`, () => {
        const answer = planned('2026-12-01T09:00:00Z', '2026-12-04T18:00:00Z', { room, formula });
        if (!isTimed(answer)) {
          expect(answer.why).to.not.equal('');
          return;
        }
        for (const { start, end, soonest, latest, minutes } of answer.steps) {
          expect(Date.parse(end)).to.be.at.least(Date.parse(start));
          expect(Date.parse(soonest)).to.be.at.most(Date.parse(latest));
          expect(minutes).to.be.within(0, 14 * 24 * 60);
        }
      });

  it('clocks that change in the night of the plan: an hour is an hour, and it is ready by the new clock', () => {
    // 2027-03-28: at two it is three.
    const answer = planned('2027-03-27T17:00:00+01:00', '2027-03-28T19:30:00+02:00', {
      zone: 'Europe/Berlin',
      formula: sour,
    });
    if (!isTimed(answer)) throw new Error(answer.why);
    for (const [i, step] of answer.steps.entries()) {
      const long = (Date.parse(step.end) - Date.parse(step.start)) / 60_000;
      expect(long, step.label).to.be.closeTo(step.minutes, 1);
      if (i > 0)
        expect(Date.parse(step.start)).to.be.at.least(Date.parse(answer.steps[i - 1]!.start));
    }
    const last = answer.steps.at(-1)!;
    expect(last.end).to.match(/\+02:00$/);
    expect(Date.parse(last.end)).to.be.at.most(Date.parse('2027-03-28T19:30:00+02:00'));
  });
});

describe('a dough that is further than its plan', () => {
  const at = (minute: number) => new Date(Date.UTC(2026, 11, 1, 9, minute)).toISOString();
  const facts = {
    mix: { start: at(0), end: at(20) },
    'first-rise': { start: at(20), end: at(100) },
    shape: { start: at(100), end: at(110) },
    'final-proof': { start: at(110), end: at(160) },
  };
  const asked = (more: object) =>
    timedPlan({
      now: at(161),
      zone: 'UTC',
      bakes: [{ id: 'b', formula: loaf, room: 21, device: 'hand', facts: { ...facts, ...more } }],
      week: defaultHousehold.week,
      resources: oneKitchen,
      household: { ...defaultHousehold, zone: 'UTC' },
      belief: nothingLearned,
    });
  it('waits where the oven is cold, and is told so; where it is hot it goes in', () => {
    const cold = asked({});
    if (!isTimed(cold)) throw new Error(cold.why);
    expect(cold.waits).to.equal(true);
    expect(cold.calls).to.equal(false);
    const bake = cold.steps.find((s) => s.kind === 'bake')!;
    expect(Date.parse(bake.start)).to.be.at.least(Date.parse(at(161)) + 15 * 60_000);
    const hot = asked({ heat: { start: at(135), end: at(160) } });
    if (!isTimed(hot)) throw new Error(hot.why);
    expect(hot.waits).to.equal(undefined);
  });
});
