import { expect } from 'chai';
import { planFacts } from '../core.ts';

const began = '2026-11-26T09:00:00Z';
const at = (time: string) => `2026-11-26T${time}:00Z`;

describe('what a bake’s notes say of its plan', () => {
  it('nothing but that it began, until a rise is noted', () => {
    expect(planFacts(began, { rises: {} })).to.deep.equal({
      mix: { start: began },
      programme: { start: began },
    });
  });

  it('a rise that was there ends it, and shaping begins', () => {
    const first = {
      begunAt: at('09:30'),
      notes: [
        { sense: 'not-yet' as const, at: at('10:40') },
        { sense: 'there' as const, at: at('11:00') },
      ],
    };
    const facts = planFacts(began, { rises: { first } });
    expect(facts['mix']).to.deep.equal({ start: began, end: at('09:30') });
    expect(facts['first-rise']).to.deep.equal({ start: at('09:30'), end: at('11:00') });
    expect(facts['shape']).to.deep.equal({ start: at('11:00') });
    expect(facts['final-proof']).to.equal(undefined);
  });

  it('“not yet” ends nothing, “gone over” does', () => {
    const first = (sense: 'not-yet' | 'past') => ({
      begunAt: at('09:30'),
      notes: [{ sense, at: at('11:00') }],
    });
    expect(planFacts(began, { rises: { first: first('not-yet') } })['first-rise']).to.deep.equal({
      start: at('09:30'),
    });
    expect(planFacts(began, { rises: { first: first('past') } })['first-rise']?.end).to.equal(
      at('11:00'),
    );
  });

  it('a final proof that was begun says that the first rise is over, though nobody noted it', () => {
    const rises = {
      first: { begunAt: at('09:30'), notes: [] },
      final: { begunAt: at('11:10'), notes: [{ sense: 'there' as const, at: at('12:00') }] },
    };
    const facts = planFacts(began, { rises });
    expect(facts['first-rise']?.end).to.equal(at('11:10'));
    expect(facts['shape']).to.deep.equal({ start: at('11:10'), end: at('11:10') });
    expect(facts['final-proof']).to.deep.equal({ start: at('11:10'), end: at('12:00') });
  });
});
