import { expect } from 'chai';
import fc from 'fast-check';
import { nothingLearned, placeOf, type Belief } from '@tender-crumb/core/belief';
import { beliefBlocks, joinBlocks } from '@tender-crumb/core/learn';

/** Beliefs of breads, bags and flours, some of them among the figures and some resting. */
const beliefs: fc.Arbitrary<Belief> = fc
  .record({
    keys: fc.uniqueArray(
      fc.constantFrom('departure:a', 'departure:b', 'departure:c', 'touch', 'bag:a', 'departure'),
      { minLength: 1 },
    ),
    parts: fc.record(
      {
        windows: fc.constant([{ points: 2, stars: 4 }]),
        rested: fc.constant({ mean: 0.1, sd: 0.2 }),
      },
      { requiredKeys: [] },
    ),
  })
  .map(({ keys, parts }) => {
    const of = <V>(value: V) => Object.fromEntries(keys.map((key) => [key, value]));
    return {
      ...nothingLearned,
      bakes: of(3),
      ...(parts.windows ? { windows: of(parts.windows) } : {}),
      ...(parts.rested ? { rested: of(parts.rested) } : {}),
    };
  });

describe('a belief apart', () => {
  it('put together again it is what it was, whatever is taken out', () =>
    fc.assert(
      fc.property(beliefs, fc.boolean(), (belief, resting) => {
        const isOut = resting ? (key: string) => placeOf(belief, key) === undefined : undefined;
        const { shared, breads } = beliefBlocks(belief, isOut);
        expect(joinBlocks(shared, breads)).to.deep.equal(belief);
      }),
    ));

  it('what is one bread’s stands in its block, and nothing of it in what is shared', () => {
    const belief: Belief = {
      ...nothingLearned,
      bakes: { touch: 4, 'departure:lock': 3, 'departure:quay': 1, 'bag:white': 2 },
      windows: { 'departure:lock': [{ points: 1, stars: 5 }] },
      rested: { 'departure:quay': { mean: 0.02, sd: 0.01 }, 'bag:old': { mean: 0, sd: 0.1 } },
    };
    const { shared, breads } = beliefBlocks(belief);
    expect([...breads]).to.have.deep.members([
      ['departure:lock', { bakes: 3, windows: [{ points: 1, stars: 5 }] }],
      ['departure:quay', { bakes: 1, rested: { mean: 0.02, sd: 0.01 } }],
    ]);
    expect(shared.bakes).to.deep.equal({ touch: 4, 'bag:white': 2 });
    expect(JSON.stringify(shared)).to.not.contain('lock').and.not.contain('quay');
    expect(shared.rested).to.deep.equal({ 'bag:old': { mean: 0, sd: 0.1 } });
  });
});
