import { expect } from 'chai';
import { solve } from 'yalps';
import { seededRandom } from '@tender-crumb/core/quantity';
import { Network } from '@tender-crumb/core/schedule';

/** The most that `to` may come after `from`, by a linear programme over the same limits. */
function byProgramme(
  size: number,
  limits: ReadonlyArray<readonly [number, number, number]>,
  from: number,
  to: number,
): number | 'infeasible' {
  const constraints: Record<string, { max: number }> = {};
  // Moments are written as the difference of two amounts, as a programme's amounts are never below 0.
  const variables: Record<string, Record<string, number>> = {};
  for (let i = 0; i < size; i += 1) {
    const goal = (i === to ? 1 : 0) - (i === from ? 1 : 0);
    variables[`+${i}`] = { goal };
    variables[`-${i}`] = { goal: -goal };
  }
  for (const [k, [a, b, most]] of limits.entries()) {
    constraints[`c${k}`] = { max: most };
    for (const [moment, sign] of [
      [b, 1],
      [a, -1],
    ] as const) {
      const [up, down] = [variables[`+${moment}`]!, variables[`-${moment}`]!];
      up[`c${k}`] = (up[`c${k}`] ?? 0) + sign;
      down[`c${k}`] = (down[`c${k}`] ?? 0) - sign;
    }
  }
  const { status, result } = solve({
    direction: 'maximize',
    objective: 'goal',
    constraints,
    variables,
  });
  return status === 'infeasible' ? 'infeasible' : status === 'unbounded' ? Infinity : result;
}

describe('moments with the most minutes between them', () => {
  it('agree with a linear programme (yalps), feasible or not, for 60 random networks', () => {
    const random = seededRandom(11);
    let [possible, not] = [0, 0];
    for (let run = 0; run < 60; run += 1) {
      const size = 5;
      const limits = Array.from({ length: 9 }, () => {
        const a = Math.floor(random() * size);
        const b = (a + 1 + Math.floor(random() * (size - 1))) % size;
        return [a, b, Math.round(random() * 70) - 16] as const;
      });
      const network = new Network(size);
      const holds = limits.every(([a, b, most]) => network.limit(a, b, most));
      for (const [from, to] of [
        [0, 1],
        [2, 4],
      ] as const) {
        const other = byProgramme(size, limits, from, to);
        if (!holds) expect(other).to.equal('infeasible');
        else if (other === Infinity) expect(network.most(from, to)).to.equal(Infinity);
        else expect(network.most(from, to)).to.be.closeTo(other as number, 1e-6);
      }
      if (holds) possible += 1;
      else not += 1;
    }
    expect(Math.min(possible, not), 'both kinds were met').to.be.above(8);
  });

  it('a copy is changed alone; what is fixed near stays in its room', () => {
    const network = new Network(2);
    network.limit(0, 1, 60);
    network.limit(1, 0, -30);
    const other = network.copy();
    other.fixNear(0, 1, 90);
    expect(other.most(0, 1)).to.equal(60);
    expect(other.least(0, 1)).to.equal(60);
    expect(network.least(0, 1)).to.equal(30);
    network.fixNear(0, 1, 10);
    expect(network.most(0, 1)).to.equal(30);
  });

  it('says no, to the minute', () => {
    const at = (most: number) => {
      const network = new Network(2);
      return network.limit(1, 0, -30) && network.limit(0, 1, most);
    };
    expect(at(30)).to.equal(true);
    expect(at(29)).to.equal(false);
  });
});
