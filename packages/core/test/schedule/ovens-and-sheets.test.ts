import { expect } from 'chai';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold, type Household } from '@tender-crumb/core/household';
import type { Appliance } from '@tender-crumb/core/machine';
import {
  breadOf,
  changesOf,
  handsIn,
  inOven,
  isTimed,
  resourcesOf,
  sheetsInARow,
  timedPlan,
} from '@tender-crumb/core/schedule';
import { onSheet } from '@tender-crumb/core/style';
import { fromPlan } from '@tender-crumb/core/bake';
import { read } from '../build.ts';

const dayZero = Date.UTC(2026, 11, 3);
const at = (hours: number) => new Date(dayZero + hours * 3_600_000).toISOString();
const oven = (id: string, holds: number): Appliance => ({ id, kind: 'oven', name: id, holds });
const home = (...appliances: Appliance[]): Household => ({
  ...defaultHousehold,
  zone: 'UTC',
  appliances,
});
const rolls = (flour: number) => ({
  ...read(
    `${flour} g bread flour\n${flour * 0.64} g water\n${flour * 0.02} g salt\n${flour * 0.01} g instant yeast`,
    'rolls',
  ).formula,
  style: 'rolls' as const,
});
const bread = (flour: number, household = home()) =>
  breadOf({ id: 'b', formula: rolls(flour), room: 21 }, household, nothingLearned);

describe('what one sheet holds', () => {
  it('a dozen rolls and a few, eight bagels or so, four sticks, one pizza (common practice)', () => {
    expect(onSheet('rolls', 90)).to.be.within(12, 16);
    expect(onSheet('rings', 110)).to.be.within(8, 12);
    expect(onSheet('sticks', 300)).to.be.within(3, 5);
    expect(onSheet('flat', 250)).to.equal(1);
    // However large, one goes in; a loaf is no matter of sheets.
    expect([onSheet('flat', 2000), onSheet('loaf', 900)]).to.deep.equal([1, Infinity]);
  });
  it('what it does not hold goes in after it, unless the oven holds more', () => {
    const pieces = (flour: number) => bread(flour).shaping.pieces;
    expect(sheetsInARow(bread(500))).to.equal(1);
    expect(pieces(1200)).to.be.above(onSheet('rolls', 90));
    expect(sheetsInARow(bread(1200))).to.equal(2);
    expect(sheetsInARow(bread(1200, home(oven('a', 2))))).to.equal(1);
  });
  it('takes as long as all of them, and calls for the next', () => {
    const [one, two] = [home(oven('a', 2)), home(oven('a', 1))].map(
      (h) => inOven(bread(1200, h)).usual,
    );
    expect(two! / one!).to.be.closeTo(2, 0.1);
    const calls = changesOf({ start: at(0), minutes: 40, rounds: 2, turns: true });
    expect(calls.map((c) => [Date.parse(c.at) - dayZero, c.says])).to.deep.equal([
      [10 * 60_000, 'Turn it round'],
      [20 * 60_000, 'These out, the next ones in'],
      [30 * 60_000, 'Turn it round'],
    ]);
  });
});

describe('when hands are wanted', () => {
  const of = (attended: 'all' | 'start' | 'ends' | 'none') =>
    handsIn({ start: 100, end: 140, attended, hands: 3 }).map(({ from, to }) => [from, to]);
  it('all through, at the start, at both ends, or not at all', () => {
    expect(of('all')).to.deep.equal([[100, 140]]);
    expect(of('start')).to.deep.equal([[100, 103]]);
    expect(of('ends')).to.deep.equal([
      [100, 103],
      [137, 140],
    ]);
    expect(of('none')).to.deep.equal([]);
  });
});

describe('several ovens', () => {
  const kitchen = home(oven('range', 1), oven('small', 1));
  const hot = { ...rolls(500), name: 'Rolls' };
  const cool = {
    ...read('500 g bread flour\n320 g water\n10 g salt\n5 g instant yeast\n60 g butter', 'rich')
      .formula,
    style: 'rich' as const,
    name: 'Rich',
  };
  const plan = (household: Household) => {
    const answer = timedPlan({
      now: at(8),
      zone: 'UTC',
      bakes: [hot, cool].map((formula, i) => ({
        id: `b${i}`,
        formula,
        room: 21,
        device: 'hand' as const,
        readyBy: at(i === 0 ? 13.5 : 14.4),
      })),
      week: household.week,
      resources: resourcesOf({ ...household, people: 2 }),
      household,
      belief: nothingLearned,
    });
    if (!isTimed(answer)) throw new Error(answer.why);
    return answer;
  };
  it('two at two temperatures are never in one oven at once; each step says which', () => {
    const { steps, bakes } = plan(kitchen);
    const inOne = steps.filter((s) => s.kind === 'bake' || s.kind === 'heat');
    expect(inOne.every((s) => s.oven === 'range' || s.oven === 'small')).to.equal(true);
    for (const a of inOne)
      for (const b of inOne)
        if (a.bake !== b.bake && a.oven === b.oven && a.celsius !== b.celsius)
          expect(a.end <= b.start || b.end <= a.start, `${a.label} ${b.label}`).to.equal(true);
    for (const { oven: of } of bakes) expect(['range', 'small']).to.include(of);
  });
  it('of one oven nothing is told, nor where only their number is', () => {
    expect(plan(home(oven('range', 1))).bakes.map((b) => b.oven)).to.deep.equal([
      undefined,
      undefined,
    ]);
    expect(resourcesOf(kitchen).eachOven).to.deep.equal({ range: 1, small: 1 });
    expect(resourcesOf(kitchen, { ovens: 3 }))
      .to.include({ ovens: 3 })
      .and.not.have.property('eachOven');
  });
  it('the usual one is taken where it is free, and the bake goes into the one that was planned', () => {
    const { oven: chosen } = plan(kitchen).bakes[0]!;
    expect(chosen).to.equal('range');
    expect(fromPlan({}, { oven: 'small' }, hot)).to.deep.equal([
      { kind: 'oven', data: { oven: 'small' } },
    ]);
  });
});

describe('what a plan settled besides', () => {
  it('rolls in place of a loaf, and a starter to be woken, are the bake’s from its beginning', () => {
    const shaping = { form: 'rolls', pieces: 9 } as const;
    expect(fromPlan({ shaping }, { wakes: 2 }, rolls(500))).to.deep.equal([
      { kind: 'divided', data: shaping },
      { kind: 'wished', data: { wakes: 2 } },
    ]);
  });
});
