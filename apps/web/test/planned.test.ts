import { expect } from 'chai';
import ICAL from 'ical.js';
import { formulaFormat, type Formula, type MeasuringMethod } from '@tender-crumb/core/formula';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import {
  isTimed,
  oneKitchen,
  timedPlan,
  type PlanQuestion,
  type TimedPlan,
} from '@tender-crumb/core/schedule';
import { calendarOf } from '../src/lib/plan/calendar.ts';
import { callsDue } from '../src/lib/plan/due.ts';
import { fieldOf, momentOfField, timeText, untilText } from '../src/lib/plan/when.ts';

const scale: MeasuringMethod = 'scale';
const formula: Formula = {
  format: formulaFormat,
  name: 'Lockside tin loaf',
  style: 'pan',
  stages: [
    {
      id: 's1',
      kind: 'dough',
      name: 'Dough',
      lines: Object.entries({ 'bread-flour': 500, water: 320, salt: 10, 'instant-yeast': 5 }).map(
        ([ingredient, grams], i) => ({ id: `l${i}`, ingredient, grams, measured: scale }),
      ),
    },
  ],
  taken: [],
  left: [],
};
const question = (more: Partial<PlanQuestion> = {}): PlanQuestion => ({
  now: '2026-11-26T10:00:00+01:00',
  zone: 'Europe/Berlin',
  bakes: [{ id: 'tin', formula }],
  week: {
    asleep: [{ days: [1, 2, 3, 4, 5, 6, 7], from: '22:30', to: '06:30' }],
    away: [],
    power: [],
  },
  resources: oneKitchen,
  household: defaultHousehold,
  belief: nothingLearned,
  ...more,
});
const timed = (of: PlanQuestion): TimedPlan => {
  const found = timedPlan(of);
  if (!isTimed(found)) throw new Error(found.why);
  return found;
};
const step = (of: TimedPlan, kind: string) => of.steps.find((s) => s.kind === kind)!;

describe('a plan by the clock of the house', () => {
  it('goes on from what has happened, and is late where that is so', () => {
    const readyBy = '2026-11-26T15:00:00+01:00';
    const first = timed(question({ bakes: [{ id: 'tin', formula, readyBy }] }));
    expect(step(first, 'cool').end).to.equal(readyBy);
    expect(first.bakes[0]?.late).to.equal(undefined);
    const facts = {
      mix: { start: '2026-11-26T11:00:00+01:00', end: '2026-11-26T11:20:00+01:00' },
      'first-rise': { start: '2026-11-26T11:20:00+01:00' },
    };
    const now = '2026-11-26T14:30:00+01:00';
    const slow = timed(question({ now, bakes: [{ id: 'tin', formula, readyBy, facts }] }));
    expect(slow.bakes[0]?.late).to.equal(true);
    expect(step(slow, 'first-rise').end).to.equal(now);
    expect(Date.parse(step(slow, 'cool').end)).to.be.above(Date.parse(readyBy));
    expect(slow.calls).to.equal(false);
  });

  it('what was begun at its time is not late; what nobody began stands in nobody’s way', () => {
    const beginAt = '2026-11-26T10:00:00+01:00';
    const facts = { mix: { start: beginAt } };
    const now = '2026-11-26T10:45:00+01:00';
    const begun = timed(question({ now, bakes: [{ id: 'tin', formula, beginAt, facts }] }));
    expect(begun.bakes[0]?.late).to.equal(undefined);
    expect(begun.missed).to.deep.equal([]);
    // Half an hour is let pass, a minute more is not.
    const at = (time: string) =>
      timedPlan(
        question({ now: `2026-11-26T${time}:00+01:00`, bakes: [{ id: 'tin', formula, beginAt }] }),
      );
    expect(isTimed(at('10:30'))).to.equal(true);
    expect(at('10:31')).to.include({ code: 'past' });
    const two = timed(
      question({
        now,
        bakes: [
          { id: 'lost', formula, beginAt },
          { id: 'tin', formula },
        ],
      }),
    );
    expect(two.missed).to.deep.equal(['lost']);
    expect(two.bakes.map((b) => b.id)).to.deep.equal(['tin']);
  });

  it('a dough that has begun calls at night where it must, and says so', () => {
    const facts = {
      mix: { start: '2026-11-26T21:30:00+01:00', end: '2026-11-26T21:50:00+01:00' },
      'first-rise': { start: '2026-11-26T21:50:00+01:00' },
    };
    const night = timed(
      question({
        now: '2026-11-26T22:00:00+01:00',
        bakes: [{ id: 'tin', formula, facts, ways: ['as-it-is'] }],
      }),
    );
    expect(night.calls).to.equal(true);
    expect(step(night, 'shape').start.slice(11, 13)).to.equal('23');
    // What has not begun waits for the morning.
    const waits = timed(
      question({
        now: '2026-11-26T22:00:00+01:00',
        bakes: [{ id: 'tin', formula, ways: ['as-it-is'] }],
      }),
    );
    expect(step(waits, 'mix').start).to.equal('2026-11-27T06:30:00+01:00');
  });

  it('a rise has its curve, which begins where the dough stands and ends where it is ripe', () => {
    const { curve, minutes } = step(timed(question()), 'first-rise');
    expect(curve![0]).to.include({ minute: 0, volume: 1 });
    expect(curve!.at(-1)!.minute).to.equal(minutes);
    expect(curve!.at(-1)!.volume).to.be.closeTo(2, 0.05);
    expect(step(timed(question()), 'bake').curve).to.equal(undefined);
  });

  it('is read back from its calendar file by a parser that did not write it (ical.js)', () => {
    const plan = timed(question());
    const calendar = new ICAL.Component(ICAL.parse(calendarOf(plan)!));
    const events = calendar.getAllSubcomponents('vevent').map((c) => new ICAL.Event(c));
    const attended = plan.steps.filter((s) => s.attended !== 'none');
    expect(events.map((e) => e.summary)).to.have.members(
      attended.map((s) => `${s.label}: Lockside tin loaf`),
    );
    for (const s of attended) {
      const event = events.find((e) => e.summary.startsWith(s.label))!;
      expect(event.startDate.toJSDate().getTime(), s.label).to.equal(Date.parse(s.start));
      expect(event.endDate.toJSDate().getTime(), s.label).to.equal(Date.parse(s.end));
      const [bell, ...others] = event.component.getAllSubcomponents('valarm');
      expect(others).to.deep.equal([]);
      const rings = bell!.getFirstPropertyValue('trigger') as ICAL.Time;
      expect(rings.toJSDate().getTime(), `${s.label}: its bell`).to.equal(Date.parse(s.start));
    }
    expect(calendarOf({ ...plan, steps: [] })).to.equal(undefined);
  });

  it('calls from its minute on, for an hour', () => {
    const plan = timed(question());
    const mix = step(plan, 'mix');
    const at = (ms: number) =>
      callsDue([mix], [], [], () => 'Tin', new Date(Date.parse(mix.start) + ms)).map((c) => c.says);
    expect(at(-1)).to.deep.equal([]);
    expect(at(0)).to.deep.equal(['Weigh, mix and knead: Tin']);
    expect(at(3_600_000 - 1)).to.have.length(1);
    expect(at(3_600_000)).to.deep.equal([]);
    const timers = [{ id: 't', name: 'Tea', dueAt: mix.start }];
    expect(
      callsDue([], [], timers, () => '', new Date(mix.start)).map((c) => c.says),
    ).to.deep.equal(['Tea']);
    // Nobody is called for a dough that rises by itself.
    const rise = step(plan, 'first-rise');
    expect(callsDue([rise], [], [], () => '', new Date(rise.start))).to.deep.equal([]);
    // In the middle of what has begun: a fold, and for ten minutes.
    const folds = { ...rise, folds: { times: 2, every: 30, says: '' } };
    const called = (minute: number) =>
      callsDue(
        [],
        [folds],
        [],
        () => 'Tin',
        new Date(Date.parse(rise.start) + minute * 60_000),
      ).map((c) => c.says);
    expect([29, 30, 39, 40, 60].map(called)).to.deep.equal([
      [],
      ['Fold 1 of 2: Tin'],
      ['Fold 1 of 2: Tin'],
      [],
      ['Fold 2 of 2: Tin'],
    ]);
  });
});

describe('moments in words', () => {
  const now = new Date('2026-11-26T10:00:00+01:00');
  const zone = 'Europe/Berlin';

  it('today by the clock, else with the day', () => {
    expect(timeText('2026-11-26T14:05:00+01:00', zone, now)).to.equal('14:05');
    expect(timeText('2026-11-27T07:05:00+01:00', zone, now)).to.equal('Fri 07:05');
    expect(timeText('2026-12-05T07:05:00+01:00', zone, now)).to.equal('5 Dec 07:05');
    // By the clock of the house, wherever the server stands.
    expect(timeText('2026-11-26T23:30:00Z', zone, now)).to.equal('Fri 00:30');
  });

  it('how long until then, and since', () => {
    const text = (iso: string) => untilText(iso, now);
    expect(text('2026-11-26T10:00:20+01:00')).to.equal('now');
    expect(text('2026-11-26T10:40:00+01:00')).to.equal('in 40 min');
    expect(text('2026-11-26T11:30:00+01:00')).to.equal('in 1 h 30 min');
    expect(text('2026-11-26T09:40:00+01:00')).to.equal('20 min ago');
    expect(text('2026-11-27T10:29:00+01:00')).to.equal('in 24 h');
    expect(text('2026-11-28T21:59:00+01:00')).to.equal('in 59 h');
    expect(text('2026-11-28T22:00:00+01:00')).to.equal('in 3 days');
    expect(text('2026-11-10T10:00:00+01:00')).to.equal('16 days ago');
  });

  it('a field of a date and a time goes there and back, through a change of clocks', () => {
    for (const iso of ['2026-11-26T14:05:00+01:00', '2027-03-28T04:00:00+02:00'])
      expect(momentOfField(fieldOf(iso, zone), zone)).to.equal(iso);
    expect(momentOfField('', zone)).to.equal(undefined);
  });
});
