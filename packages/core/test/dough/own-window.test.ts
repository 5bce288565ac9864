import { expect } from 'chai';
import { sideOf } from '@tender-crumb/core/bake';
import { minded, outside, ownWindow, windowIn } from '@tender-crumb/core/dough';
import { evaluate } from '@tender-crumb/core/evaluate';
import { departureKey, nothingLearned, type WindowLook } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { learnFromOutcome } from '@tender-crumb/core/learn';
import { normalBelow } from '@tender-crumb/core/quantity';
import { styles } from '@tender-crumb/core/style';
import { build } from '../build.ts';
import { seeded } from '../seeded.ts';

const style = [-3, 5] as const;
const good = (points: number): WindowLook => ({ points, stars: 5 });
const loose = (points: number): WindowLook => ({ points, stars: 3, side: 'loose' });

describe('where this household’s loaves come out well', () => {
  it('is the style’s before the first, and hardly another after one', () => {
    expect(ownWindow(style, 1.5, [])).to.deep.equal({ window: [-3, 5], sd: [1.5, 1.5], looks: 0 });
    const [low, high] = ownWindow(style, 1.5, [good(7)]).window;
    expect(low).to.be.closeTo(-3, 0.01);
    expect(high).to.be.within(5.2, 6.2);
    expect(() => ownWindow(style, 0, [])).to.throw(RangeError);
  });

  it('six of seven that came out as they should beyond its end move that end past them', () => {
    const looks = [7, 7.5, 8, 7, 9, 8].map(good);
    const { window, sd } = ownWindow(style, 3, [...looks, { points: 8, stars: 2, side: 'loose' }]);
    expect(window[1]).to.be.greaterThan(7.2);
    expect(sd[1]).to.be.lessThan(2);
    expect(window[0]).to.be.closeTo(-3, 0.1);
  });

  it('loaves that spread inside it draw its end in, and never its ends past one another', () => {
    const [low, high] = ownWindow(style, 3, [4, 4, 3.5, 4, 3].map(loose)).window;
    expect(high).to.be.lessThan(3);
    expect(low).to.be.lessThan(high - 2);
  });

  it('one odd bake in ten moves it little', () => {
    const many = Array.from({ length: 10 }, (_, i) => good(i / 2 - 1));
    const before = ownWindow(style, 1.5, many).window;
    const after = ownWindow(style, 1.5, [...many, { points: 0, stars: 1, side: 'loose' }]).window;
    expect(before[1] - after[1]).to.be.within(0, 0.9);
  });

  it('a household that never says the highest moves nothing by it', () => {
    const { window } = ownWindow(
      style,
      1.5,
      [0, 1, 2, -1, 3, 0, 2, -2].map((points) => ({ points, stars: 4 })),
    );
    expect(Math.abs(window[0] + 3)).to.be.lessThan(0.5);
    expect(Math.abs(window[1] - 5)).to.be.lessThan(0.5);
  });

  it('finds the ends of 300 households drawn from what is believed, its 80 % intervals hold 3 in 4 to 9 in 10', () => {
    const random = seeded(4711);
    let held = 0;
    let nearer = 0;
    let ends = 0;
    for (let household = 0; household < 300; household += 1) {
      const truth = [-3 + 2.5 * random.normal(), 5 + 2.5 * random.normal()];
      if (truth[1]! - truth[0]! < 3) continue;
      const looks = Array.from({ length: 14 }, (): WindowLook => {
        const points = truth[0]! - 4 + (truth[1]! - truth[0]! + 8) * random.uniform();
        const [under, over] = [truth[0]! - points, points - truth[1]!];
        const out = Math.max(0, under, over);
        const stars = Math.round(Math.max(1, Math.min(5, 4.8 - out / 1.5 + 0.7 * random.normal())));
        const side = under > 1 ? 'tight' : over > 1 ? 'loose' : undefined;
        return { points: points + 1.5 * random.normal(), stars, ...(side ? { side } : {}) };
      });
      const own = ownWindow(style, 2.5, looks);
      for (const i of [0, 1] as const) {
        ends += 1;
        if (Math.abs(own.window[i] - truth[i]!) <= 1.2816 * own.sd[i]) held += 1;
        if (Math.abs(own.window[i] - truth[i]!) < Math.abs(style[i] - truth[i]!)) nearer += 1;
      }
    }
    expect(held / ends).to.be.within(0.72, 0.9);
    expect(nearer / ends).to.be.greaterThan(0.72);
  });
});

describe('a judged loaf', () => {
  const outcome = { stars: 5, words: [], note: '' };
  it('is remembered of its bread; unjudged or unfelt it is not', () => {
    const once = learnFromOutcome(nothingLearned, outcome, 6);
    expect(once.windows).to.deep.equal({ [departureKey]: [{ points: 6, stars: 5 }] });
    expect(learnFromOutcome(nothingLearned, outcome, undefined)).to.equal(nothingLearned);
    expect(learnFromOutcome(nothingLearned, undefined, 6)).to.equal(nothingLearned);
    expect(learnFromOutcome(nothingLearned, { words: ['pale'], note: '' }, 6)).to.equal(
      nothingLearned,
    );
    let many = nothingLearned;
    for (let i = 0; i < 70; i += 1) many = learnFromOutcome(many, outcome, i);
    expect(many.windows![departureKey]).to.have.length(60);
    expect(many.windows![departureKey]!.at(-1)!.points).to.equal(69);
  });

  it('its words say a side where they are of the water, none where they are of the time', () => {
    expect(sideOf(['dense'])).to.equal('tight');
    expect(sideOf(['spread flat', 'gummy'])).to.equal('loose');
    expect(sideOf(['dense', 'gummy'])).to.equal(undefined);
    expect(sideOf(['dense', 'under-proofed'])).to.equal(undefined);
    expect(sideOf(['pale'])).to.equal(undefined);
  });

  it('a dough that was told to hold back water is right once their loaves say so', () => {
    const formula = build(
      { 'bread-flour': 500, water: 348, oil: 15, salt: 9, 'instant-yeast': 5 },
      'hearth-yeast',
    );
    const before = evaluate(formula, defaultHousehold, nothingLearned)!;
    const beyond = before.styleWindow[1] + 2;
    let belief = nothingLearned;
    for (let i = 0; i < 7; i += 1) belief = learnFromOutcome(belief, outcome, beyond + (i % 3));
    const after = evaluate(formula, defaultHousehold, belief)!;
    expect(before.looks).to.equal(0);
    expect(before.window).to.deep.equal(before.styleWindow);
    expect(after.looks).to.equal(7);
    expect(after.styleWindow).to.deep.equal(before.styleWindow);
    expect(after.window[1]).to.be.greaterThan(before.window[1] + 1);
    expect(
      windowIn('hearth-yeast', 0, { figures: {}, belief: nothingLearned }).style,
    ).to.deep.equal(styles['hearth-yeast'].window);
    expect(after.edge).to.be.at.most(before.edge);
    // Of two ends the one that is known less says how sure a correction is.
    const looks = belief.windows![departureKey]!;
    const { sd } = ownWindow(before.styleWindow, before.edge, looks);
    expect(sd[0]).to.not.equal(sd[1]);
    expect(after.edge).to.equal(Math.max(...sd));
    // A correction is the less sure, the less the end is known that it goes by: some points outside.
    const judged = (water: number) =>
      evaluate(
        build({ 'bread-flour': 500, water, oil: 15, salt: 9, 'instant-yeast': 5 }, 'hearth-yeast'),
        defaultHousehold,
        belief,
      )!;
    const beyondBy = (water: number) => {
      const { level, window } = judged(water);
      return outside(level.points, window);
    };
    let water = 340;
    while (beyondBy(water) < 3) water += 2;
    const { corrections, edge, level } = judged(water);
    const sure = corrections.find((c) => c.kind === 'water')!.certainty;
    const off = minded(level.points, beyondBy(water));
    expect(sure).to.be.closeTo(normalBelow(off / Math.hypot(level.sd, edge)), 1e-6);
    expect(sure).to.be.lessThan(normalBelow(off / level.sd) - 0.005);
  });
});
