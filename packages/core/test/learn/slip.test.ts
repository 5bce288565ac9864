import { expect } from 'chai';
import {
  blankBelief,
  feelOf,
  kitchenOf,
  nothingLearned,
  withTouch,
} from '@tender-crumb/core/belief';
import { defaultHousehold, withBaker } from '@tender-crumb/core/household';
import { foreseenBy, slipOf, updateBelief } from '@tender-crumb/core/learn';

/** A normal's density. */
const normal = (x: number, sd: number) =>
  Math.exp(-((x / sd) ** 2) / 2) / (sd * Math.sqrt(2 * Math.PI));

describe('a slip is no lesson', () => {
  /** Mean and spread of a figure after one look, by adding up its posterior in small steps. */
  function byQuadrature(prior: number, slope: number, noise: number, residual: number) {
    let [mass, mean, square] = [0, 0, 0];
    const step = prior / 400;
    for (let x = -9 * prior; x <= 9 * prior; x += step) {
      const off = residual - slope * x;
      const likelihood =
        0.9 * normal(off, Math.sqrt(noise)) + 0.1 * normal(off, Math.sqrt(noise + 64));
      const weight = normal(x, prior) * likelihood;
      mass += weight;
      mean += weight * x;
      square += weight * x * x;
    }
    mean /= mass;
    return { mean, sd: Math.sqrt(square / mass - mean ** 2) };
  }

  it('one figure, one look: the moments are those of the mixture itself (added up in small steps)', () => {
    const [prior, slope, noise] = [0.03, -100, 4.5];
    for (const residual of [0, 1, -3, 5, 8, -12, 20]) {
      const learned = updateBelief(blankBelief, {
        residual,
        slopes: new Map([['a', slope]]),
        priors: new Map([['a', prior]]),
        noise,
        slips: true,
      });
      const { mean, sd } = byQuadrature(prior, slope, noise, residual);
      expect(learned.mean[0], `mean at ${residual}`).to.be.closeTo(mean, 1e-6);
      expect(Math.sqrt(learned.covariance[0]![0]!), `sd at ${residual}`).to.be.closeTo(sd, 1e-6);
    }
  });

  it('the chance of one grows with the distance, and is a tenth where nothing is told', () => {
    const chances = [0, 3, 6, 9, 12, 20].map((r) => slipOf(r, 9).chance);
    expect(chances).to.deep.equal([...chances].sort((a, b) => a - b));
    expect(slipOf(0, 1e9).chance).to.be.closeTo(0.1, 1e-6);
    expect(chances.at(-1)).to.be.above(0.99);
    // A decimal point forgotten: no figure is lost by it.
    for (const far of [1e3, -1e6]) {
      const { chance, pull, shrink } = slipOf(far, 2);
      expect(chance).to.equal(1);
      expect([pull, shrink]).to.deep.equal([1 / 66, 1 / 66]);
      const kept = withTouch(nothingLearned, kitchenOf(defaultHousehold), (n) =>
        foreseenBy(far, n),
      );
      expect(kept).to.equal(nothingLearned);
    }
  });
});

describe('whose hand it is', () => {
  const kitchen = (baker?: string) => kitchenOf(withBaker(defaultHousehold, baker), nothingLearned);
  /** So many touches of a baker whose noise is that, foreseen but for it. */
  const after = (noise: number, touches: number, baker?: string) => {
    let belief = nothingLearned;
    // The places of a normal, in an order that repeats: as steady as its spread says.
    const places = [0.13, -0.67, 1.28, -0.25, 0.52, -1.28, 0.25, 0.67, -0.52, -1.64, 0.93, -0.13];
    for (let i = 0; i < touches; i += 1) {
      const residual = noise * 1.06 * places[i % places.length]!;
      belief = withTouch(belief, kitchen(baker), (n) => foreseenBy(residual, 1 + n * n));
    }
    return belief;
  };
  it('nobody knows a new hand: it is taken for a little unsteadier than most', () => {
    // √Σ share · (times · 1.5)², by hand.
    expect(feelOf(kitchen())).to.be.closeTo(2.06, 0.01);
  });
  it('a steady one and an unsteady one are told apart in twelve touches', () => {
    const feel = (noise: number) => feelOf({ ...kitchen(), belief: after(noise, 12) });
    expect(feel(1)).to.be.below(1.6);
    expect(feel(3)).to.be.above(2.2);
    expect(feel(1)).to.be.below(feel(1.5));
  });
  it('each has a hand of his own', () => {
    const belief = after(3, 12, 'ilse');
    const of = (baker?: string) => feelOf({ ...kitchen(baker), belief });
    expect(of('ilse')).to.be.above(2.2);
    expect(of()).to.be.closeTo(2.06, 0.01);
    expect(of('usual')).to.equal(of());
  });
  it('one that a household set itself scales all of them', () => {
    const coefficients = {
      ...kitchen().coefficients,
      feel: { ...kitchen().coefficients.feel, value: 3 },
    };
    expect(feelOf({ ...kitchen(), coefficients })).to.be.closeTo(2 * feelOf(kitchen()), 1e-9);
  });
});
