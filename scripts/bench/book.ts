/** What learning a whole book costs: the fold alone, without reading and writing. */
import { kitchenNow, type BakeEvent } from '@tender-crumb/core/bake';
import { completeFormula } from '@tender-crumb/core/exchange';
import { risesOf } from '@tender-crumb/core/ferment';
import { resolve } from '@tender-crumb/core/formula';
import { defaultHousehold, pantryIn, type Household } from '@tender-crumb/core/household';
import type { Bag } from '@tender-crumb/core/ingredient';
import { type BookBake, learnBook } from '@tender-crumb/core/learn';
import { seededRandom } from '@tender-crumb/core/quantity';
import { many, print } from './measure.ts';

const bakes = many(5000, 200);

/** A book of some bags, each bread made of three of them. */
function book(bags: number, open = bags): { household: Household; made: BookBake[] } {
  const kinds = ['bread-flour', 'whole-wheat', 'rye-whole'];
  const stock = Array.from({ length: bags }, (_, i): Bag => ({
    id: `b${i}`,
    name: `Bag ${i}`,
    ingredient: kinds[i % 3]!,
    // Of many bags a few are open at a time; the rest are used up, or not bought yet.
    ...(open < bags && i < bags - open ? { finished: true } : {}),
  }));
  const household: Household = { ...defaultHousehold, bags: stock };
  const formulas = Array.from({ length: bags }, (_, n) =>
    completeFormula({
      stages: [
        {
          lines: [
            ...[0, 1, 2].map((k) => {
              const { id, ingredient } = stock[(3 * n + k) % bags]!;
              return { ingredient, bag: id, grams: [300, 150, 50][k]! };
            }),
            { ingredient: 'water', grams: 340 },
            { ingredient: 'honey', grams: 15 },
            { ingredient: 'salt', grams: 9 },
          ],
        },
      ],
    }),
  );
  const kitchens = formulas.map((f) => kitchenNow(household, f));
  /** The bread of a bake: of all that there are, or of the bags that are open then. */
  const breadOf = (i: number): number =>
    open === bags
      ? i % bags
      : Math.min(bags - 1, Math.floor((i * (bags - open)) / bakes / 3) + (i % open));
  const made = Array.from({ length: bakes }, (_, i): BookBake => {
    const at = new Date(Date.UTC(2020, 0, 1) + i * 36_000_000).toISOString();
    return {
      id: `k${i}`,
      formula: formulas[breadOf(i)]!,
      events: [{ id: 'f', at, kind: 'felt', data: { points: (i % 9) - 4, rested: true } }],
      circumstances: { day: at.slice(0, 10), kitchen: kitchens[breadOf(i)]! },
    };
  });
  return { household, made };
}

/** Learns a book some times over; the median, and how many figures it knows then. */
function fold(
  household: Household,
  made: readonly BookBake[],
  rounds = many(3, 1),
): { ms: number; learned: number } {
  const spent: number[] = [];
  let learned = 0;
  for (let round = 0; round < rounds; round += 1) {
    const start = performance.now();
    const learning = learnBook(made, household);
    let step = learning.next();
    while (!step.done) step = learning.next();
    spent.push(performance.now() - start);
    const { keys, rested = {} } = step.value.belief;
    learned = new Set([...keys, ...Object.keys(rested)]).size;
  }
  return { ms: Math.round(spent.sort((a, b) => a - b)[Math.floor(spent.length / 2)]!), learned };
}

for (const [bags, open, aim] of [
  [14, 14, 500],
  [34, 34, 1500],
  [174, 12, 6000],
] as const) {
  const { household, made } = book(bags, open);
  const { ms, learned } = fold(household, made);
  print({
    measure: `the fold of ${bakes} bakes with ${learned} learned figures`,
    median: ms,
    unit: 'ms',
    aim: `< ${aim}`,
  });
}

// Far more breads than anybody bakes: it ends, and leaves a core to the others.
{
  const { household, made } = book(14);
  const { ms, learned } = fold(
    household,
    made.map((bake, i) => ({ ...bake, bread: `f${i % many(1000, 20)}` })),
  );
  print({
    measure: `the fold of ${bakes} bakes of ${many(1000, 20)} breads, ${learned} learned figures`,
    median: ms,
    unit: 'ms',
  });
}

// With noted rises, warm and leavened as they come: the rise model is solved for them.
{
  const random = seededRandom(1);
  const between = (least: number, most: number) => least + (most - least) * random();
  const household = defaultHousehold;
  const breads = Array.from({ length: many(40, 4) }, (_, n) =>
    completeFormula({
      stages: [
        ...(n % 2 === 0
          ? []
          : [
              {
                kind: 'starter' as const,
                lines: [
                  { ingredient: 'bread-flour', grams: between(25, 90) },
                  { ingredient: 'water', grams: 50 },
                ],
              },
            ]),
        {
          lines: [
            { ingredient: 'bread-flour', grams: between(250, 400) },
            { ingredient: 'whole-wheat', grams: between(50, 200) },
            { ingredient: 'water', grams: between(300, 360) },
            { ingredient: 'salt', grams: between(8, 11) },
            ...(n % 2 === 0 ? [{ ingredient: 'instant-yeast', grams: between(2, 7) }] : []),
          ],
        },
      ],
    }),
  );
  const kitchen = kitchenNow(household, breads[0]!);
  const noted = Array.from({ length: bakes }, (_, i): BookBake => {
    const start = Date.UTC(2020, 0, 1) + i * 36_000_000;
    let n = 0;
    const event = (hours: number, kind: string, data: object) => ({
      id: `${i}-${(n += 1)}`,
      at: new Date(start + hours * 3_600_000).toISOString(),
      kind,
      data,
    });
    const first = between(1, 5);
    return {
      id: `k${i}`,
      formula: breads[i % breads.length]!,
      events: [
        event(0, 'warmth', { of: 'dough', celsius: Math.round(between(22, 28) * 10) / 10 }),
        event(0, 'warmth', { of: 'air', celsius: Math.round(between(18, 27) * 2) / 2 }),
        event(0, 'felt', { points: (i % 5) - 2, rested: true }),
        event(0, 'rise', { rise: 'first', sense: 'begun' }),
        event(first / 2, 'rise', { rise: 'first', sense: 'not-yet' }),
        event(first, 'rise', { rise: 'first', sense: 'there' }),
        event(first, 'rise', { rise: 'final', sense: 'begun' }),
        event(first + 1, 'rise', { rise: 'final', sense: 'there' }),
      ] as BakeEvent[],
      circumstances: {
        day: new Date(start).toISOString().slice(0, 10),
        kitchen,
      },
    };
  });
  const { ms } = fold(household, noted, 1);
  // What as many forecasts cost that are worked out anew, each for itself.
  let anew = 0;
  const samples = many(200, 2);
  for (let n = 0; n < samples; n += 1) {
    const lines = resolve(breads[n % breads.length]!, pantryIn(household));
    const standing = { celsius: between(22, 28), air: [{ hours: 1, celsius: between(18, 27) }] };
    const start = performance.now();
    risesOf(lines, { ...standing, vessel: 'bowl' }, 'tin');
    anew += performance.now() - start;
  }
  const baseline = Math.round((anew / samples) * bakes);
  print({
    measure: `the fold of ${bakes} bakes with two noted rises each`,
    median: ms,
    unit: 'ms',
    aim: '< 30000',
    baseline,
    ratio: Number((ms / baseline).toFixed(2)),
  });
}
