import {
  baseOf,
  bakeState,
  checkDough,
  coefficients,
  defaultHousehold,
  kitchenOf,
  level,
  measuringSd,
  mixedLines,
  outside,
  resolve,
  weighingList,
  windowFor,
  type BakeEvent,
  defaultSettings,
  type Bag,
  type Belief,
  type Label,
  type Settings,
  type Formula,
  type Household,
  type Outcome,
  type OutcomeWord,
} from '@tender-crumb/core';
import { demoBreads, type DemoBread } from './formulas.ts';
import { Draws } from './random.ts';
import { demoBags, demoLabels, hiddenTruth } from './truth.ts';

const seed = 90210 + 9;
const months = 9;
const dayMs = 86_400_000;

/** How Number 9, Heron Lock measures and reckons. */
export const demoSettings: Settings = {
  ...defaultSettings,
  measures: { cup: 'metric', tablespoon: 'metric', fill: 'spooned', egg: 'eu-medium' },
  yeastKept: 'instant-yeast',
};
const demoHousehold: Household = { ...defaultHousehold, ...demoSettings };

/** One bake of the nine months. */
export interface DemoBake {
  readonly id: string;
  readonly formulaId: string;
  readonly version: number;
  readonly method: DemoBread['method'];
  readonly startedAt: string;
  readonly events: readonly BakeEvent[];
}

/** Everything that the demo household has. */
export interface DemoData {
  readonly settings: Settings;
  readonly bags: readonly Bag[];
  readonly labels: readonly Label[];
  /** Each formula in its versions: with the spring bags, and later with the autumn ones. */
  readonly formulas: ReadonlyArray<{
    readonly id: string;
    readonly versions: ReadonlyArray<{ readonly formula: Formula; readonly at: string }>;
  }>;
  readonly bakes: readonly DemoBake[];
}

/** Lines bound to the season's bags. */
const withBags = (formula: Formula, season: 'spring' | 'autumn'): Formula => ({
  ...formula,
  stages: formula.stages.map((s) => ({
    ...s,
    lines: s.lines.map((l) => {
      const bag = demoBags.find((b) => b.ingredient === l.ingredient && b.id.endsWith(season));
      return bag ? { ...l, bag: bag.id } : l;
    }),
  })),
});

/** Relative humidity of the cold pantry: dry in late winter, damp in autumn. */
const pantryHumidity = (date: Date): number =>
  0.62 + 0.1 * Math.cos((2 * Math.PI * (date.getUTCMonth() - 9)) / 12);

/**
 * Nine months of bakes up to a day, simulated from a hidden truth: what the scale showed, how the
 * dough felt, what was spooned in, how it came out.
 *
 * @param today the day on which the demo is filled; the same day gives the same household
 */
export function demoData(today: Date): DemoData {
  const draws = new Draws(seed);
  const truth = hiddenTruth(draws);
  const end = Date.UTC(today.getUTCFullYear(), today.getUTCMonth(), today.getUTCDate());
  const begin = end - months * 30 * dayMs;
  const half = begin + (months * 30 * dayMs) / 2;
  const day = (ms: number) => new Date(ms).toISOString().slice(0, 10);

  const formulas = demoBreads.map(({ id, formula }, i) => {
    const [spring, autumn] = [withBags(formula, 'spring'), withBags(formula, 'autumn')];
    const versions = [{ formula: spring, at: new Date(begin - (9 - i) * dayMs).toISOString() }];
    if (JSON.stringify(autumn) !== JSON.stringify(spring)) {
      versions.push({ formula: autumn, at: new Date(half + i * 60_000).toISOString() });
    }
    return { id, versions };
  });

  const bakes: DemoBake[] = [];
  for (let at = begin; at < end - dayMs; at += dayMs) {
    for (const [i, bread] of demoBreads.entries()) {
      if (draws.uniform() > bread.monthly / 30) continue;
      const { versions } = formulas[i]!;
      const version = at < half ? 1 : versions.length;
      const formula = versions[version - 1]!.formula;
      const start = at + (7 + Math.floor(10 * draws.uniform())) * 3_600_000 + i * 60_000;
      bakes.push({
        id: `bake-${bakes.length + 1}`,
        formulaId: bread.id,
        version,
        method: bread.method,
        startedAt: new Date(start).toISOString(),
        events: simulate(formula, bread, `bake-${bakes.length + 1}`, start, truth, draws),
      });
    }
  }
  return {
    settings: demoSettings,
    labels: demoLabels,
    bags: demoBags.map((b) => ({ ...b, openedOn: day(b.id.endsWith('spring') ? begin : half) })),
    formulas,
    // As they came to their end: the book learns in that order.
    bakes: bakes.sort((a, b) => (endOf(a) < endOf(b) ? -1 : 1)),
  };
}

const endOf = ({ events }: DemoBake): string => events.find((e) => e.kind === 'finished')?.at ?? '';

/** One bake as it went. */
function simulate(
  formula: Formula,
  bread: DemoBread,
  id: string,
  start: number,
  truth: Belief,
  draws: Draws,
): BakeEvent[] {
  const events: BakeEvent[] = [];
  const at = (minute: number) => new Date(start + minute * 60_000).toISOString();
  const add = (minute: number, event: { kind: BakeEvent['kind']; data: unknown }) =>
    events.push({ id: `${id}-${events.length + 1}`, at: at(minute), ...event } as BakeEvent);
  const room = { celsius: 19, humidity: pantryHumidity(new Date(start)) };
  const actual = kitchenOf({ ...demoHousehold, room }, truth);

  const byScale = !resolve(formula).some((l) => l.measured === 'volume');
  for (const [n, item] of weighingList(formula, bread.method)
    .flatMap((s) => s.items)
    .entries()) {
    const correction = byScale && draws.uniform() < 0.12 ? 1 + 0.02 * draws.normal() : 1;
    const grams = Math.round(item.grams * correction * 10) / 10;
    add(n * 0.6, { kind: 'weighed', data: { item: item.id, grams, byScale } });
  }

  // What the bowl really holds is what the scale showed, give or take, and nobody sees the difference.
  const error = new Map<string, number>();
  const trueLevel = (): number => {
    const lines = mixedLines(formula, bakeState(events)).map((l) => {
      if (!error.has(l.id)) error.set(l.id, measuringSd(l, actual) * draws.normal());
      return { ...l, grams: Math.max(0, l.grams + error.get(l.id)!) };
    });
    return level(lines, actual)!.points;
  };
  const window = windowFor(formula.style, baseOf(resolve(formula)).dryness);
  const feel = (): number =>
    Math.round((trueLevel() + coefficients.feel.value * draws.normal()) * 2) / 2;

  let felt = feel();
  add(16, { kind: 'felt', data: { points: felt } });
  for (let spoon = 0; spoon < 3 && outside(felt, window) !== 0; spoon += 1) {
    const lines = mixedLines(formula, bakeState(events));
    const base = level(lines, actual)!.baseGrams;
    const advice = checkDough(felt, window, lines, base, demoHousehold.measures);
    if (!advice.ingredient || !advice.grams) break;
    add(17 + 4 * spoon, {
      kind: 'added',
      data: { ingredient: advice.ingredient, grams: advice.grams },
    });
    felt = feel();
    add(20 + 4 * spoon, { kind: 'felt', data: { points: felt } });
  }
  add(210, { kind: 'outcome', data: judged(outside(trueLevel(), window), draws) });
  add(211, { kind: 'finished', data: {} });
  return events;
}

const notes = {
  tight: [
    'A bit heavy; nobody left any, though.',
    'Tore along the side.',
    'Close crumb, good toast.',
  ],
  right: ['Just as it should be.', 'Best of the month.', 'Sliced clean the next morning.', ''],
  loose: ['Spread more than it rose.', 'Big holes under the crust.', 'Stuck to the tin a little.'],
};

function judged(off: number, draws: Draws): Outcome {
  const side = off < -0.8 ? 'tight' : off > 0.8 ? 'loose' : 'right';
  const words: Record<typeof side, OutcomeWord[]> = {
    tight: ['dense'],
    right: ['just right'],
    loose: ['spread flat'],
  };
  const stars = Math.max(
    1,
    Math.min(5, Math.round(5 - Math.abs(off) / 1.5 - 0.5 * draws.uniform())),
  );
  return { stars, words: words[side], note: draws.pick(notes[side]) };
}
