import { expect } from 'chai';
import { bakeState, type BakeEvent } from '@tender-crumb/core/bake';
import { runOf } from '@tender-crumb/core/lead';
import { level } from '@tender-crumb/core/dough';
import { resolve, type Formula } from '@tender-crumb/core/formula';
import {
  departure,
  dampKey,
  measuredKinds,
  measuredOf,
  nothingLearned,
  varianceOf,
  kitchenOf,
} from '@tender-crumb/core/belief';
import { defaultHousehold, type Household } from '@tender-crumb/core/household';
import {
  isOdd,
  learnFromBake,
  learnFromTouches,
  slipOf,
  measuredBy,
  type Touch,
} from '@tender-crumb/core/learn';
import { normalAfter } from '@tender-crumb/core/quantity';
import { build } from '../build.ts';

const loaf = build({ 'bread-flour': 500, water: 310, oil: 15, salt: 9, 'instant-yeast': 6 });
const at = level(resolve(loaf), kitchenOf(defaultHousehold))!;
const feel = 1.5;
const touch = (residual: number): Touch => ({
  residual,
  slopes: at.slopes,
  priors: at.priors,
  passing: at.passing,
});
const spread = Math.sqrt(
  varianceOf(nothingLearned, at.slopes, at.priors) +
    [...at.passing.values()].reduce((sum, p) => sum + p * p, feel * feel),
);
const moved = (residual: number) =>
  [...at.slopes].reduce(
    (sum, [key, slope]) =>
      sum + slope * departure(learnFromTouches(nothingLearned, [touch(residual)], feel), key),
    0,
  );

describe('one odd bake', () => {
  it('teaches nearly as any other near its forecast, and the less the odder far from it, with no bound between', () => {
    const far = [1, 2, 3, 4, 5, 6, 8, 10];
    const shares = far.map((n) => moved(n * spread) / (n * spread));
    expect(shares).to.deep.equal([...shares].sort((a, b) => b - a));
    expect(shares[0]! / (moved(0.01 * spread) / (0.01 * spread))).to.be.above(0.95);
    expect(shares.at(-1)!).to.be.below(0.55 * shares[0]!);
    expect(moved(-4 * spread)).to.be.closeTo(-moved(4 * spread), 1e-9);
    // No leap: a hundredth more moves it by a hundredth or so.
    for (const n of far) {
      const [a, b] = [moved(n * spread), moved(n * 1.01 * spread)];
      expect(Math.abs(b - a)).to.be.below(0.04 * Math.abs(a) + 1e-9);
    }
  });
  it('is odd where a slip is the likelier', () => {
    const odd = (n: number) => isOdd(n * spread, spread ** 2);
    const bound = [...Array(60)].map((_, i) => i / 10).find(odd)!;
    expect(bound).to.be.within(2, 4);
    const foreseen = spread ** 2;
    expect(slipOf(bound * spread, foreseen).chance).to.be.above(0.5);
    expect(slipOf((bound - 0.1) * spread, foreseen).chance).to.be.at.most(0.5);
  });

  it('is said to be odd; set aside it teaches nothing, and taken up again it does', () => {
    const felt = (points: number): BakeEvent => ({
      id: 'f',
      at: '2026-05-01T08:00:00Z',
      kind: 'felt',
      data: { points },
    });
    const counts = (id: string, counts: boolean): BakeEvent => ({
      id,
      at: `2026-05-01T09:00:0${id}Z`,
      kind: 'counts',
      data: { counts },
    });
    const far = at.points + 4 * spread;
    const learn = (...events: BakeEvent[]) =>
      learnFromBake(loaf, events, defaultHousehold, nothingLearned)!;
    expect(learn(felt(at.points)).lesson.odd).to.equal(undefined);
    expect(learn(felt(far)).lesson.odd).to.equal(true);
    const aside = learn(felt(far), counts('1', false));
    expect(aside.lesson.aside).to.equal(true);
    expect(aside.lesson.taught).to.deep.equal([]);
    expect(aside.belief).to.deep.equal(nothingLearned);
    expect(learn(felt(far), counts('1', false), counts('2', true))).to.deep.equal(learn(felt(far)));
  });
});

describe('the air of the room as it works here', () => {
  const damp: Household = { ...defaultHousehold, room: { celsius: 20, humidity: 0.85 } };
  it('is learned in damp air, and cannot be in ordinary air', () => {
    expect(at.slopes.has(dampKey)).to.equal(false);
    const wet = level(resolve(loaf), kitchenOf(damp))!;
    // Damper flour brings its own water: the dough is looser for it.
    expect(wet.slopes.get(dampKey)).to.be.greaterThan(0);
    const { belief } = learnFromBake(
      loaf,
      [{ id: 'f', at: '2026-05-01T08:00:00Z', kind: 'felt', data: { points: wet.points + 3 } }],
      damp,
      nothingLearned,
    )!;
    expect(departure(belief, dampKey)).to.be.greaterThan(0);
    // Its slope is what the level really does.
    const one = {
      keys: [dampKey],
      mean: [0.01],
      covariance: [[0]],
      bakes: {},
    };
    const none = { ...one, mean: [0] };
    const [a, b] = [none, one].map((b) => level(resolve(loaf), kitchenOf(damp, b))!.points);
    expect((b! - a!) / 0.01).to.be.closeTo(wet.slopes.get(dampKey)!, 0.2);
  });
});

describe('a cup of one flour beside the others', () => {
  it('is taken as it is filled here, for that flour alone', () => {
    const points = (flour: string, heavier: number) =>
      level(
        resolve(
          build({ [flour]: 500, water: 320, salt: 9 }, 'pan', undefined, { measured: 'volume' }),
        ),
        kitchenOf(defaultHousehold, {
          keys: ['fill:bread-flour'],
          mean: [heavier],
          covariance: [[0]],
          bakes: {},
        }),
      )!.points;
    expect(points('bread-flour', 0.1)).to.be.lessThan(points('bread-flour', 0) - 3);
    expect(points('whole-wheat', 0.1)).to.equal(points('whole-wheat', 0));
  });
});

describe('an oven that takes longer here', () => {
  it('is reckoned with in the timetable', () => {
    const minutes = (mean: number) =>
      runOf({
        id: 'b',
        formula: build(
          { 'bread-flour': 500, water: 320, salt: 9, 'instant-yeast': 5 },
          'hearth-yeast',
        ),
        device: 'hand',
        events: [],
        household: defaultHousehold,
        belief: { ...nothingLearned, measured: { oven: { mean, sd: 0.02, bakes: 9 } } },
      }).tasks.find((t) => t.kind === 'bake')!.usual;
    expect(minutes(Math.log(1.25)) / minutes(0)).to.be.closeTo(1.25, 0.03);
  });
});

describe('what bakes measure by themselves', () => {
  const bake = (begun: string, done: string, before = 900, after = 774): BakeEvent[] => [
    { id: 'a', at: begun, kind: 'step', data: { step: 'bake', sense: 'begun' } },
    { id: 'b', at: done, kind: 'step', data: { step: 'bake', sense: 'done' } },
    {
      id: 'c',
      at: done,
      kind: 'outcome',
      data: { words: [], note: '', before, after },
    },
  ];
  const seenBy = (formula: Formula, events: BakeEvent[]) =>
    measuredBy(nothingLearned, {
      formula,
      lines: resolve(formula),
      state: bakeState(events),
      household: defaultHousehold,
      device: 'hand',
    });
  const of = (events: BakeEvent[]) => seenBy(loaf, events);

  it('the minutes in the oven and the loss move towards what was seen', () => {
    const seen = of(bake('2026-05-01T08:00:00Z', '2026-05-01T08:50:00Z'));
    expect(seen.map((m) => m.key)).to.deep.equal(['oven', 'loss:style:pan']);
    const [oven, loss] = seen;
    // 840 g in one piece: 27 min × (.84 / .5)^.6 = 36.9 by the table, 50 here.
    const ratio = Math.log(50 / (27 * (0.84 / 0.5) ** 0.6));
    expect(oven!.after.mean).to.be.closeTo(
      normalAfter({ mean: 0, sd: 0.15 }, ratio, 0.12).mean,
      1e-9,
    );
    expect(loss!.after.mean).to.be.within(0.12, 0.14);
    expect(loss!.after.sd).to.be.lessThan(loss!.before.sd);
    expect(measuredOf(nothingLearned, 'loss', { style: 'pan' }).mean).to.equal(0.12);
    expect(measuredKinds.loss.key({ style: 'pan', pan: 'long-tin' })).to.equal('loss:pan:long-tin');
  });

  it('a tap that was forgotten says nothing, nor a loaf that gained', () => {
    const small = (minutes: number) =>
      seenBy(
        build({ 'bread-flour': 8, water: 4 }, 'rolls'),
        bake('2026-05-01T08:00:00Z', `2026-05-01T08:0${minutes}:00Z`),
      ).map((m) => m.key);
    // So little bread takes five minutes: two are a slip of the finger, three are not.
    expect(small(2)).to.not.include('oven');
    expect(small(3)).to.include('oven');
    expect(
      of(bake('2026-05-01T08:00:00Z', '2026-05-01T08:02:00Z')).map((m) => m.key),
    ).to.deep.equal(['loss:style:pan']);
    expect(
      of(bake('2026-05-01T08:00:00Z', '2026-05-01T11:00:00Z', 900, 950)).map((m) => m.key),
    ).to.deep.equal([]);
  });
});
