import { expect } from 'chai';
import { nothingLearned, kitchenOf } from '@tender-crumb/core/belief';
import { simulate, touchEnds } from '@tender-crumb/core/dough';
import { resolve } from '@tender-crumb/core/formula';
import { defaultHousehold, pantryIn } from '@tender-crumb/core/household';
import { seededRandom } from '@tender-crumb/core/quantity';
import { styles } from '@tender-crumb/core/style';
import { build, judge } from '../build.ts';

const wet = (water: number) =>
  build({ 'bread-flour': 500, water, salt: 10, 'instant-yeast': 4 }, 'hearth-yeast');
const drawn = (water: number) =>
  simulate(
    resolve(wet(water), pantryIn(defaultHousehold)),
    kitchenOf(defaultHousehold, nothingLearned),
    styles['hearth-yeast'].window,
    { draws: 6000, random: seededRandom(20261201) },
  )!;

// A finger finds no difference between a wet dough and a wetter one: what is said up there is said less surely.
describe('a dough that stands past the touch', () => {
  it('is told with more doubt, by the level and by the drawn doughs alike', () => {
    const [inside, past] = [judge(wet(330)).level, judge(wet(450)).level];
    expect(inside.points).to.be.below(touchEnds);
    expect(past.points).to.be.above(touchEnds + 5);
    const [near, far] = [drawn(330), drawn(450)];
    expect(near.sd).to.be.closeTo(inside.sd, 0.25);
    expect(far.sd).to.be.closeTo(past.sd, 0.45);
    expect(far.sd - near.sd).to.be.above(0.8);
  });

  it('the wetter the surer, until nobody feels it: from there it grows no surer', () => {
    const sure = (water: number) =>
      judge(wet(water)).corrections.find((c) => c.kind === 'water')!.certainty;
    expect(sure(405)).to.be.above(sure(380) + 0.05);
    expect(sure(500)).to.be.closeTo(sure(450), 0.02);
    expect(sure(500)).to.be.below(0.97);
  });

  it('doubts that come of it alone do not silence the level', () => {
    const past = judge(wet(450));
    expect(past.cannotTell).to.equal(undefined);
    expect(judge(wet(700)).cannotTell!.code).to.equal('beyond');
  });
});
