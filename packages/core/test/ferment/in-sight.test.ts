import { expect } from 'chai';
import { bakeState, seenIn, type BakeEvent } from '@tender-crumb/core/bake';
import {
  isForecast,
  riseDoubtIds,
  riseDoubts,
  riseFor,
  riseForecast,
  riseUntil,
  seenForecast,
  usualRise,
  type Paces,
  type RiseBand,
  type RiseEnd,
  type RiseModel,
  type RisingDough,
  type Seen,
} from '@tender-crumb/core/ferment';
import { normalDraws, seededRandom } from '@tender-crumb/core/quantity';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { isTimed, oneKitchen, riseSpan, timedPlan } from '@tender-crumb/core/schedule';
import { build } from '../build.ts';
import { lean } from './anchors.ts';

const sour: RisingDough = { ...lean, starter: 9.1, celsius: 25, air: [{ hours: 1, celsius: 24 }] };
const quick: RisingDough = { ...lean, yeast: 1 };
const band = (
  dough: RisingDough,
  end = 2,
  seen: readonly Seen[] = [],
  paces: Paces = {},
): RiseBand => {
  const found = seenForecast(dough, { volume: end }, paces, usualRise, seen);
  if (!isForecast(found)) throw new Error('never');
  return found;
};

describe('a dough in sight', () => {
  it('nothing seen is as it was foreseen', () => {
    expect(band(quick)).to.deep.equal(riseForecast(quick, { volume: 2 }));
    // A mark as it began is none.
    expect(band(quick, 2, [{ hours: 0.02, volume: 1 }])).to.deep.equal(band(quick));
  });

  it('× 1.75 after twenty minutes moves the end at once, and narrows its band', () => {
    const before = band(quick);
    const after = band(quick, 2, [{ hours: 1 / 3, volume: 1.75 }]);
    expect(after.middle).to.be.below(0.72 * before.middle);
    expect(after.sd).to.be.below(0.75 * before.sd);
    // It cannot be over before it was seen to stand lower.
    expect(after.middle).to.be.above(1 / 3);
  });

  it('higher than foreseen is sooner, lower later; as foreseen it is where it was, only surer', () => {
    const at = riseUntil(sour, { volume: 1.3 }).hours!;
    const seen = (hours: number) => band(sour, 1.55, [{ hours, volume: 1.3 }]);
    const before = band(sour, 1.55);
    expect(seen(at * 0.7).middle).to.be.below(before.middle * 0.9);
    expect(seen(at * 1.4).middle).to.be.above(before.middle * 1.15);
    expect(seen(at).middle).to.be.closeTo(before.middle, 0.01);
    expect(seen(at).sd).to.be.below(0.7 * before.sd);
  });

  it('a poke: back at once is later than now, staying is past, slowly is about now', () => {
    const before = band(sour, 1.55);
    const late = before.middle * 1.1;
    expect(band(sour, 1.55, [{ hours: late, sense: 'not-yet' }]).middle).to.be.above(late);
    expect(band(sour, 1.55, [{ hours: late * 0.6, sense: 'past' }]).middle).to.be.below(
      before.middle * 0.9,
    );
    const now = band(sour, 1.55, [{ hours: before.middle * 0.8, sense: 'ready' }]);
    expect(now.middle).to.be.within(before.middle * 0.8, before.middle * 0.92);
    // Long before anybody expected it, "not yet" says nothing.
    expect(
      band(sour, 1.55, [{ hours: before.middle * 0.2, sense: 'not-yet' }]).middle,
    ).to.be.closeTo(before.middle, 0.01);
  });

  it('a thousand marks are as the last of them, finite, and quickly told', () => {
    const many = Array.from({ length: 1000 }, (_, i) => ({
      hours: 0.2 + i / 1000,
      volume: 1.1 + i / 2000,
    }));
    const all = band(quick, 2, many);
    expect(all).to.deep.equal(band(quick, 2, many.slice(-6)));
    expect(Number.isFinite(all.middle)).to.equal(true);
    expect(band(quick, 2, [{ hours: 1, volume: 7 }])).to.deep.equal(band(quick));
  });

  it('doughs drawn by the stated doubts, marked in the middle: the band holds as before, and is narrower (80 %)', () => {
    const normal = normalDraws(seededRandom(11));
    let before = 0;
    let after = 0;
    let narrower = 0;
    const many = 150;
    for (let i = 0; i < many; i += 1) {
      // As the rows of the doubts have it: room, pace, ripeness, waking, growth.
      const off = normal() * 1.5;
      const figures = {
        ...usualRise.figures,
        sourWake: {
          ...usualRise.figures.sourWake,
          value: usualRise.figures.sourWake.value * Math.exp(0.25 * normal()),
        },
        sourGrowth: {
          ...usualRise.figures.sourGrowth,
          value: usualRise.figures.sourGrowth.value * Math.exp(0.12 * normal()),
        },
      };
      const model: RiseModel = { ...usualRise, figures };
      const real: RisingDough = {
        ...sour,
        air: [{ hours: 1, celsius: 24 + off }],
        starter: sour.starter * Math.exp(0.1 * normal()),
        pace: { starter: Math.exp(0.22 * normal()) },
        temper: { best: 2 * normal(), most: 1.3 * normal() },
      };
      const end = 1 + 0.55 * Math.exp(0.08 * normal());
      const is = riseUntil(real, { volume: end }, model).hours ?? 60;
      const hours = is * 0.55;
      const stands = 1 + (riseFor(real, hours, model).volume - 1) * Math.exp(0.1 * normal());
      const [a, b] = [band(sour, 1.55), band(sour, 1.55, [{ hours, volume: stands }])];
      if (is > a.low && is < a.high) before += 1;
      if (is > b.low && is < b.high) after += 1;
      narrower += b.sd / a.sd / many;
    }
    expect(before / many).to.be.within(0.72, 0.88);
    expect(after / many).to.be.within(0.7, 0.9);
    expect(narrower).to.be.below(0.7);
  });
});

describe('what was seen of a bake’s rises', () => {
  const at = (minutes: number) => new Date(Date.UTC(2026, 11, 1, 9, minutes)).toISOString();
  let n = 0;
  const event = (minutes: number, kind: string, data: object): BakeEvent =>
    ({ id: `s${(n += 1)}`, at: at(minutes), kind, data }) as BakeEvent;
  const seen = (...events: BakeEvent[]) => seenIn(bakeState(events));
  const begun = event(0, 'rise', { rise: 'first', sense: 'begun' });
  const mark = event(30, 'marked', { rise: 'first', volume: 1.5 });

  it('is in hours after it began, of each rise for itself, while it goes on', () => {
    expect(
      seen(begun, mark, event(60, 'poked', { rise: 'first', answer: 'at-once' })),
    ).to.deep.equal({
      first: [
        { hours: 0.5, volume: 1.5 },
        { hours: 1, sense: 'not-yet' },
      ],
    });
    expect(seen(mark)).to.equal(undefined);
    expect(seen(begun)).to.equal(undefined);
    expect(seen(begun, mark, event(70, 'rise', { rise: 'first', sense: 'there' }))).to.equal(
      undefined,
    );
    expect(
      seen(begun, event(50, 'rise', { rise: 'first', sense: 'not-yet' }))!.first,
    ).to.have.length(1);
  });
});

describe('what was seen, in a plan', () => {
  const end = { volume: 2 };
  const foreseen = riseForecast(quick, end);
  if (!isForecast(foreseen)) throw new Error('never');
  it('moves the least, the usual and the most of its time alike', () => {
    const before = riseSpan({ dough: quick, end, forecast: foreseen })!;
    const sooner = { ...foreseen, middle: foreseen.middle * 0.6 };
    const after = riseSpan({ dough: quick, end, forecast: sooner })!;
    for (const of of ['least', 'usual', 'most'] as const)
      expect(after[of] / before[of], of).to.be.closeTo(0.6, 0.03);
  });
  it('is what its curve goes through: it ends as high as ever, only sooner', () => {
    const formula = build({ 'bread-flour': 500, water: 320, salt: 10, 'instant-yeast': 5 }, 'pan');
    const planned = (seen?: readonly Seen[]) => {
      const now = '2026-12-01T09:00:00Z';
      const answer = timedPlan({
        now,
        zone: 'UTC',
        bakes: [{ id: 'b', formula, device: 'hand', ...(seen ? { seen: { first: seen } } : {}) }],
        week: defaultHousehold.week,
        resources: oneKitchen,
        household: defaultHousehold,
        belief: nothingLearned,
      });
      if (!isTimed(answer)) throw new Error(answer.why);
      return answer.steps.find((s) => s.kind === 'first-rise')!;
    };
    const [before, after] = [planned(), planned([{ hours: 0.5, volume: 1.8 }])];
    expect(after.minutes).to.be.below(0.8 * before.minutes);
    for (const { curve, minutes } of [before, after]) {
      expect(curve!.at(-1)!.volume).to.be.closeTo(2, 0.06);
      expect(curve!.at(-1)!.minute).to.be.closeTo(minutes, 1);
    }
  });
  it('of many looks the last six tell, and not the last alone', () => {
    const looks = Array.from({ length: 8 }, (_, i) => ({
      hours: 0.3 + i / 20,
      volume: 1.15 + i / 40,
    }));
    const last = (n: number) => band(quick, 2, looks.slice(-n)).middle;
    expect(last(8)).to.equal(last(6));
    expect(last(6)).not.to.equal(last(5));
  });
});

describe('a mark by one Gaussian step, and by draws that are weighted by what was seen', () => {
  /** Doughs with everything that is in doubt drawn at once: what each would show at that hour, and when it ends. */
  function weighted(dough: RisingDough, end: RiseEnd, hours: number, volume: number) {
    const normal = normalDraws(seededRandom(27));
    const rows = riseDoubtIds.map((id) => [id, riseDoubts[id]] as const);
    const draws = Array.from({ length: 900 }, () => {
      const start = { dough, end, model: usualRise };
      const of = rows.reduce((at, [, row]) => row.moved(at, normal() * row.sd.value), start);
      const stands = riseFor(of.dough, hours, of.model).volume;
      // As a tape is read: to 12 % of what was gained.
      const off = Math.log((volume - 1) / Math.max(1e-3, stands - 1)) / 0.12;
      const ends = riseUntil(of.dough, of.end, of.model).hours;
      return { ends: ends ?? Infinity, weight: Math.exp(-(off ** 2) / 2) };
    }).sort((a, b) => a.ends - b.ends);
    const all = draws.reduce((sum, d) => sum + d.weight, 0);
    const quantile = (share: number) => {
      let sum = 0;
      return draws.find((d) => (sum += d.weight) >= share * all)!.ends;
    };
    const effective = all ** 2 / draws.reduce((sum, d) => sum + d.weight ** 2, 0);
    return { low: quantile(0.1), middle: quantile(0.5), high: quantile(0.9), effective };
  }

  it('agree: middles within 3 %, bands within a fifth of each other', function () {
    this.timeout(60_000);
    const rows = [];
    for (const [says, dough, end] of [
      ['yeast', quick, { volume: 2 }],
      ['starter', { ...sour, yeast: 0 }, { volume: 1.5 }],
    ] as const) {
      const usual = riseUntil(dough, end).hours!;
      for (const [share, by] of [
        [0.5, 1],
        [0.5, 1.25],
        [0.75, 0.85],
      ] as const) {
        const hours = usual * share;
        const volume = 1 + (riseFor(dough, hours).volume - 1) * by;
        const draws = weighted(dough, end, hours, volume);
        const step = seenForecast(dough, end, {}, usualRise, [{ hours, volume }]);
        if (!isForecast(step)) throw new Error('a forecast');
        const off = step.middle / draws.middle;
        const width = Math.log(step.high / step.low) / Math.log(draws.high / draws.low);
        rows.push({ says, share, by, off, width, effective: draws.effective });
      }
    }
    for (const { says, share, by, off, width, effective } of rows)
      console.info(
        `        ${says}, ${share} of its time, × ${by} of the rise: middle ${off.toFixed(2)}, band ${width.toFixed(2)}, ${effective.toFixed(0)} draws that count`,
      );
    expect(rows.every((r) => r.effective > 60)).to.equal(true);
    expect(rows.filter((r) => r.off < 0.97 || r.off > 1.03)).to.deep.equal([]);
    expect(rows.filter((r) => r.width < 0.83 || r.width > 1.2)).to.deep.equal([]);
  });
});
