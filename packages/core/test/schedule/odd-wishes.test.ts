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
    else expect(answer.why).to.match(/past/);
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
