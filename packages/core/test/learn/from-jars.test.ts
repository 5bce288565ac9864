import { expect } from 'chai';
import { nothingLearned } from '@tender-crumb/core/belief';
import { riseUntil, ripeEnd, withPaces, type Pace } from '@tender-crumb/core/ferment';
import { defaultHousehold, type Household } from '@tender-crumb/core/household';
import { withJars } from '@tender-crumb/core/learn';
import {
  fedDough,
  pacesOfJar,
  peakByWarmth,
  twoJarsIn,
  type Feeding,
} from '@tender-crumb/core/starter';

const dayZero = Date.UTC(2026, 10, 3);
const at = (hours: number) => new Date(dayZero + hours * 3_600_000).toISOString();
const jar = { id: 'j', kind: 'starter', name: 'The jar', ingredient: 'bread-flour' } as const;
const household: Household = { ...defaultHousehold, bags: [jar] };
const fed = { seed: 20, flour: 40, water: 40 };
const ofFlour = { ...fed, whole: 0 };

/** When a leaven of that temper stands highest there, hours. */
function peakOf(celsius: number, truth: Pace): number {
  const dough = fedDough({ ...ofFlour, celsius });
  return riseUntil(withPaces(dough, { starter: truth }), ripeEnd(dough)).hours!;
}
const leaven = (mean: number, best: number): Pace => ({
  mean,
  sd: 0,
  temper: { best, most: 0, together: [0, 0, 0, 0, 0] },
});
const feeding = (id: string, begin: number, celsius: number, hours?: number): Feeding => ({
  id,
  at: at(begin),
  ...fed,
  celsius,
  ...(hours === undefined ? {} : { peakAt: at(begin + hours) }),
});
const known = (feedings: readonly Feeding[]) =>
  pacesOfJar(withJars(nothingLearned, household, { j: feedings }), household, 'j');
const forecast = (pace: Pace | undefined, celsius: number) =>
  peakByWarmth(ofFlour, pace, [celsius])[0]!;

describe('what the jars themselves teach', () => {
  it('two jars bring leavens of another pace and temper nearer to what they do, and narrow the band', () => {
    const off = (of: number, truth: number) => Math.abs(Math.log(of / truth));
    let [nearer, narrower, all] = [0, 0, 0];
    for (const mean of [-0.25, -0.1, 0.15, 0.3])
      for (const best of [-2, 0, 2]) {
        const truth = leaven(mean, best);
        const seen = [28, 19].map((c) => feeding(`f${c}`, 0, c, peakOf(c, truth)));
        const { starter } = known(seen);
        for (const celsius of [21, 25]) {
          const [before, after] = [undefined, starter].map((p) => forecast(p, celsius));
          const real = peakOf(celsius, truth);
          all += 1;
          if (off(after!.middle, real) < Math.max(0.08, off(before!.middle, real))) nearer += 1;
          if (after!.high / after!.low < before!.high / before!.low) narrower += 1;
        }
      }
    expect([nearer, narrower]).to.deep.equal([all, all]);
  });

  it('where only the beginning was seen, that tells; once the peak was seen, it alone', () => {
    const late = { ...feeding('f', 0, 22), risingAt: at(6) };
    expect(known([late]).starter!.mean).to.be.below(-0.02);
    const both = { ...late, peakAt: at(peakOf(22, leaven(0, 0))) };
    expect(known([both])).to.deep.equal(known([feeding('f', 0, 22, peakOf(22, leaven(0, 0)))]));
  });

  it('what a bake wrote down teaches here nothing: the book has learned it; a starter that nobody watched is as it was', () => {
    const ofBake = { ...feeding('f', 0, 22, 3), bake: 'b' };
    const learned = (of: readonly Feeding[]) => withJars(nothingLearned, household, { j: of });
    expect(learned([ofBake])).to.equal(nothingLearned);
    expect(learned([feeding('f', 0, 22)])).to.equal(nothingLearned);
  });

  it('a dough that names no jar means the only one; of two it means none', () => {
    const seen = { j: [feeding('f', 0, 22, 4)] };
    const keys = (bags: Household['bags']) =>
      Object.keys(withJars(nothingLearned, { ...household, bags }, seen).paces ?? {});
    expect(keys([jar])).to.deep.equal(['pace:bag:j', 'pace:starter']);
    expect(keys([jar, { ...jar, id: 'k' }])).to.deep.equal(['pace:bag:j']);
    expect(keys([jar, { ...jar, id: 'k', finished: true }])).to.include('pace:starter');
  });

  it('how warm a jar stood is asked, else the kitchen’s', () => {
    const { celsius, ...untold } = feeding('f', 0, 27, 4);
    void celsius;
    const warm = { ...household, room: { celsius: 27 } };
    const of = (house: Household, f: Feeding) =>
      withJars(nothingLearned, house, { j: [f] }).paces!['pace:bag:j']!.mean;
    expect(of(warm, untold)).to.equal(of(household, feeding('f', 0, 27, 4)));
    expect(of(household, untold)).to.be.above(of(warm, untold));
  });
});

describe('two jars', () => {
  const pair = (warm: number, cool: number, apart = 0) =>
    twoJarsIn([feeding('w', 0, warm), feeding('c', apart, cool)]);
  it('are two feedings of one moment, five degrees apart or more', () => {
    expect(pair(25, 20)?.warm.id).to.equal('w');
    expect(pair(24.9, 20)).to.equal(undefined);
    expect(pair(28, 20, 1)).to.equal(undefined);
    expect(pair(20, 28)?.warm.id).to.equal('c');
  });
  it('the latest of them, whatever their order', () => {
    const all = [0, 48].flatMap((h) => [feeding(`w${h}`, h, 28), feeding(`c${h}`, h, 19)]);
    expect(twoJarsIn(all)?.warm.id).to.equal('w48');
    expect(twoJarsIn([...all].reverse())?.warm.id).to.equal('w48');
  });
});
