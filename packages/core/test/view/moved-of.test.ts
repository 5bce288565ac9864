import { expect } from 'chai';
import type { BakeEvent } from '@tender-crumb/core/bake';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { movedOf, planOf, type PlanGiven } from '@tender-crumb/core/view';
import { read } from '../build.ts';

const { formula } = read('500 g bread flour\n320 g water\n10 g salt\n5 g instant yeast', 'pizza');
const pizza = { ...formula, name: 'Pizza', style: 'pizza' as const };
const at = (hours: number) => new Date(Date.UTC(2026, 11, 3) + hours * 3_600_000).toISOString();
const given = (events?: readonly BakeEvent[]): PlanGiven => ({
  plans: [
    {
      id: 'p',
      formulaId: 'pizza',
      version: 1,
      readyBy: at(19),
      ...(events ? { bakeId: 'b', begun: { startedAt: at(14), method: 'hand', events } } : {}),
    },
  ],
  formulas: { p: pizza },
  devices: {},
  household: { ...defaultHousehold, zone: 'UTC', room: { celsius: 21 } },
  belief: nothingLearned,
  zone: 'UTC',
});
let n = 0;
const event = (hours: number, kind: string, data: object): BakeEvent =>
  ({ id: `v${(n += 1)}`, at: at(hours), kind, data }) as BakeEvent;

describe('dinner is moved', () => {
  it('later, before it began: it is ready at the new time, and nothing was changed by asking', () => {
    const before = planOf(given(), at(9)).answer;
    const options = movedOf(given(), 'p', at(21), at(9));
    expect(options.length).to.be.above(1);
    expect(Math.abs(options[0]!.off)).to.be.at.most(60);
    expect(planOf(given(), at(9)).answer).to.deep.equal(before);
    for (const { off, ready } of options)
      expect(Math.round((Date.parse(ready) - Date.parse(at(21))) / 60_000)).to.equal(off);
  });

  const rising = [
    event(15, 'step', { step: 'weigh', sense: 'done' }),
    event(15.1, 'step', { step: 'mix', sense: 'begun' }),
    event(15.3, 'step', { step: 'mix', sense: 'done' }),
    event(15.3, 'rise', { rise: 'first', sense: 'begun' }),
  ];

  it('to tomorrow, while it rises: only the fridge reaches so far, and nobody eats it today', () => {
    const [best, ...rest] = movedOf(given(rising), 'p', at(24 + 18), at(16));
    expect(['cold-first', 'cold-proof']).to.include(best!.way);
    // With so much yeast it keeps no longer than the night and the morning.
    expect(Math.abs(best!.off)).to.be.below(10 * 60);
    for (const { way, off } of rest) if (way === 'as-it-is') expect(off).to.be.below(-15 * 60);
  });

  it('earlier, while it rises: what is warmer is sooner', () => {
    const options = movedOf(given(rising), 'p', at(17.5), at(16));
    const off = (way: string) => options.find((o) => o.way === way)?.off;
    expect(off('warm')!).to.be.below(off('as-it-is')!);
    expect(options[0]!.way).to.equal('warm');
  });

  it('what is over is over: a shaped dough is offered no first rise in the fridge', () => {
    const shaped = [
      ...rising,
      event(16.8, 'rise', { rise: 'first', sense: 'there' }),
      event(17, 'step', { step: 'shape', sense: 'done' }),
      event(17, 'rise', { rise: 'final', sense: 'begun' }),
    ];
    const ways = movedOf(given(shaped), 'p', at(21), at(17.2)).map((o) => o.way);
    expect(ways).not.to.include('cold-first');
    expect(ways).to.include('as-it-is');
  });

  it('of a bake that is not planned there is nothing', () => {
    expect(movedOf(given(), 'other', at(21), at(9))).to.deep.equal([]);
  });
});

describe('what gives beside the way', () => {
  const loaf = {
    ...read('500 g bread flour\n320 g water\n10 g salt\n5 g instant yeast', 'pan').formula,
    name: 'Loaf',
  };
  const ofLoaf = (events?: readonly BakeEvent[]): PlanGiven => ({
    ...given(events),
    formulas: { p: loaf },
  });
  const options = (wanted: number, now: number, events?: readonly BakeEvent[]) =>
    movedOf(ofLoaf(events), 'p', at(wanted), at(now));

  it('rolls in place of a loaf are ready sooner than the loaf', () => {
    const all = options(12.5, 9);
    const [rolls, loafs] = ['rolls', 'as-it-is'].map((id) => all.find((o) => o.id === id)!);
    expect(rolls!.shaping).to.deep.equal({ form: 'rolls', pieces: 9 });
    expect(Date.parse(loafs!.ready) - Date.parse(rolls!.ready)).to.be.above(30 * 60_000);
    expect(rolls!.same).to.equal(false);
    // Nothing is there by then: each way says how much later it is.
    expect(all.every((o) => o.off > 0)).to.equal(true);
  });

  const rising = [
    event(9, 'step', { step: 'weigh', sense: 'done' }),
    event(9.3, 'step', { step: 'mix', sense: 'done' }),
    event(9.3, 'rise', { rise: 'first', sense: 'begun' }),
    event(11, 'rise', { rise: 'first', sense: 'there' }),
    event(11.2, 'step', { step: 'shape', sense: 'done' }),
    event(11.2, 'rise', { rise: 'final', sense: 'begun' }),
  ];
  it('a dough that proofs may go in as it stands, and no more becomes rolls', () => {
    const all = options(12.8, 11.4, rising);
    const now = all.find((o) => o.id === 'now')!;
    const going = all.find((o) => o.id === 'as-it-is')!;
    expect(Date.parse(now.ready)).to.be.below(Date.parse(going.ready));
    expect(all.map((o) => o.id)).to.not.include('rolls');
    // What is told of it teaches nothing of how fast it rises.
    expect(now.tells.map((e) => e.kind)).to.deep.equal(['step']);
  });
  it('before it proofs it is not offered, nor of a pizza that it becomes rolls', () => {
    const before = options(12, 10, rising.slice(0, 3)).map((o) => o.id);
    expect(before).to.include('rolls').and.not.include('now');
    expect(movedOf(given(), 'p', at(17), at(9)).map((o) => o.id)).to.not.include('rolls');
  });
});

describe('the other bakes of the day', () => {
  const two = (): PlanGiven => ({
    ...given(),
    plans: [
      { id: 'p', formulaId: 'pizza', version: 1, readyBy: at(19) },
      { id: 'q', formulaId: 'loaf', version: 1, readyBy: at(21) },
    ],
    formulas: {
      p: pizza,
      q: {
        ...read('500 g bread flour\n320 g water\n10 g salt\n5 g instant yeast', 'pan').formula,
        name: 'Loaf',
      },
    },
  });
  it('move where they share an oven, and it is told by how much before it is taken', () => {
    const options = movedOf(two(), 'p', at(19.9), at(9));
    const before = planOf(two(), at(9)).answer;
    if (before.steps === null) throw new Error('a plan');
    expect(options.length).to.be.above(0);
    const others = options.flatMap((o) => o.others);
    for (const { bake, name, by } of others) {
      expect([bake, name]).to.deep.equal(['q', 'Loaf']);
      expect(Math.abs(by)).to.be.at.least(5);
    }
    expect(others.length).to.be.above(0);
  });
  it('four minutes off is in time, five are not', () => {
    const options = [21, 21.1, 21.2, 23.5, 20].flatMap((h) => movedOf(given(), 'p', at(h), at(9)));
    expect(options.some((o) => o.onTime)).to.equal(true);
    for (const { off, onTime } of options) expect(onTime).to.equal(Math.abs(off) < 5);
  });
});
