import { expect } from 'chai';
import { certaintyWords } from '@tender-crumb/core/correct';
import { cannotTell, stateAt } from '@tender-crumb/core/dough';
import { evaluate } from '@tender-crumb/core/evaluate';
import { formulaText } from '@tender-crumb/core/exchange';
import { resolve, totals } from '@tender-crumb/core/formula';
import { nothingLearned, type Belief, kitchenOf } from '@tender-crumb/core/belief';
import { coefficients, z80 } from '@tender-crumb/core/coefficients';
import { defaultHousehold, type Household } from '@tender-crumb/core/household';
import { bagProblems, gramsPerMillilitre, ingredient } from '@tender-crumb/core/ingredient';
import { knownAbsorption } from '@tender-crumb/core/learn';
import { nutrition } from '@tender-crumb/core/nutrition';
import { isGrams, isRefused, leastGrams, mostGrams } from '@tender-crumb/core/quantity';
import type { StyleId } from '@tender-crumb/core/style';
import { substitute } from '@tender-crumb/core/substitute';
import { build, judge } from './build.ts';

/** What is so just below a threshold and just above it. */
interface Edge<T> {
  readonly says: string;
  readonly at: number;
  /** Far enough from it for arithmetic on grams not to reach it. */
  readonly near?: number;
  readonly of: (value: number) => T;
  readonly below: T;
  readonly above: T;
}
const edge = <T>(row: Edge<T>): Edge<unknown> => row as Edge<unknown>;

const has = (
  id: string,
  amounts: Record<string, number>,
  style: StyleId = 'pan',
  room?: number,
) => {
  const household: Household = { ...defaultHousehold, room: { celsius: room } };
  return judge(build(amounts, style), household).cautions.some((c) => c.id === id);
};
const asks = (kind: string, amounts: Record<string, number>, style: StyleId = 'pan') => {
  const found = judge(build(amounts, style)).corrections.find(
    (c) => c.kind === kind && c.ingredient !== 'water',
  );
  return found === undefined ? 'nothing' : found.grams > 0 ? 'more' : 'less';
};
const loaf = { 'bread-flour': 1000, water: 620, salt: 20, 'instant-yeast': 12 };
const without = (flour: string, share: number, to: string) => {
  const formula = build({ [flour]: 1000 * share, 'bread-flour': 1000 * (1 - share), water: 620 });
  return isRefused(substitute(formula, 'l1', to, defaultHousehold, nothingLearned));
};
const bag = (field: string) => (value: number) =>
  bagProblems({ [field]: value })
    .map((p) => p.field)
    .join();

const edges: ReadonlyArray<Edge<unknown>> = [
  ...[-10, -4, 0, 4, 8, 14].map((at) =>
    edge({
      says: 'a state of the dough ends',
      at,
      of: (points) => stateAt(points).id,
      below: stateAt(at - 0.01).id,
      above: stateAt(at + 0.01).id,
    }),
  ),
  edge({
    says: 'salt asks for more below',
    at: 0.9,
    of: (percent) => asks('salt', { ...loaf, salt: 10 * percent }),
    below: 'more',
    above: 'nothing',
  }),
  edge({
    says: 'salt asks for less above',
    at: 2.5,
    of: (percent) => asks('salt', { ...loaf, salt: 10 * percent }),
    below: 'nothing',
    above: 'less',
  }),
  edge({
    says: 'yeast asks for less above',
    at: 2.5,
    of: (percent) => asks('yeast', { ...loaf, 'instant-yeast': 10 * percent }),
    below: 'nothing',
    above: 'less',
  }),
  edge({
    says: 'yeast strong enough for its sugar within the spread of what is usual, at',
    // 1 % in a dough whose sugar leaves 1 / 1.2 of the pace: more is asked for.
    at: 6.968,
    near: 0.05,
    of: (percent) => asks('yeast', { ...loaf, 'instant-yeast': 10, sugar: 10 * percent }),
    below: 'nothing',
    above: 'more',
  }),
  edge({
    says: 'gluten turns rubbery above',
    at: 5,
    of: (percent) => [
      asks('gluten', { ...loaf, 'vital-gluten': 10 * percent }),
      has('rubbery-gluten', { ...loaf, 'vital-gluten': 10 * percent }),
    ],
    below: ['nothing', false],
    above: ['less', true],
  }),
  edge({
    says: 'too loose for a machine above',
    at: 8,
    // Strong flour at .62: its water for a level.
    of: (points) => has('machine-too-loose', { 'bread-flour': 1000, water: 620 + 10 * points }),
    below: false,
    above: true,
  }),
  edge({
    says: 'most of the flour builds nothing above half of it, by mass',
    at: 500,
    of: (grams) => has('no-gluten-grains', { 'rice-flour': grams, 'bread-flour': 500, water: 700 }),
    below: false,
    above: true,
  }),
  edge({
    says: 'most of the flour is weak above half of it, by mass',
    at: 500,
    of: (grams) => has('soft-wheat', { 'spelt-white': grams, 'bread-flour': 500, water: 600 }),
    below: false,
    above: true,
  }),
  edge({
    says: 'perishables stand shorter in a room above',
    at: 32,
    of: (celsius) => [
      has('perishable', { ...loaf, milk: 100 }, 'pan', celsius),
      has('perishable-hot', { ...loaf, milk: 100 }, 'pan', celsius),
    ],
    below: [true, false],
    above: [false, true],
  }),
  edge({
    says: 'more liquid than flour can hold, in points above',
    at: 60,
    of: (points) =>
      judge(build({ 'bread-flour': 1000, water: 620 + 10 * points })).cannotTell?.code,
    below: undefined,
    above: 'beyond',
  }),
  edge({
    says: 'hardly any flour below a share of the dough',
    at: 0.12,
    near: 1e-4,
    of: (share) => {
      const lines = resolve(build({ 'bread-flour': share * 1000, butter: (1 - share) * 1000 }));
      const sums = totals(lines)!;
      return cannotTell(lines, sums, { points: 0 } as never)?.code;
    },
    below: 'hardly-any-flour',
    above: undefined,
  }),
  edge({
    says: 'a flour without gluten stands in for wheat up to',
    at: 0.3,
    of: (share) => without('plain-flour', share, 'rice-flour'),
    below: false,
    above: true,
  }),
  edge({
    says: 'a grain that builds nothing stands in for wheat up to',
    at: 0.6,
    of: (share) => without('plain-flour', share, 'barley-whole'),
    below: false,
    above: true,
  }),
  edge({
    says: 'rye stands in for wheat without a starter up to',
    at: 0.5,
    of: (share) => without('plain-flour', share, 'rye-whole'),
    below: false,
    above: true,
  }),
  edge({
    says: 'a correction is likely called for from',
    at: 0.7,
    of: (chance) => certaintyWords(chance, coefficients),
    below: 'as likely as not',
    above: 'likely',
  }),
  edge({
    says: 'a correction is very likely called for from',
    at: 0.9,
    of: (chance) => certaintyWords(chance, coefficients),
    below: 'likely',
    above: 'very likely',
  }),
  edge({
    says: 'grams are none below',
    at: leastGrams,
    near: 1e-6,
    of: isGrams,
    below: false,
    above: true,
  }),
  edge({
    says: 'grams are no kitchen’s above',
    at: mostGrams,
    of: isGrams,
    below: true,
    above: false,
  }),
  edge({
    says: 'protein of a flour, from',
    at: 4,
    of: bag('protein'),
    below: 'protein',
    above: '',
  }),
  edge({ says: 'protein of a flour, to', at: 25, of: bag('protein'), below: '', above: 'protein' }),
  edge({
    says: 'moisture of a flour, from',
    at: 4,
    of: bag('moisture'),
    below: 'moisture',
    above: '',
  }),
  edge({
    says: 'moisture of a flour, to',
    at: 20,
    of: bag('moisture'),
    below: '',
    above: 'moisture',
  }),
  edge({
    says: 'what a sieve keeps, from',
    at: 0.6,
    of: bag('extraction'),
    below: 'extraction',
    above: '',
  }),
  edge({
    says: 'what a sieve keeps, to',
    at: 1,
    of: bag('extraction'),
    below: '',
    above: 'extraction',
  }),
  ...(['pan', 'rolls', 'bagel'] as const).flatMap((style) => {
    const [low, high] = judge(build(loaf, style)).window;
    const water = (points: number) => {
      const amounts = { 'bread-flour': 1000, water: 620 + 10 * points };
      const c = judge(build(amounts, style)).corrections.find((s) => s.kind === 'water');
      return c === undefined ? 'nothing' : c.grams > 0 ? 'more' : 'less';
    };
    return [
      edge({
        says: `${style}: water below its window`,
        at: low,
        of: water,
        below: 'more',
        above: 'nothing',
      }),
      edge({
        says: `${style}: water above its window`,
        at: high,
        of: water,
        below: 'nothing',
        above: 'less',
      }),
    ];
  }),
];

describe('just below and just above each threshold', () => {
  for (const { says, at, near = Math.max(1e-3, Math.abs(at) * 1e-3), of, below, above } of edges) {
    it(`${says} ${at}`, () => {
      expect(below, 'the two sides differ').not.to.deep.equal(above);
      expect(of(at - near), 'below').to.deep.equal(below);
      expect(of(at + near), 'above').to.deep.equal(above);
    });
  }
});

describe('the last step to the screen', () => {
  it('what was learned is added to the catalogue, with its sign', () => {
    const of = { ingredient: 'bread-flour', bag: 'blue' };
    const belief = (mean: number): Belief => ({
      ...nothingLearned,
      keys: ['thirst:bag:blue'],
      mean: [mean],
      covariance: [[1e-4]],
    });
    expect(knownAbsorption(of, belief(0.02)).now.absorption).to.be.closeTo(0.64, 1e-12);
    expect(knownAbsorption(of, belief(-0.02)).now.absorption).to.be.closeTo(0.6, 1e-12);
  });

  it('a spoon of something heavy holds more grams: honey over water over flour', () => {
    const per = (id: string) =>
      gramsPerMillilitre(ingredient(id), defaultHousehold.measures)!.value;
    expect(per('honey')).to.be.above(1.3);
    expect(per('bread-flour')).to.be.within(0.5, 0.65);
    const spoons = (ingredientId: string, amounts: Record<string, number>) =>
      evaluate(build(amounts), defaultHousehold, nothingLearned)!.corrections.find(
        (c) => c.ingredient === ingredientId,
      )!;
    // 15 g of water are a tablespoon; 9 g of fine salt a tablespoon and a half teaspoon less: 1½ tsp.
    const salt = spoons('salt', { 'bread-flour': 500, water: 320, 'instant-yeast': 5 });
    expect(salt.grams).to.equal(9);
    expect(salt.spoons).to.match(/^1½ teaspoons?$/);
  });

  it('an 80 % interval of nutrition is 1.28 standard deviations either way', () => {
    const lines = resolve(build({ 'bread-flour': 1000 }));
    const { protein } = nutrition(lines, 'eu', kitchenOf(defaultHousehold), 0);
    const half = (protein.high - protein.low) / 2;
    // 11.98 g in 100 g (USDA SR Legacy 20083, from memory), of which a bag's spread is a twentieth.
    expect(half / z80).to.be.closeTo(0.05 * 119.8, 0.05);
  });

  it('text gives percentages in the school that is asked for', () => {
    const formula = build({ 'bread-flour': 500, water: 400, salt: 8 }, 'pan', {
      'bread-flour': 50,
      water: 50,
    });
    expect(formulaText(formula, undefined, 'total'))
      .to.contain('(72.7 %)')
      .and.contain('(1.5 %)');
    expect(formulaText(formula, undefined, 'added'))
      .to.contain('(80.0 %)')
      .and.contain('(1.6 %)');
  });
});
