import { expect } from 'chai';
import { bakeState, type BakeEvent } from '@tender-crumb/core/bake';
import { wentWrong } from '@tender-crumb/core/book';
import { isForecast, tangOf } from '@tender-crumb/core/ferment';
import { resolve } from '@tender-crumb/core/formula';
import { nothingLearned, kitchenOf } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { ingredient } from '@tender-crumb/core/ingredient';
import { bakeRises, learnFromBake } from '@tender-crumb/core/learn';
import { nutrition, usRounded } from '@tender-crumb/core/nutrition';
import { benchOf } from '@tender-crumb/core/view';
import { aBake, loaf } from './book/a-bake.ts';
import { build } from './build.ts';

/** Figures that could be moved without anybody noticing: each from both of its sides. */
describe('both sides of a figure', () => {
  it('salt is held back in a household of little salt from half a gram on', () => {
    const household = { ...defaultHousehold, lowSodium: true };
    const back = (salt: number) =>
      benchOf({
        formula: build({ 'bread-flour': 1000, water: 640, salt, 'instant-yeast': 10 }),
        household,
        belief: nothingLearned,
      }).open.filter((c) => c.kind === 'salt').length;
    expect(back(9.4)).to.equal(0);
    expect(back(9.6)).to.equal(1);
  });

  it('a proof that had a seventh less than it needed is as likely short as not', () => {
    const [, final] = bakeRises(
      { formula: loaf, lines: resolve(loaf), state: bakeState([]), household: defaultHousehold },
      nothingLearned,
    );
    const forecast = final!.forecast;
    if (!isForecast(forecast)) throw new Error('it never rises');
    const short = (times: number) => {
      const record = aBake(1, { first: 60, final: forecast.middle * 60 * times });
      const causes = wentWrong(record, ['dense'], defaultHousehold, nothingLearned);
      return causes.find((c) => c.id === 'under-proofed')?.share ?? 0;
    };
    const [sure, even, never] = [short(0.4), short(1 / 1.15), short(1.6)];
    expect(sure).to.be.above(even);
    expect(even / sure).to.be.within(0.4, 0.95);
    expect(even).to.be.above(3 * never);
  });

  it('tangy ends, and sharp begins', () => {
    expect(tangOf(0.66)).to.equal('tangy');
    expect(tangOf(0.68)).to.equal('sharp');
    expect(tangOf(0.47)).to.equal('light');
    expect(tangOf(0.48)).to.equal('tangy');
  });

  it('sodium on a US label: by fives to 140 mg, by tens above (21 CFR 101.9(c)(4))', () => {
    expect([4, 5, 23, 137, 139, 141, 143, 146].map((mg) => usRounded('sodium', mg))).to.deep.equal([
      0, 5, 25, 135, 140, 140, 140, 150,
    ]);
  });

  /** Half of the 80 % interval of a nutrient of some grams of things. */
  const doubt = (amounts: Record<string, number>, of: 'netCarbs' | 'protein' | 'fibre') => {
    const { value, high } = nutrition(
      resolve(build(amounts)),
      'us',
      kitchenOf(defaultHousehold),
      0,
    )[of];
    return high - value;
  };

  it('what is in doubt of two things is in doubt by the root of their squares, and not by their sum', () => {
    for (const of of ['netCarbs', 'protein', 'fibre'] as const) {
      const [one, two] = [doubt({ 'bread-flour': 500 }, of), doubt({ 'whole-wheat': 500 }, of)];
      const both = doubt({ 'bread-flour': 500, 'whole-wheat': 500 }, of);
      expect(both, of).to.be.closeTo(Math.hypot(one, two), 1e-9);
      expect(both, of).to.be.below(0.95 * (one + two));
    }
  });

  it('of a thing that is half fibre, net carbohydrate is in doubt by its fibre', () => {
    const bran = ingredient('wheat-bran');
    expect(bran.composition.fibre).to.be.above(30);
    const net = doubt({ 'wheat-bran': 100 }, 'netCarbs');
    const fibre = doubt({ 'wheat-bran': 100 }, 'fibre');
    expect(net).to.be.above(0.8 * fibre);
  });

  it('a touch before slow flour has drunk teaches less than one after its rest', () => {
    const whole = build(
      { 'whole-wheat': 500, water: 400, salt: 9, 'instant-yeast': 5 },
      'wholegrain-pan',
    );
    const { points, early } = benchOf({
      formula: whole,
      household: defaultHousehold,
      belief: nothingLearned,
    }).level!;
    const moved = (at: number, rested: boolean) => {
      const felt = [
        { id: 'f', at: '2026-05-01T08:00:00Z', kind: 'felt', data: { points: at + 4, rested } },
      ] as readonly BakeEvent[];
      const { lesson } = learnFromBake(whole, felt, defaultHousehold, nothingLearned)!;
      const absorption = lesson.taught.find((t) => t.key.startsWith('thirst:'))!;
      return Math.abs(absorption.after.value - absorption.before.value);
    };
    expect(early - points).to.be.above(3);
    const [rested, soon] = [moved(points, true), moved(early, false)];
    expect(soon).to.be.below(0.95 * rested);
    expect(soon).to.be.above(0.2 * rested);
  });

  it('what was finished was not given up, whichever was said last', () => {
    const say = (...kinds: string[]) =>
      bakeState(
        kinds.map(
          (kind, i) =>
            ({
              id: `e${i}`,
              at: `2026-05-01T0${i}:00:00Z`,
              kind,
              data: {},
            }) as unknown as BakeEvent,
        ),
      );
    expect(say('finished', 'abandoned').finishedAt).to.equal('2026-05-01T00:00:00Z');
    expect(say('abandoned', 'abandoned').abandonedAt).to.equal('2026-05-01T00:00:00Z');
  });
});
