import { expect } from 'chai';
import * as fc from 'fast-check';
import { level, windowFor } from '@tender-crumb/core/dough';
import { evaluate } from '@tender-crumb/core/evaluate';
import { baseOf, baseShares, resolve, type ResolvedLine } from '@tender-crumb/core/formula';
import { nothingLearned, kitchenOf } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { catalogue, cataloguePantry, type Ingredient } from '@tender-crumb/core/ingredient';
import type { StyleId } from '@tender-crumb/core/style';
import { build, judge } from '../build.ts';

/**
 * Continuous, and indifferent to how a formula is written down: for every formula and ingredient.
 * Source: acceptance rule of the trade's handbook, common practice, no source.
 */
const kitchen = kitchenOf(defaultHousehold);
const ids = catalogue.map((i) => i.id);
const seed = 20261125;

/** Doughs of anything, of both kinds of base and all between, with 200 g of base or more. */
const doughs = fc
  .dictionary(fc.constantFrom(...ids), fc.double({ min: 1, max: 600, noNaN: true }), {
    minKeys: 2,
    maxKeys: 10,
  })
  .map((amounts) => ({ 'bread-flour': 60, 'vital-gluten': 60, ...amounts }))
  .filter((amounts) => baseOf(resolve(build(amounts))).grams >= 200);

const pointsOf = (amounts: Record<string, number>) =>
  level(resolve(build(amounts)), kitchen)!.points;
const with_ = (amounts: Record<string, number>, id: string, grams: number) => ({
  ...amounts,
  [id]: (amounts[id] ?? 0) + grams,
});
const thirstiest = ({ absorption, dryBaseAbsorption }: Ingredient) =>
  Math.max(1, absorption.value, dryBaseAbsorption?.value ?? 0);

describe('a level is continuous', () => {
  it('a gram of anything in 200 g of base or more moves level, interval and window a little', () => {
    fc.assert(
      fc.property(doughs, fc.constantFrom(...ids), (amounts, id) => {
        const before = judge(build(amounts));
        const after = judge(build(with_(amounts, id, 1)));
        // What drinks ten times its weight moves it further than what drinks its own; a dough far from
        // any bread, further than one near to it.
        const most =
          3 * thirstiest(cataloguePantry.ingredient(id)) + Math.abs(before.level.points) / 25;
        for (const end of ['points', 'low', 'high', 'early'] as const) {
          expect(Math.abs(after.level[end] - before.level[end]), end).to.be.below(most);
        }
        for (const end of [0, 1] as const) {
          expect(Math.abs(after.window[end] - before.window[end])).to.be.below(1);
        }
      }),
      { seed, numRuns: 400 },
    );
  });

  it('a tenth of the grams, a tenth of the move', () => {
    fc.assert(
      fc.property(doughs, fc.constantFrom(...ids), (amounts, id) => {
        const before = pointsOf(amounts);
        const [small, smaller] = [0.01, 0.001].map((g) => pointsOf(with_(amounts, id, g)) - before);
        expect(small! - 10 * smaller!).to.be.closeTo(0, 0.02 * Math.abs(small!) + 1e-5);
      }),
      { seed, numRuns: 400 },
    );
  });

  it('the slope of each mass is what the level really moves by', () => {
    fc.assert(
      fc.property(doughs, (amounts) => {
        const lines = resolve(build(amounts));
        const { doubts } = level(lines, kitchen)!;
        for (const line of lines) {
          const doubt = doubts.find((d) => d.key === `line:${line.id}`);
          const slope = (doubt?.points ?? 0) / (1 / Math.sqrt(12));
          const h = 1e-4;
          const moved = pointsOf(with_(amounts, line.ingredient, h)) - pointsOf(amounts);
          expect(slope).to.be.closeTo(Math.abs(moved / h), 0.02 * slope + 1e-3);
        }
      }),
      { seed, numRuns: 100 },
    );
  });

  it('a spoon of flour does not make a low-carb loaf a wheat bread', () => {
    const seedLoaf = {
      'vital-gluten': 165,
      'oat-fibre': 50,
      'flax-meal': 80,
      water: 237,
      egg: 100,
    };
    const at = (grams: number) => judge(build({ ...seedLoaf, 'plain-flour': grams }, 'low-carb'));
    const alone = judge(build(seedLoaf, 'low-carb'));
    expect(at(0.5).level.points).to.be.closeTo(alone.level.points, 0.3);
    expect(at(8).level.points).to.be.closeTo(alone.level.points, 3);
    expect(at(40).totals.dryBase).to.equal(true);
    expect(Math.abs(at(40).level.points)).to.be.below(15);
    expect(Math.abs(at(120).level.points)).to.be.below(30);
  });

  it('the base is the dry one below two fifths of flour and flour alone above seven tenths', () => {
    const dryness = (flour: number) =>
      baseOf(resolve(build({ 'bread-flour': flour, 'vital-gluten': 1000 - flour }))).dryness;
    const [from, to] = [baseShares.dry.value, baseShares.flour.value];
    expect([from, to]).to.deep.equal([0.4, 0.7]);
    expect(dryness(1000 * from - 1)).to.equal(1);
    expect(dryness(1000 * from + 1)).to.be.within(0.999, 0.99999);
    expect(dryness(550)).to.be.closeTo(0.5, 1e-9);
    expect(dryness(1000 * to - 1)).to.be.within(0.00001, 0.001);
    expect(dryness(1000 * to + 1)).to.equal(0);
  });

  it('the window goes from the style’s to the dry base’s', () => {
    const [style, dry] = [windowFor('pan', 0), windowFor('pan', 1)];
    expect(dry).to.deep.equal(windowFor('low-carb', 0));
    expect(windowFor('pan', 0.5)).to.deep.equal([0, 1].map((i) => (style[i]! + dry[i]!) / 2));
  });
});

describe('a level is indifferent', () => {
  const same = (a: readonly ResolvedLine[], b: readonly ResolvedLine[], interval = true) => {
    const [one, other] = [level(a, kitchen)!, level(b, kitchen)!];
    const near = (x: number, y: number) =>
      expect(x).to.be.closeTo(y, 1e-7 * Math.max(1, Math.abs(x)));
    near(one.points, other.points);
    near(one.early, other.early);
    if (interval) near(one.sd, other.sd);
    for (const [key, slope] of one.slopes) near(slope, other.slopes.get(key)!);
  };

  it('to the order of lines', () => {
    fc.assert(
      fc.property(doughs, fc.integer(), (amounts, turn) => {
        const lines = resolve(build(amounts));
        const at = Math.abs(turn) % lines.length;
        same(lines, [...lines.slice(at).reverse(), ...lines.slice(0, at)]);
      }),
      { seed, numRuns: 200 },
    );
  });

  it('to a line that is split in two, but for its being weighed twice', () => {
    fc.assert(
      fc.property(doughs, fc.double({ min: 0.05, max: 0.95, noNaN: true }), (amounts, share) => {
        const lines = resolve(build(amounts));
        const split = lines.flatMap((l) => [
          { ...l, grams: share * l.grams },
          { ...l, id: `${l.id}b`, grams: (1 - share) * l.grams },
        ]);
        same(lines, split, false);
      }),
      { seed, numRuns: 200 },
    );
  });

  it('to a formula that is doubled, but for the scale’s step being half as large in it', () => {
    const styles: StyleId[] = ['pan', 'low-carb', 'hearth-white'];
    fc.assert(
      fc.property(doughs, fc.constantFrom(...styles), (amounts, style) => {
        const twice = Object.fromEntries(Object.entries(amounts).map(([id, g]) => [id, 2 * g]));
        same(resolve(build(amounts)), resolve(build(twice)), false);
        const [one, two] = [amounts, twice].map((a) =>
          evaluate(build(a, style), defaultHousehold, nothingLearned)!,
        );
        expect(two!.window).to.deep.equal(one!.window);
        expect(two!.totals.dryBase).to.equal(one!.totals.dryBase);
        expect(two!.level.sd).to.be.at.most(one!.level.sd + 1e-9);
      }),
      { seed, numRuns: 200 },
    );
  });
});
