import { expect } from 'chai';
import { departure, doubtOf, feelOf, kitchenOf, nothingLearned } from '@tender-crumb/core/belief';
import { level } from '@tender-crumb/core/dough';
import { resolve } from '@tender-crumb/core/formula';
import { defaultHousehold, withBaker, type Household } from '@tender-crumb/core/household';
import { learnBook, taskDoughs, withTouchTasks } from '@tender-crumb/core/learn';
import { build } from '../build.ts';
import { seeded } from '../seeded.ts';
import { between } from '../checks/near.ts';

const points = taskDoughs.map(
  ({ flour, water }) =>
    level(resolve(build({ 'bread-flour': flour, water })), kitchenOf(defaultHousehold))!.points,
);
const tried = (off: readonly number[], id = 'usual'): Household => ({
  ...defaultHousehold,
  bakers: [
    {
      id,
      name: 'Ilse',
      felt: {
        flour: 'bread-flour',
        on: '2026-05-01',
        points: points.map((p, i) => p + off[i]!) as [number, number, number],
      },
    },
  ],
});
const after = (off: readonly number[]) => withTouchTasks(nothingLearned, tried(off));
const touchSd = 1.5;

describe('a hand that is tried on three doughs', () => {
  it('nobody tried: nothing is known; a flour that is gone says nothing', () => {
    expect(withTouchTasks(nothingLearned, defaultHousehold)).to.equal(nothingLearned);
    const gone = tried([1, 1, 1]);
    const bakers = gone.bakers.map((b) => ({ ...b, felt: { ...b.felt!, flour: 'no-such-flour' } }));
    expect(withTouchTasks(nothingLearned, { ...gone, bakers })).to.equal(nothingLearned);
  });

  it('their middle tells how the hand leans; it is surer of it, and of the flour hardly', () => {
    const leans = [-4, 0, 4].map((by) => departure(after([by, by, by]), 'touch'));
    expect(leans[0]).to.be.below(-1);
    expect(leans[1]).to.be.closeTo(0, 0.05);
    expect(leans[2]).to.be.above(1);
    expect(doubtOf(after([2, 2, 2]), 'touch', touchSd)).to.be.below(0.9 * touchSd);
  });

  it('their spread tells how steady it is', () => {
    const feel = (off: readonly number[]) =>
      feelOf({ ...kitchenOf(tried(off), after(off)), belief: after(off) });
    expect(feel([0.2, -0.1, 0])).to.be.below(feel([0, 0, 3]));
    expect(feel([0, 0, 3])).to.be.below(feel([-5, 0, 5]));
    expect(feel([-5, 0, 5])).to.be.above(2.2);
  });

  it('another baker is not told by it', () => {
    const house = tried([4, 4, 4], 'ilse');
    const belief = withTouchTasks(nothingLearned, house);
    expect(departure(belief, 'touchBy:ilse')).to.be.above(1);
    expect(departure(belief, 'touch')).to.equal(0);
    const of = (baker: string) =>
      level(
        resolve(build({ 'bread-flour': 500, water: 310 })),
        kitchenOf(withBaker(house, baker), belief),
      )!.points;
    expect(of('ilse')).to.be.above(of('usual') + 1);
  });

  it('an empty book begins from it', () => {
    const fold = learnBook([], tried([3, 3, 3]));
    const { value } = fold.next();
    expect('belief' in value! && departure(value.belief, 'touch')).to.be.above(0.5);
  });

  /** Share of hands drawn whose first dough lies in its 80 % band. */
  const held = (bias: number, task: boolean) => {
    const random = seeded(7);
    const lines = resolve(build({ 'bread-flour': 500, water: 325, salt: 10 }));
    let inside = 0;
    const hands = 400;
    for (let i = 0; i < hands; i += 1) {
      const thirst = 0.023 * random.normal();
      const own = 0.7 * random.normal();
      const off = taskDoughs.map(() => bias - 100 * thirst + own + 1.5 * random.normal());
      const belief = task ? after(off) : nothingLearned;
      const at = level(lines, kitchenOf(defaultHousehold, belief))!;
      const truth =
        level(lines, kitchenOf(defaultHousehold))!.points +
        bias -
        100 * thirst +
        2 * random.normal();
      if (truth >= at.low && truth <= at.high) inside += 1;
    }
    return (100 * inside) / hands;
  };
  between(
    'Certainty',
    'first dough of a hand that leans by 3, of 100 in their band, the hand tried before',
    'simulated households; 80 % is what is stated',
    () => held(3, true),
    [72, 92],
  );
  it('and without it that first band holds far fewer', () => {
    expect(held(3, false)).to.be.below(held(3, true) - 10);
  });
});
