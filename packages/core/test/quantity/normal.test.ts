import { expect } from 'chai';
import { normalAfter, studentBelow } from '@tender-crumb/core/quantity';

describe('Student’s t', () => {
  // Source: the table in Fisher & Yates, Statistical Tables, from memory.
  for (const [freedom, t, below] of [
    [5, 2.571, 0.975],
    [8, 1.86, 0.95],
    [10, 1.812, 0.95],
    [20, 2.086, 0.975],
    [30, 1.31, 0.9],
  ] as const)
    it(`${t} with ${freedom} degrees of freedom stands at ${below}`, () => {
      expect(studentBelow(t, freedom)).to.be.closeTo(below, 0.005);
      expect(studentBelow(-t, freedom)).to.be.closeTo(1 - below, 0.005);
    });
});

describe('a normal after a measurement', () => {
  it('lies between, nearer to what is surer, and is surer than both', () => {
    const { mean, sd } = normalAfter({ mean: 10, sd: 2 }, 16, 1);
    expect(mean).to.be.closeTo(10 + 6 * 0.8, 1e-12);
    expect(sd).to.be.closeTo(Math.sqrt(1 / (1 / 4 + 1)), 1e-12);
  });
});
