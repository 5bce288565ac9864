import { expect } from 'chai';
import { bakeState, jarFeedings, type BakeEvent } from '@tender-crumb/core/bake';
import { hoursToPeak } from '@tender-crumb/core/starter';

const at = (hour: number) => new Date(Date.UTC(2026, 10, 26, hour)).toISOString();
const fed = (id: string, hour: number, jar?: string): BakeEvent => ({
  id,
  at: at(hour),
  kind: 'fed',
  data: { stage: 's1', seed: 10, flour: 50, water: 45, ...(jar ? { jar } : {}) },
});
const peaked = (id: string, hour: number): BakeEvent => ({
  id,
  at: at(hour),
  kind: 'peaked',
  data: { stage: 's1' },
});
const retracted = (event: string): BakeEvent => ({
  id: `no-${event}`,
  at: at(23),
  kind: 'retracted',
  data: { event },
});
const jars = (...events: readonly BakeEvent[]) => jarFeedings('b1', bakeState(events));

describe('a bake’s feedings', () => {
  it('feed the jar: with its grams, its moment, and the bake that wrote it down', () => {
    expect(jars(fed('f', 8, 'rye'))).to.deep.equal([
      {
        jar: 'rye',
        feeding: { id: 'b1_f', at: at(8), seed: 10, flour: 50, water: 45, bake: 'b1' },
      },
    ]);
  });

  it('of no jar are the bake’s alone; taken back, they are nobody’s', () => {
    expect(jars(fed('f', 8))).to.deep.equal([]);
    expect(jars(fed('f', 8, 'rye'), retracted('f'))).to.deep.equal([]);
  });

  it('stand highest when that was first said after them, each its own', () => {
    const said = jars(
      fed('f', 8, 'rye'),
      peaked('p', 14),
      peaked('late', 15),
      fed('g', 16, 'rye'),
      peaked('q', 21),
    );
    expect(said.map((f) => hoursToPeak(f.feeding))).to.deep.equal([6, 5]);
    // Fed again before it stood highest: nobody saw the first one's peak.
    const again = jars(fed('f', 8, 'rye'), fed('g', 10, 'rye'), peaked('p', 15));
    expect(again.map((f) => hoursToPeak(f.feeding))).to.deep.equal([undefined, 5]);
    expect(jars(peaked('p', 7), fed('f', 8, 'rye'))[0]!.feeding.peakAt).to.equal(undefined);
  });
});
