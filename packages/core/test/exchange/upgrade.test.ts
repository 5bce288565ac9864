import { expect } from 'chai';
import { NewerFormat, upgrade } from '@tender-crumb/core/exchange';
import { layLines } from '@tender-crumb/core/formula';

/** As the first version wrote it: a starter that a swap brought in, and a change of a stage that is not there. */
const first = () => ({
  format: 'tender-crumb/formula-1',
  name: 'Lockside tin loaf',
  style: 'pan',
  stages: [
    {
      id: 's1',
      kind: 'dough',
      name: 'Dough',
      lines: [
        { id: 'l1', ingredient: 'bread-flour', grams: 450, measured: 'scale', bag: 'white-autumn' },
        { id: 'l2', ingredient: 'water', grams: 280, measured: 'scale' },
      ],
    },
  ],
  taken: [
    {
      id: 't1',
      slip: 'swap:yeast:starter',
      reason: 'r',
      basis: 'b',
      stages: [{ id: 'starter', kind: 'starter', name: 'Starter' }],
      changes: [{ stage: 'starter', ingredient: 'bread-flour', grams: 50 }],
    },
    {
      id: 't2',
      slip: 'water:water:+',
      reason: '',
      basis: '',
      changes: [{ stage: 'gone', ingredient: 'water', grams: 7 }],
    },
  ],
  left: ['salt:salt:-'],
  pieces: 2,
  source: '450 g flour',
});

describe('upgrade of formulas', () => {
  it('the first format becomes the second: nothing is lost, a slip is a correction', () => {
    const { taken, ...rest } = upgrade(first());
    const { taken: before, ...same } = first();
    expect(rest).to.deep.equal({ ...same, format: 'tender-crumb/formula-2' });
    expect(taken[0]).to.deep.equal({
      id: 't1',
      correction: 'swap:yeast:starter',
      reason: 'r',
      basis: 'b',
      stages: before[0]!.stages,
      changes: before[0]!.changes,
    });
  });

  it('a change whose stage is nowhere goes to the main stage, where it always had its effect', () => {
    const formula = upgrade(first());
    expect(formula.taken[1]!.changes).to.deep.equal([
      { stage: 's1', ingredient: 'water', grams: 7 },
    ]);
    expect(layLines(formula).find((l) => l.id === 'l2')!.grams).to.equal(287);
  });

  it('is pure, and leaves today’s format as it is', () => {
    const given = first();
    const once = upgrade(given);
    expect(given).to.deep.equal(first());
    expect(upgrade(once)).to.equal(once);
  });

  it('a later format is not guessed at', () => {
    expect(() => upgrade({ ...first(), format: 'tender-crumb/formula-3' })).to.throw(NewerFormat);
  });
});
