import { expect } from 'chai';
import {
  freshPace,
  isForecast,
  learnPace,
  riseForecast,
  riseUntil,
  starterCovariance,
  usualRise,
  type Pace,
  type RiseBand,
  type RisingDough,
} from '@tender-crumb/core/ferment';
import { normalDraws, seededRandom } from '@tender-crumb/core/quantity';
import { lean } from './anchors.ts';

/** A jar fed one to two to two, in a warmth. */
const jar = (celsius: number): RisingDough => ({
  ...lean,
  celsius,
  air: [{ hours: 1, celsius }],
  starter: 20,
  salt: 0,
  water: 100,
  liquid: true,
  kilograms: 0.1,
});
const end = { gas: usualRise.figures.ripeStarter.value };
const forecast = (celsius: number, pace: Pace): RiseBand => {
  const found = riseForecast(jar(celsius), end, { starter: pace });
  if (!isForecast(found)) throw new Error(`never at ${celsius}`);
  return found;
};

/** A leaven as it is, and its peaks as they are noted: what stood in the jar that day is worth a tenth more or less. */
interface Leaven {
  readonly ln: number;
  readonly best: number;
  readonly most: number;
}
const peak = ({ ln, best, most }: Leaven, celsius: number, ripeness: number): number =>
  riseUntil(
    {
      ...jar(celsius),
      starter: jar(celsius).starter * Math.exp(ripeness),
      pace: { starter: Math.exp(ln) },
      temper: { best, most },
    },
    end,
  ).hours ?? 120;

const normal = normalDraws(seededRandom(20261201));
const leavens: readonly Leaven[] = Array.from({ length: 40 }, () => ({
  ln: 0.22 * normal(),
  best: 2 * normal(),
  most: 1.3 * normal(),
}));
/** What four noted peaks teach, two in the warm and two in the cool, by a thermometer that is half a degree off. */
function taught(leaven: Leaven, warmths: readonly number[] = [29, 29, 20, 20]): Pace {
  let pace: Pace = freshPace('starter');
  for (const celsius of warmths) {
    const hours = peak(leaven, celsius + 0.5 * normal(), 0.1 * normal());
    pace = learnPace(pace, forecast(celsius, pace), 'starter', { hours, sense: 'there' });
  }
  return pace;
}

describe('a starter’s temper, learned from its peaks', () => {
  it('after two peaks in the warm and two in the cool the next one is known, at 18 to 31 °C, within 15 % in nine of ten', () => {
    let near = 0;
    let all = 0;
    let inBand = 0;
    for (const leaven of leavens) {
      const pace = taught(leaven);
      for (const celsius of [18, 24, 31]) {
        const is = peak(leaven, celsius, 0);
        const band = forecast(celsius, pace);
        all += 1;
        if (Math.abs(Math.log(band.middle / is)) < Math.log(1.15)) near += 1;
        if (is > band.low && is < band.high) inBand += 1;
      }
    }
    expect(near / all).to.be.at.least(0.9);
    expect(inBand / all).to.be.at.least(0.75);
  });

  it('peaks in one warmth leave the other as open as it was, nearly; and in the heat the band says how little is known', () => {
    const [leaven] = leavens;
    const sd = (celsius: number, pace: Pace) => forecast(celsius, pace).sd;
    const fresh = freshPace('starter');
    const cool = taught(leaven!, [21, 21, 21, 21]);
    const both = taught(leaven!);
    expect(sd(21, cool)).to.be.below(0.75 * sd(21, fresh));
    expect(sd(30, both)).to.be.below(sd(30, cool));
    expect(sd(35, both)).to.be.above(1.3 * sd(28, both));
  });

  it('an eager one in the warm that is slow in the cool likes it warm', () => {
    const pace = taught({ ln: 0, best: 3, most: 2 });
    expect(pace.temper!.best).to.be.above(0.5);
    const other = taught({ ln: 0, best: -3, most: -2 });
    expect(other.temper!.best).to.be.below(-0.5);
  });

  it('what is believed is never less than nothing doubtful, and no wider than before', () => {
    for (const leaven of leavens.slice(0, 10)) {
      let pace: Pace = freshPace('starter');
      for (const [celsius, sense] of [
        [28, 'there'],
        [20, 'not-yet'],
        [33, 'past'],
        [20, 'there'],
      ] as const) {
        const before = starterCovariance(pace);
        const hours = peak(leaven, celsius, 0);
        pace = learnPace(pace, forecast(celsius, pace), 'starter', { hours, sense });
        const after = starterCovariance(pace);
        for (let i = 0; i < 3; i += 1) {
          expect(after[i]![i]!).to.be.at.most(before[i]![i]! + 1e-12);
          expect(after[i]![i]!).to.be.at.least(0);
          for (let j = 0; j < i; j += 1)
            expect(after[i]![j]! ** 2).to.be.at.most(after[i]![i]! * after[j]![j]! + 1e-12);
        }
      }
    }
  });
});
