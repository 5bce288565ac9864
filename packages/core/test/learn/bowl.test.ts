import { expect } from 'chai';
import { Matrix, inverse } from 'ml-matrix';
import type { BakeEvent } from '@tender-crumb/core/bake';
import { level } from '@tender-crumb/core/dough';
import { resolve } from '@tender-crumb/core/formula';
import { blankBelief, nothingLearned, type Belief, kitchenOf } from '@tender-crumb/core/belief';
import { coefficients } from '@tender-crumb/core/coefficients';
import { defaultHousehold } from '@tender-crumb/core/household';
import {
  learnFromBake,
  learnFromTouches,
  updateBelief,
  type Touch,
  slipOf,
} from '@tender-crumb/core/learn';
import { build } from '../build.ts';
import { seeded } from '../seeded.ts';

const touch = (
  residual: number,
  slopes: Record<string, number>,
  passing: Record<string, number>,
): Touch => ({
  residual,
  slopes: new Map(Object.entries(slopes)),
  priors: new Map(Object.keys(slopes).map((key) => [key, 0.04])),
  passing: new Map(Object.entries(passing)),
});

describe('learning from every touch of a bowl', () => {
  it('equals one joint look with the bowl’s errors shared (general linear-algebra package)', () => {
    const feel = 1.5;
    const touches = [
      touch(-4, { a: -100, b: -20 }, { flour: 2, damp: 1 }),
      touch(-2.5, { a: -98, b: -20 }, { flour: 2, damp: 0.9, spoon: 0.4 }),
      touch(1, { a: -97, b: -19 }, { flour: 1.9, damp: 0.9, spoon: 0.4 }),
    ];
    const learned = learnFromTouches(blankBelief, touches, feel);

    const rows = (of: (t: Touch) => ReadonlyMap<string, number>, keys: string[]) =>
      new Matrix(touches.map((t) => keys.map((key) => of(t).get(key) ?? 0)));
    const g = rows((t) => t.slopes, ['a', 'b']);
    const p = rows((t) => t.passing, ['flour', 'damp', 'spoon']);
    // A slip is reckoned with by what the first touch is believed less for it.
    const alone = 4 + 1 + feel ** 2 + (100 ** 2 + 20 ** 2) * 0.04 ** 2;
    const doubt = 1 / slipOf(-4, alone).pull - alone;
    const noise = p.mmul(p.transpose()).add(Matrix.eye(3, 3).mul(feel ** 2 + doubt));
    const seen = Matrix.columnVector(touches.map((t) => t.residual));
    const precision = Matrix.eye(2, 2)
      .mul(1 / 0.04 ** 2)
      .add(g.transpose().mmul(inverse(noise)).mmul(g));
    const covariance = inverse(precision);
    const mean = covariance.mmul(g.transpose()).mmul(inverse(noise)).mmul(seen);
    expect(learned.keys).to.deep.equal(['a', 'b']);
    for (const i of [0, 1]) {
      expect(learned.mean[i]).to.be.closeTo(mean.get(i, 0), 1e-10);
      for (const j of [0, 1])
        expect(learned.covariance[i]![j]).to.be.closeTo(covariance.get(i, j), 1e-12);
    }
    expect(learned.bakes).to.deep.equal({ a: 1, b: 1 });
  });

  it('one touch is the plain update, and none teaches nothing', () => {
    const one = touch(-3, { a: -100 }, { flour: 2 });
    expect(learnFromTouches(blankBelief, [one], 1.5)).to.deep.equal(
      updateBelief(blankBelief, { ...one, noise: 1.5 ** 2 + 4, slips: true }),
    );
    expect(learnFromTouches(blankBelief, [], 1.5)).to.equal(blankBelief);
  });

  it('a dough touched twice tells more than once, and less than two doughs', () => {
    const a = touch(-3, { a: -100 }, { flour: 2 });
    const sd = (belief: Belief) => Math.sqrt(belief.covariance[0]![0]!);
    const [once, twice] = [[a], [a, a]].map((t) => learnFromTouches(blankBelief, t, 1.5));
    const two = learnFromTouches(once!, [a], 1.5);
    expect(sd(twice!)).to.be.lessThan(sd(once!) - 1e-4);
    expect(sd(two)).to.be.lessThan(sd(twice!) - 1e-3);
    expect([twice!.bakes, two.bakes]).to.deep.equal([{ a: 1 }, { a: 2 }]);
  });

  it('a touch is compared with the dough as it was then, before what was spooned in afterwards', () => {
    const loaf = build({ 'bread-flour': 500, water: 300, salt: 9 });
    const at = level(resolve(loaf), kitchenOf(defaultHousehold))!;
    const event = (minute: number, kind: string, data: object) =>
      ({ id: `e${minute}`, at: `2026-05-01T08:${minute}:00Z`, kind, data }) as BakeEvent;
    // Felt as forecast before the spoon, and as forecast after it: there is nothing to learn.
    const events = [
      event(10, 'felt', { points: at.points }),
      event(12, 'added', { ingredient: 'water', grams: 20 }),
      event(15, 'felt', { points: at.points + 4 }),
    ];
    const { belief, lesson } = learnFromBake(loaf, events, defaultHousehold, nothingLearned)!;
    belief.mean.forEach((by) => expect(by).to.be.closeTo(0, 1e-9));
    expect(lesson.felt).to.be.closeTo(lesson.mixed.points, 1e-9);
    expect(belief.bakes['thirst:bread-flour']).to.equal(1);
  });

  it('a baker who stops when it feels right does not draw the forecast to the window', () => {
    // Handbook: the last touch is chosen by its own error; the first is the freest.
    const random = seeded(77);
    const loaf = build({ 'bread-flour': 500, water: 265, salt: 9 });
    const truth = level(resolve(loaf), kitchenOf(defaultHousehold))!.points;
    const missed: number[] = [];
    for (let household = 0; household < 300; household += 1) {
      let at = truth;
      const events: BakeEvent[] = [];
      for (let minute = 10; minute < 30; minute += 2) {
        const points = at + coefficients.feel.value * random.normal();
        const time = `2026-05-01T08:${minute}:00Z`;
        events.push({ id: `f${minute}`, at: time, kind: 'felt', data: { points } });
        if (points > -3) break;
        const data = { ingredient: 'water', grams: 10 };
        events.push({
          id: `w${minute}`,
          at: `2026-05-01T08:${minute + 1}:00Z`,
          kind: 'added',
          data,
        });
        at += 2;
      }
      const { belief } = learnFromBake(loaf, events, defaultHousehold, nothingLearned)!;
      missed.push(level(resolve(loaf), kitchenOf(defaultHousehold, belief))!.points - truth);
    }
    const mean = missed.reduce((sum, x) => sum + x, 0) / missed.length;
    // From the last touch alone it is .5 points and more.
    expect(Math.abs(mean)).to.be.lessThan(0.2);
  });
});
