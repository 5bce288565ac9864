import { expect } from 'chai';
import { bakeState, loafAsked, type BakeEvent } from '@tender-crumb/core/bake';

const at = (hours: number) =>
  new Date(Date.UTC(2026, 10, 26, 12) + hours * 3_600_000).toISOString();
const told = (...events: ReadonlyArray<readonly [kind: string, data: unknown]>) =>
  bakeState(
    events.map(([kind, data], i) => ({ id: String(i), at: at(0), kind, data }) as BakeEvent),
  );
const baked = ['step', { step: 'bake', sense: 'done' }] as const;

describe('a loaf of which nobody has said how it came out', () => {
  it('is asked about from three hours after the oven on, for four days', () => {
    const state = told(baked);
    expect([2.9, 3, 96, 96.1].map((h) => loafAsked(state, at(h)))).to.deep.equal([
      undefined,
      at(0),
      at(0),
      undefined,
    ]);
  });

  it('also where the bake is over and only its grade is missing', () => {
    expect(loafAsked(told(['finished', {}]), at(20))).to.equal(at(0));
    expect(
      loafAsked(told(['outcome', { words: ['dense'], note: '' }], ['finished', {}]), at(20)),
    ).to.equal(at(0));
  });

  it('is not asked about once it has its grade, nor of what never was baked', () => {
    expect(loafAsked(told(baked, ['outcome', { stars: 4, words: [], note: '' }]), at(20))).to.equal(
      undefined,
    );
    expect(loafAsked(told(baked, ['abandoned', {}]), at(20))).to.equal(undefined);
    expect(loafAsked(told(['felt', { points: 2 }]), at(20))).to.equal(undefined);
    expect(loafAsked(told(['step', { step: 'first-rise', sense: 'done' }]), at(20))).to.equal(
      undefined,
    );
  });
});
