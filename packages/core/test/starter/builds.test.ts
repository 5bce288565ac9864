import { expect } from 'chai';
import {
  buildsFor,
  starterStanding,
  starterStandings,
  type Build,
  type BuildsAsked,
} from '@tender-crumb/core/starter';
import { isRefused } from '@tender-crumb/core/quantity';

const asked = (more: Partial<BuildsAsked> = {}): BuildsAsked => ({
  want: 100,
  keep: 20,
  hydration: 1,
  whole: 0,
  celsius: 22,
  hours: 24,
  builds: 2,
  ...more,
});
const builds = (more: Partial<BuildsAsked> = {}): Build[] => {
  const found = buildsFor(asked(more));
  if (isRefused(found)) throw new Error(found.refused.says);
  return found;
};
const mass = ({ seed, flour, water }: Build): number => seed + flour + water;

describe('builds of a starter', () => {
  it('the last makes what is wanted and kept, each before it the seed of the next', () => {
    for (const n of [1, 2, 3]) {
      const found = builds({ builds: n, hours: 30 });
      expect(found).to.have.length(n);
      expect(mass(found.at(-1)!)).to.be.closeTo(120, 1e-6);
      for (let i = 1; i < n; i += 1)
        expect(mass(found[i - 1]!)).to.be.closeTo(found[i]!.seed, 1e-6);
    }
  });

  it('each is ripe when the next is fed, and the last in time', () => {
    const found = builds({ builds: 2, hours: 20 });
    expect(found.map((b) => b.at)).to.deep.equal([0, 10]);
    for (const { hours, nearest } of found) {
      expect(nearest).to.equal(false);
      expect(hours.middle).to.be.closeTo(10, 0.1);
    }
    // With more time than two builds take, it waits before the first.
    expect(builds({ builds: 2, hours: 40 }).map((b) => b.at)).to.deep.equal([16, 28]);
  });

  it('keeps its hydration', () => {
    const [one] = builds({ builds: 1, hours: 10, hydration: 0.6 });
    const flour = one!.flour + one!.seed / 1.6;
    const water = one!.water + (one!.seed * 0.6) / 1.6;
    expect(water / flour).to.be.closeTo(0.6, 1e-9);
  });

  it('refuses more feedings than the time holds, to the hour', () => {
    expect(isRefused(buildsFor(asked({ builds: 2, hours: 6 })))).to.equal(false);
    const no = buildsFor(asked({ builds: 2, hours: 5.9 }));
    expect(isRefused(no) && no.refused.says).to.equal('2 feedings take 6 hours at least.');
    const one = buildsFor(asked({ builds: 1, hours: 2.9 }));
    expect(isRefused(one) && one.refused.says).to.equal('A feeding takes 3 hours at least.');
  });
});

describe('how a starter stands', () => {
  it('by its hours in the room and in the fridge, each row up to its end', () => {
    // Common practice, no source: forgotten in the fridge, one to two feedings, the second the night before.
    expect(starterStanding(0, 'room')).to.equal('rising');
    for (const place of ['room', 'fridge'] as const) {
      const ids = Object.keys(starterStandings) as Array<keyof typeof starterStandings>;
      for (const [i, id] of ids.slice(0, -1).entries()) {
        const end = starterStandings[id][place].value;
        expect(starterStanding(end, place), `${id} ${place}`).to.equal(id);
        expect(starterStanding(end + 0.01, place)).to.equal(ids[i + 1]);
      }
    }
    expect(starterStandings[starterStanding(7 * 24, 'fridge')].feedings).to.equal(1);
    expect(starterStandings[starterStanding(14 * 24, 'fridge')].feedings).to.equal(2);
  });
});
