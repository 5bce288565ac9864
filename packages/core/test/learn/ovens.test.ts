import { expect } from 'chai';
import {
  bakeState,
  householdOn,
  householdUnderWay,
  kitchenNow,
  type BakeEvent,
} from '@tender-crumb/core/bake';
import { bakeRecord, expectedOf } from '@tender-crumb/core/book';
import { resolve } from '@tender-crumb/core/formula';
import { nothingLearned, ovenIn, ovenPace, type Belief } from '@tender-crumb/core/belief';
import { defaultHousehold, type Household } from '@tender-crumb/core/household';
import { learnBook, learnedFigures, measuredBy, withMeasured } from '@tender-crumb/core/learn';
import { machines, type Appliance } from '@tender-crumb/core/machine';
import { breadOf, breadTasks, usualInOven } from '@tender-crumb/core/schedule';
import { build } from '../build.ts';

const oven = (id: string, offset?: number): Appliance => ({
  id,
  kind: 'oven',
  name: id,
  holds: 1,
  ...(offset === undefined ? {} : { offset }),
});
const kitchen = (...ovens: Appliance[]): Household => ({ ...defaultHousehold, appliances: ovens });
const loaf = build({ 'bread-flour': 500, water: 325, salt: 9, 'instant-yeast': 5 }, 'pan');
const lines = resolve(loaf);
const usual = usualInOven(breadOf({ id: 'l', formula: loaf }, defaultHousehold, nothingLearned));

/** A bake that was in an oven for so many times the usual minutes. */
const events = (times: number, chosen?: string): BakeEvent[] => {
  const begun = Date.UTC(2026, 4, 1, 8);
  const at = (ms: number) => new Date(ms).toISOString();
  const done = at(begun + usual * times * 60_000);
  return [
    ...(chosen
      ? [{ id: 'o', at: at(begun - 1), kind: 'oven', data: { oven: chosen } } as const]
      : []),
    { id: 'a', at: at(begun), kind: 'step', data: { step: 'bake', sense: 'begun' } },
    { id: 'b', at: done, kind: 'step', data: { step: 'bake', sense: 'done' } },
  ];
};
const bakes = (household: Household, n: number, times: number, chosen?: string, from?: Belief) => {
  let belief = from ?? nothingLearned;
  for (let i = 0; i < n; i += 1) {
    const state = bakeState(events(times, chosen));
    const made = { formula: loaf, lines, state, household, device: 'hand' as const };
    belief = withMeasured(belief, measuredBy(belief, made));
  }
  return belief;
};
const pace = (household: Household, belief: Belief, id?: string) =>
  Math.exp(ovenPace(ovenIn(household, id ? { oven: id } : {}), belief).mean);

describe('an oven', () => {
  it('learns its own pace: the second is not the first', () => {
    const both = kitchen(oven('range'), oven('small'));
    const belief = bakes(both, 8, 1.25, 'small', bakes(both, 8, 0.9));
    expect(pace(both, belief)).to.be.closeTo(0.91, 0.02);
    expect(pace(both, belief, 'small')).to.be.closeTo(1.22, 0.03);
    const minutes = (chosen?: string) => {
      const said = { id: 'l', formula: loaf, ...(chosen ? { oven: { oven: chosen } } : {}) };
      const { tasks } = breadTasks(breadOf(said, both, belief), undefined);
      return tasks.find((t) => t.kind === 'bake')!.usual;
    };
    expect(minutes('small') / minutes()).to.be.closeTo(1.34, 0.07);
    expect(minutes('sold')).to.equal(minutes());
  });

  it('that is told for the first time begins with what was learned without a name', () => {
    const before = bakes(kitchen(), 8, 1.2);
    expect(pace(kitchen(oven('range')), before)).to.be.closeTo(pace(kitchen(), before), 1e-9);
  });

  it('whose offset is told at once is as quick as any other, whatever it is', () => {
    for (const offset of [-30, -10, 0, 10, 30])
      expect(pace(kitchen(oven('range', offset)), nothingLearned)).to.be.closeTo(1, 1e-9);
  });

  it('whose offset is told later is not made up for twice', () => {
    // Twenty degrees too cool: by heat alone e^(.007 × 20) = 1.15 times the usual minutes.
    const untold = kitchen(oven('range'));
    const told = kitchen(oven('range', -20));
    const slow = bakes(untold, 12, Math.exp(0.14));
    expect(pace(untold, slow)).to.be.closeTo(1.14, 0.015);
    expect(pace(told, slow)).to.be.closeTo(1, 0.015);
    // From then on it bakes as it should, and nothing moves.
    expect(pace(told, bakes(told, 12, 1, undefined, slow))).to.be.closeTo(1, 0.01);
  });

  it('whose offset is told while the dough proofs is learned by what it was set to', () => {
    const told = kitchen(oven('range', -20));
    const untold = { day: '2026-05-01', kitchen: kitchenNow(kitchen(oven('range')), loaf) };
    const onDay = householdOn(told, untold);
    const seen = (offset?: number) => {
      const said = { oven: 'range', ...(offset === undefined ? {} : { offset }) };
      const state = { ...bakeState(events(1)), oven: said };
      const made = { formula: loaf, lines, state, household: onDay, device: 'hand' as const };
      return measuredBy(nothingLearned, made)[0]!.after.mean;
    };
    // Set 20 degrees higher it took the usual minutes: by its own dial it is slow.
    expect(seen(-20)).to.be.above(seen(0) + 0.05);
    expect(seen()).to.equal(seen(0));
    // A bake that is under way is set by what is known now.
    expect(householdUnderWay(told, untold).appliances[0]!.offset).to.equal(-20);
  });

  it('a bake from before the offset was told keeps to what was known of it then', () => {
    const untold = kitchen(oven('range'));
    const told = kitchen(oven('range', -20));
    const circumstances = { day: '2026-05-01', kitchen: kitchenNow(untold, loaf) };
    expect(householdOn(told, circumstances).appliances[0]!.offset).to.equal(undefined);
    expect(kitchenNow(told, loaf).ovens).to.deep.equal({ range: -20 });
    const book = [
      {
        id: 'b',
        bread: 'l',
        method: 'hand' as const,
        formula: loaf,
        circumstances,
        events: [
          ...events(Math.exp(0.14)),
          { id: 'f', at: '2026-05-01T10:00:00.000Z', kind: 'finished', data: {} } as BakeEvent,
          {
            id: 't',
            at: '2026-05-01T07:00:00.000Z',
            kind: 'felt',
            data: { points: 0 },
          } as BakeEvent,
        ],
      },
    ];
    const learned = (household: Household) => {
      const fold = learnBook(book, household);
      let step = fold.next();
      while (!step.done) step = fold.next();
      return step.value.belief;
    };
    const belief = learned(told);
    expect(belief.measured?.['oven:range']?.mean).to.equal(
      learned(untold).measured?.['oven:range']?.mean,
    );
    // Of a kitchen that kept no ovens, it was always as it is told now.
    const { ovens, ...kept } = circumstances.kitchen;
    void ovens;
    const always = householdOn(told, { ...circumstances, kitchen: kept });
    expect(always.appliances[0]!.offset).to.equal(-20);
  });

  it('is called by its name among what is learned, as it is set now', () => {
    const told = kitchen(oven('range', -20));
    const slow = bakes(kitchen(oven('range')), 12, Math.exp(0.14));
    const row = learnedFigures(told, slow).find((f) => f.kind === 'oven')!;
    expect(row.says).to.contain('range');
    expect(row.text(row.now.value)).to.match(/^(0\.99|1\.0[01]) ×$/);
    expect(learnedFigures(kitchen(), slow).find((f) => f.kind === 'oven')!.says).to.contain('gone');
  });

  it('the book expects of a bake what its plan would have said of that oven', () => {
    const both = kitchen(oven('range'), oven('small', 10));
    const belief = bakes(both, 8, 1.25, 'small');
    const record = bakeRecord(
      {
        id: 'b',
        name: 'Loaf',
        method: 'hand',
        startedAt: '2026-05-01T07:00:00Z',
        formula: loaf,
        circumstances: { day: '2026-05-01', kitchen: kitchenNow(both, loaf) },
        events: events(1.25, 'small'),
      },
      both,
    );
    const { middle } = expectedOf('inOven', record, both, belief)!;
    expect(middle).to.be.closeTo(usual * pace(both, belief, 'small'), 1e-6);
  });

  it('is not measured by what a machine baked', () => {
    const machine = machines['two-paddle'];
    const appliance: Appliance = { id: 'm', kind: 'machine', name: 'm', holds: 1, machine };
    const both = kitchen(oven('range'), appliance);
    const by = (use: string) => machine.programmes.find((p) => p.use === use)!.id;
    const course = { machine: 'm', size: machine.sizes[0]!, crust: 'medium' as const };
    const seen = (kind: 'by-eye' | 'dough') => {
      const noted: BakeEvent = {
        id: 'c',
        at: '2026-05-01T07:00:00.000Z',
        kind: 'course',
        data: { ...course, kind, programme: by('dough') },
      };
      const state = bakeState([noted, ...events(1.25)]);
      const made = {
        formula: loaf,
        lines,
        state,
        household: both,
        device: 'liquids-first' as const,
      };
      return measuredBy(nothingLearned, made).map((m) => m.key);
    };
    expect(seen('by-eye')).to.deep.equal([]);
    expect(seen('dough')).to.deep.equal(['oven:range']);
  });
});
