import { expect } from 'chai';
import { kitchenNow, type BakeEvent } from '@tender-crumb/core/bake';
import { kitchenOf, type Belief } from '@tender-crumb/core/belief';
import { level } from '@tender-crumb/core/dough';
import { evaluate } from '@tender-crumb/core/evaluate';
import { resolve } from '@tender-crumb/core/formula';
import { defaultHousehold, type Household } from '@tender-crumb/core/household';
import { forBread, learnBook, type BookBake } from '@tender-crumb/core/learn';
import { build } from '../build.ts';

const loaf = build({ 'bread-flour': 500, water: 325, salt: 10, 'instant-yeast': 6 });
const lines = resolve(loaf);
const dayMs = 86_400_000;

interface Odd {
  readonly says: string;
  /** Days from the first bake, points felt, and who felt them. */
  readonly bakes: ReadonlyArray<readonly [day: number, points: number, baker?: string]>;
  readonly house?: Partial<Household>;
  /** Points by which a forecast may move from one bake to the next; 5 where absent. */
  readonly leap?: number;
}

const weeks = (n: number) => Array.from({ length: n }, (_, i) => i * 7);
const ten = Array.from({ length: 10 }, (_, i) => ({
  id: i === 0 ? 'usual' : `b${i}`,
  name: `B${i}`,
}));

const odd: readonly Odd[] = [
  { says: 'who taps the same place each time', bakes: weeks(20).map((d) => [d, 2] as const) },
  {
    says: 'all bakes as they should be',
    bakes: weeks(20).map((d, i) => [d, 1 + (i % 2) / 10] as const),
  },
  { says: 'a year between bakes', bakes: [0, 365, 730, 1095, 1460].map((d, i) => [d, i] as const) },
  {
    says: 'ten bakers, each twice',
    bakes: weeks(20).map((d, i) => [d, (i % 10) - 4, ten[i % 10]!.id] as const),
    house: { bakers: ten },
  },
  {
    says: 'a bag that nobody used',
    bakes: weeks(6).map((d) => [d, 1] as const),
    house: {
      bags: [
        { id: 'idle', name: 'Idle', ingredient: 'bread-flour' },
      ] as unknown as Household['bags'],
    },
  },
  {
    says: 'the ends of the scale in turn',
    leap: 8,
    bakes: weeks(12).map((d, i) => [d, i % 2 ? 29 : -29] as const),
  },
];

describe('books of an odd kind', () => {
  for (const { says, bakes, house, leap = 5 } of odd)
    it(`${says}: every figure stays one, what is said stays a chance, and no forecast leaps`, () => {
      const household: Household = { ...defaultHousehold, ...house };
      const kitchen = kitchenNow(household, loaf);
      const kept = bakes.map(([day, points, baker], n): BookBake => {
        const at = new Date(Date.UTC(2022, 0, 3) + day * dayMs).toISOString();
        return {
          id: `b${n}`,
          bread: 'loaf',
          formula: loaf,
          circumstances: { kitchen, day: at.slice(0, 10) } as BookBake['circumstances'],
          events: [
            ...(baker ? [{ id: `w${n}`, at, kind: 'baker', data: { baker } }] : []),
            { id: `f${n}`, at, kind: 'felt', data: { points } },
            { id: `e${n}`, at, kind: 'finished', data: {} },
          ] as BakeEvent[],
        };
      });
      const fold = learnBook(kept, household);
      const beliefs: Belief[] = [];
      for (;;) {
        const step = fold.next();
        beliefs.push(step.done ? step.value.belief : step.value.before);
        if (step.done) break;
      }
      const at = beliefs.map((b) => level(lines, kitchenOf(household, forBread(b, 'loaf')))!);
      for (const [i, { points, sd }] of at.entries()) {
        expect(Number.isFinite(points) && sd > 0 && sd < 12, `${i}: ${points} ± ${sd}`).to.equal(
          true,
        );
        if (i > 0) expect(Math.abs(points - at[i - 1]!.points)).to.be.below(leap);
      }
      const last = forBread(beliefs.at(-1)!, 'loaf');
      for (const water of [200, 300, 325, 400, 480])
        for (const { certainty, grams } of evaluate(
          build({ 'bread-flour': 500, water, salt: 10, 'instant-yeast': 6 }),
          household,
          last,
        )!.corrections) {
          expect(certainty).to.be.within(0, 1);
          expect(Number.isFinite(grams)).to.equal(true);
        }
    });

  it('who taps the same place each time is believed: the forecast comes to it, and is never certain', () => {
    const kitchen = kitchenNow(defaultHousehold, loaf);
    const bakes = weeks(20).map((day, n): BookBake => {
      const at = new Date(Date.UTC(2026, 0, 5) + day * dayMs).toISOString();
      return {
        id: `b${n}`,
        bread: 'loaf',
        formula: loaf,
        circumstances: { kitchen, day: at.slice(0, 10) } as BookBake['circumstances'],
        events: [{ id: `f${n}`, at, kind: 'felt', data: { points: 2 } }] as BakeEvent[],
      };
    });
    const fold = learnBook(bakes, defaultHousehold);
    let step = fold.next();
    while (!step.done) step = fold.next();
    const { points, sd } = level(
      lines,
      kitchenOf(defaultHousehold, forBread(step.value.belief, 'loaf')),
    )!;
    expect(points).to.be.closeTo(2, 0.5);
    expect(sd).to.be.within(0.3, 2);
  });
});
