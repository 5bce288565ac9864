import { expect } from 'chai';
import { type BakeEvent } from '@tender-crumb/core/bake';
import { planFacts, putOff, runOf } from '@tender-crumb/core/lead';
import type { Formula } from '@tender-crumb/core/formula';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import type { DeviceId } from '@tender-crumb/core/machine';
import { build } from '../build.ts';
import { demoBreads } from '../../../../demo/formulas.ts';

const loaf = build({ 'bread-flour': 500, water: 310, salt: 9, 'instant-yeast': 6 });
const sour = demoBreads.find((b) => b.id === 'towpath-sourdough')!.formula;
const at = (time: string) => `2026-11-26T${time}:00Z`;
const iso = (time: string) => `2026-11-26T${time}:00.000Z`;

const bake = (
  events: ReadonlyArray<readonly [string, BakeEvent['kind'], unknown]>,
  formula: Formula = loaf,
  device: DeviceId = 'hand',
) => {
  const run = runOf({
    id: 'b',
    formula,
    device,
    events: events.map(
      ([time, kind, data], i) => ({ id: `e${i}`, at: at(time), kind, data }) as BakeEvent,
    ),
    household: defaultHousehold,
    belief: nothingLearned,
  });
  return { ...run, facts: planFacts(run.steps, run.state) };
};
const weighed = ['09:00', 'weighed', { item: 'l1', grams: 500, byScale: true }] as const;
const rise = (rise: 'first' | 'final', sense: string) => ({ rise, sense });
const step = (step: string, sense: string, minutes?: number) => ({
  step,
  sense,
  ...(minutes ? { minutes } : {}),
});

describe('what a run says of its plan', () => {
  it('nothing until something is weighed; then the dough has begun', () => {
    expect(bake([]).facts).to.deep.equal({});
    const first = loaf.stages[0]!.lines[0]!.id;
    expect(
      bake([['09:00', 'weighed', { item: first, grams: 500, byScale: true }]]).facts,
    ).to.deep.equal({
      mix: { start: at('09:00') },
    });
  });

  it('a rise that was there ends it; “not yet” ends nothing, “gone over” does', () => {
    const began = ['09:30', 'rise', rise('first', 'begun')] as const;
    const noted = (sense: string) =>
      bake([weighed, began, ['11:00', 'rise', rise('first', sense)]]).facts;
    expect(noted('there')['mix']).to.include({ end: at('09:30') });
    expect(noted('there')['first-rise']).to.deep.equal({ start: at('09:30'), end: at('11:00') });
    expect(noted('not-yet')['first-rise']).to.deep.equal({ start: at('09:30') });
    expect(noted('past')['first-rise']?.end).to.equal(at('11:00'));
    expect(noted('there')['final-proof']).to.equal(undefined);
  });

  it('a final proof that was begun says that the first rise is over, though nobody noted it', () => {
    const { facts } = bake([
      weighed,
      ['09:30', 'rise', rise('first', 'begun')],
      ['11:10', 'rise', rise('final', 'begun')],
      ['12:00', 'rise', rise('final', 'there')],
    ]);
    expect(facts['first-rise']?.end).to.equal(at('11:10'));
    expect(facts['shape']?.end).to.equal(at('11:10'));
    expect(facts['final-proof']).to.deep.equal({ start: at('11:10'), end: at('12:00') });
  });

  it('an oven that is heated says nothing of the dough; what is baked does', () => {
    const heats = bake([
      weighed,
      ['09:30', 'rise', rise('first', 'begun')],
      ['11:00', 'step', step('heat', 'begun')],
    ]);
    expect(heats.facts['first-rise']).to.deep.equal({ start: at('09:30') });
    expect(heats.facts['heat']).to.deep.equal({ start: at('11:00') });
    const bakes = bake([
      weighed,
      ['11:00', 'step', step('heat', 'begun')],
      ['11:20', 'step', step('bake', 'begun')],
    ]);
    expect(bakes.facts['heat']?.end).to.equal(at('11:20'));
    expect(bakes.facts['final-proof']?.end).to.equal(at('11:20'));
  });

  it('what takes longer is not over before so many minutes from the tap; the last tap holds', () => {
    const longer = bake([
      weighed,
      ['11:20', 'step', step('bake', 'begun')],
      ['11:50', 'step', step('bake', 'longer', 10)],
      ['11:52', 'step', step('bake', 'longer', 13)],
    ]);
    expect(longer.facts['bake']).to.deep.equal({ start: at('11:20'), notBefore: iso('12:05') });
    const over = bake([
      ['11:20', 'step', step('bake', 'begun')],
      ['11:50', 'step', step('bake', 'longer', 10)],
      ['12:01', 'step', step('bake', 'done')],
    ]);
    expect(over.facts['bake']).to.deep.equal({ start: at('11:20'), end: at('12:01') });
  });

  it('what is put off begins no sooner; begun, it is put off no more', () => {
    const events = [['09:00', 'step', step('bake', 'later', 15)]] as const;
    const later = bake(events);
    expect(putOff(later.steps, later.state)).to.deep.equal({ bake: iso('09:15') });
    const begun = bake([...events, ['09:10', 'step', step('bake', 'begun')]]);
    expect(putOff(begun.steps, begun.state)).to.deep.equal({});
  });

  it('a step that is left out is over where it was', () => {
    const { facts } = bake([weighed, ['10:00', 'step', step('first-rise', 'skipped')]]);
    expect(facts['first-rise']).to.deep.equal({ start: at('10:00'), end: at('10:00') });
  });

  it('a starter that is fed on the day before has not begun the dough', () => {
    const starter = sour.stages.find((s) => s.kind === 'starter')!.id;
    const { facts, steps } = bake([['08:00', 'step', step(`${starter}:feed`, 'done')]], sour);
    expect(facts[`${starter}:feed`]?.end).to.equal(at('08:00'));
    expect(facts[`${starter}:ripen`]).to.deep.equal({ start: at('08:00') });
    expect(facts['mix']).to.equal(undefined);
    expect(steps.find((s) => s.kind === 'ripen')?.standing).to.equal('under-way');
  });
});
