import { expect } from 'chai';
import { peaksTeach, type PeakSeen } from '@tender-crumb/core/starter';

const at = '2026-12-01T08:00:00.000Z';
const after = (hours: number) => new Date(Date.parse(at) + hours * 3_600_000).toISOString();
const peak = (hours: number, celsius: number, more: Partial<PeakSeen> = {}): PeakSeen => ({
  seed: 20,
  flour: 20,
  water: 20,
  at,
  peakAt: after(hours),
  celsius,
  whole: 0,
  ...more,
});

describe('peaks of a jar', () => {
  it('one to one to one at 25 °C stands highest after 4 to 6 hours (common practice): as foreseen it moves little', () => {
    const pace = peaksTeach(undefined, [peak(5, 25)])!;
    expect(Math.abs(pace.mean)).to.be.below(0.06);
    expect(peaksTeach(undefined, [peak(3.5, 25)])!.mean).to.be.above(0.08);
    expect(peaksTeach(undefined, [peak(7, 25)])!.mean).to.be.below(-0.08);
  });
  it('two jars fed alike, one warm and one cool: quick in the warm and slow in the cool likes it warm', () => {
    const likesWarm = peaksTeach(undefined, [peak(3.2, 30), peak(10, 19)])!;
    const likesCool = peaksTeach(undefined, [peak(5.5, 30), peak(6, 19)])!;
    expect(likesWarm.temper!.best).to.be.above(0);
    expect(likesCool.temper!.best).to.be.below(0);
    expect(likesWarm.sd).to.be.below(peaksTeach(undefined, [peak(3.2, 30)])!.sd + 1e-9);
  });
  it('what nobody saw, a pinch that nobody weighed and no flour teach nothing', () => {
    const { peakAt, ...unseen } = peak(5, 25);
    void peakAt;
    for (const of of [unseen, peak(5, 25, { seed: 0.05 }), peak(5, 25, { flour: 0 }), peak(80, 25)])
      expect(peaksTeach(undefined, [of])).to.equal(undefined);
    const known = { mean: 0.1, sd: 0.1 };
    expect(peaksTeach(known, [])).to.equal(known);
    // A jar at nothing: nothing is foreseen there, and nothing learned.
    expect(peaksTeach(known, [peak(70, -5)])).to.equal(known);
  });
});
