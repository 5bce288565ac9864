import { expect } from 'chai';
import { Matrix, inverse } from 'ml-matrix';
import { helped, outcomes, turnOf, type BakeRecord } from '@tender-crumb/core/book';
import { setGrams } from '@tender-crumb/core/formula';
import { defaultHousehold, type Household } from '@tender-crumb/core/household';
import { seeded } from '../seeded.ts';
import { aBake, loaf } from './a-bake.ts';

const wet = setGrams(loaf, loaf.stages[0]!.lines[1]!.id, 340);
const of = (records: BakeRecord[], outcome: 'stars' | 'height' = 'height') =>
  helped(records, outcome, defaultHousehold)!;
const bake = (day: number, height: number, more: Parameters<typeof aBake>[1] = {}) =>
  aBake(day, { ...more, outcome: { height } });

describe('what was changed, and whether it helped', () => {
  it('is asked of two bakes at least that have the outcome', () => {
    expect(helped([aBake(1)], 'stars', defaultHousehold)).to.equal(undefined);
    expect(helped([aBake(1), aBake(2)], 'stars', defaultHousehold)).to.equal(undefined);
    expect(of([bake(1, 90), bake(2, 91)]).effects).to.deep.equal([]);
  });

  it('three bakes prove little, however large the difference', () => {
    const [effect] = of([bake(1, 90), bake(2, 91), bake(3, 120, { formula: wet })]).effects;
    expect(effect).to.include({ key: 'water', with: 1, without: 2, conclusion: 'no telling' });
    expect(effect!.effect).to.be.greaterThan(0);
  });

  it('just below and just above the bakes that it takes: three with it, at a look', () => {
    const run = (wetAt: readonly number[], bakes = 14) =>
      of(
        Array.from({ length: bakes }, (_, i) =>
          wetAt.includes(i)
            ? bake(i + 1, 118 + (i % 2), { formula: wet })
            : bake(i + 1, 90 + (i % 2)),
        ),
      );
    expect(run([4, 9]).effects[0]).to.include({ conclusion: 'no telling' });
    const [found] = run([4, 7, 11]).effects;
    expect(found).to.include({ conclusion: 'helped' });
    expect(found!.alike).to.be.at.most(1);
    // The last of the three came after the look at ten bakes: it is told at the next.
    expect(run([4, 7, 11], 13).effects[0]).to.include({ conclusion: 'no telling' });
    expect(run([4, 7, 11], 13).nextLook).to.equal(14);
  });

  it('a trial alternates from the day it was asked, and says until when', () => {
    const asked = {
      key: 'water',
      says: 'water',
      from: '64 %',
      to: '68 %',
      by: 'height',
      askedOn: bake(8, 90).circumstances.day,
    };
    const before = [1, 2, 3, 4, 5, 6, 7].map((d) => bake(d, 90, d === 5 ? { formula: wet } : {}));
    const turn = (...more: BakeRecord[]) => turnOf(asked, [...before, ...more], defaultHousehold);
    expect(turnOf(asked, [], defaultHousehold)).to.include({ next: 'with', done: 0, left: 10 });
    expect(turn()).to.include({ next: 'with', done: 0, left: 3 });
    const withIt = bake(8, 95, { formula: wet });
    expect(turn(withIt)).to.include({ next: 'without', done: 1, left: 2 });
    expect(turn(withIt, bake(9, 90))).to.include({ next: 'with', done: 2, left: 1 });
    expect(turn(withIt, bake(9, 90), bake(10, 95, { formula: wet }))).to.include({ left: 4 });
    expect(turn().says).to.equal('Trial, this time with it: water 68 %.');
    expect(turn(withIt).says).to.equal('Trial, this time without it: water 64 %.');
    // What was set aside does not count as a turn.
    const aside = bake(8, 95, {
      formula: wet,
      more: [{ id: 'x', at: '2026-05-08T20:00:00.000Z', kind: 'counts', data: { counts: false } }],
    });
    expect(turn(aside).next).to.equal('with');
  });

  it('less of what is lost in the oven is the better', () => {
    const lost = (day: number, share: number, formula = loaf) =>
      aBake(day, { formula, outcome: { before: 1000, after: 1000 * (1 - share) } });
    const found = helped(
      [
        ...[1, 2, 3, 4, 5].map((d) => lost(d, 0.16)),
        ...[6, 7, 8, 9, 10].map((d) => lost(d, 0.1, wet)),
      ],
      'loss',
      defaultHousehold,
    )!;
    expect(found.effects[0]).to.include({ key: 'water', conclusion: 'helped' });
  });

  it('two changes that always came together are tied, and share what came of them', () => {
    const records = [
      ...[1, 2, 3, 4, 5].map((d) => bake(d, 90, { first: 60 })),
      ...[6, 7, 8, 9, 10].map((d) => bake(d, 104, { first: 120, formula: wet })),
    ];
    const { effects } = of(records);
    expect(effects.map((e) => e.key).sort()).to.deep.equal(['firstRise', 'water']);
    for (const e of effects) {
      expect(e.together).to.have.length(1);
      expect(e.effect).to.be.within(3, 9);
      // They are one thing here: what is concluded of the one is concluded of the other.
      expect(e.conclusion).to.equal(effects[0]!.conclusion);
    }
  });

  it('what seemed to help and was chance is not said to have', () => {
    const random = seeded(99);
    let said = 0;
    for (let household = 0; household < 200; household += 1) {
      const records = Array.from({ length: 10 }, (_, i) =>
        bake(i + 1, 90 + 7 * random.normal(), i >= 5 ? { formula: wet } : {}),
      );
      const { conclusion } = of(records).effects[0]!;
      if (conclusion === 'helped' || conclusion === 'hurt') said += 1;
    }
    // 5 % on either side, at most.
    expect(said / 200).to.be.lessThan(0.1);
  });

  it('80 % intervals of an effect drawn from what is believed hold 3 in 4 to 9 in 10', () => {
    const random = seeded(5);
    let held = 0;
    for (let household = 0; household < 300; household += 1) {
      const truth = outcomes.height.effect * random.normal();
      const records = Array.from({ length: 12 }, (_, i) => {
        const changed = i % 3 === 2;
        return bake(
          i + 1,
          95 + (changed ? truth : 0) + 7 * random.normal(),
          changed ? { formula: wet } : {},
        );
      });
      const { effect, sd } = of(records).effects[0]!;
      if (Math.abs(effect - truth) <= 1.2816 * sd) held += 1;
    }
    expect(held / 300).to.be.within(0.74, 0.9);
  });

  it('is the precision form of a general linear-algebra package (Gelman et al., chapter 14)', () => {
    const heights = [88, 92, 90, 95, 103, 99, 105, 91];
    const wetDays = new Set([4, 5, 6]);
    const records = heights.map((h, i) => bake(i + 1, h, wetDays.has(i) ? { formula: wet } : {}));
    const { effects } = of(records);
    const { effect: prior, noise } = outcomes.height;
    const x = new Matrix(heights.map((_, i) => [1, Number(wetDays.has(i))]));
    const y = Matrix.columnVector(heights);
    const fit = (variance: number) => {
      const precision = Matrix.diag([1 / 20 ** 2, 1 / prior ** 2]).add(
        x.transpose().mmul(x).div(variance),
      );
      const covariance = inverse(precision);
      const mean = covariance.mmul(x.transpose().mmul(y).div(variance));
      return { mean, covariance };
    };
    const first = fit(noise ** 2);
    const left = y
      .clone()
      .sub(x.mmul(first.mean))
      .to1DArray()
      .reduce((s, e) => s + e * e, 0);
    const { mean, covariance } = fit((4 * noise ** 2 + left) / (4 + heights.length));
    expect(effects[0]!.effect).to.be.closeTo(mean.get(1, 0), 1e-9);
    expect(effects[0]!.sd).to.be.closeTo(Math.sqrt(covariance.get(1, 1)), 1e-9);
  });

  it('a bake that was set aside counts for nothing', () => {
    const usual = [1, 2, 3, 4].map((d) => bake(d, 90 + d, d > 2 ? { formula: wet } : {}));
    const odd = bake(5, 20, {
      formula: wet,
      more: [{ id: 'q', at: '2026-04-05T09:00:00.000Z', kind: 'counts', data: { counts: false } }],
    });
    expect(of([...usual, odd])).to.deep.equal(of(usual));
  });

  it('one trial is suggested: of what can be set, the one that would tell most', () => {
    const { trial, effects } = of([
      ...[1, 2, 3, 4, 5, 6].map((d) => bake(d, 90 + (d % 3))),
      bake(7, 99, { formula: wet }),
    ]);
    expect(trial!.asks.key).to.equal('water');
    expect(trial!.narrows).to.be.within(0.08, 0.6);
    expect(trial!.says).to.contain('68\u202f%');
    expect(effects[0]!.settable).to.equal(true);
    // What only the day brings cannot be tried.
    const days = [1, 2, 3, 4, 5].map((d) =>
      bake(d, 90, {
        more: [
          {
            id: 'w',
            at: `2026-04-0${d}T08:05:00.000Z`,
            kind: 'warmth',
            data: { of: 'air', celsius: 18 + 2 * d },
          },
        ],
      }),
    );
    expect(of(days).trial).to.equal(undefined);
  });

  it('a bag that is used up is no trial, one that is open is', () => {
    const bagged = (bag: string) => ({
      ...loaf,
      stages: loaf.stages.map((s) => ({
        ...s,
        lines: s.lines.map((l) => (l.ingredient === 'bread-flour' ? { ...l, bag } : l)),
      })),
    });
    const household = (finished: boolean): Household => ({
      ...defaultHousehold,
      bags: ['red', 'blue'].map((id) => ({
        id,
        name: `${id} sack`,
        ingredient: 'bread-flour',
        ...(id === 'blue' && finished ? { finished } : {}),
      })),
    });
    const trial = (finished: boolean) => {
      const house = household(finished);
      const records = [1, 2, 3, 4, 5, 6].map((d) =>
        bake(d, 90 + d, { formula: bagged(d === 3 ? 'blue' : 'red'), household: house }),
      );
      return helped(records, 'height', house)!.trial;
    };
    expect(trial(false)!.says).to.contain('blue sack');
    expect(trial(true)).to.equal(undefined);
  });
});
