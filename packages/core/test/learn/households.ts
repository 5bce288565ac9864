import type { BakeEvent } from '@tender-crumb/core/bake';
import { kitchenOf, nothingLearned, type Belief } from '@tender-crumb/core/belief';
import { level, type Level } from '@tender-crumb/core/dough';
import { resolve, type Formula } from '@tender-crumb/core/formula';
import {
  coefficientsIn,
  defaultHousehold,
  withBaker,
  type Household,
} from '@tender-crumb/core/household';
import { forBread, learnFromBake } from '@tender-crumb/core/learn';
import { build } from '../build.ts';
import { seeded } from '../seeded.ts';

/** How a world differs from the one that is assumed. Points of the level. */
export interface World {
  readonly says: string;
  /** Each of its bakers: how far his touch leans, and how unsteady it is. */
  readonly hands: ReadonlyArray<{ readonly bias?: number; readonly noise: number }>;
  /** One bake in so many is mixed so far off, and nobody knows. */
  readonly slips?: { readonly oneIn: number; readonly by: number };
  /** The flour swings so far with the seasons. */
  readonly seasons?: number;
  /** The bag drinks otherwise than believed, times what is drawn. */
  readonly thirst?: number;
  /** Its flour is dipped out of the bag with a cup. */
  readonly dipped?: true;
}

/** Three breads of one flour and another, as a household bakes them. */
const breads: ReadonlyArray<readonly [string, Formula]> = [
  ['tin', build({ 'bread-flour': 500, water: 325, salt: 10, 'instant-yeast': 6 })],
  ['mixed', build({ 'bread-flour': 350, 'whole-wheat': 150, water: 345, salt: 10 })],
  ['rich', build({ 'bread-flour': 500, milk: 330, butter: 40, sugar: 30, salt: 9 }, 'rolls')],
];

const dipped = (formula: Formula): Formula => ({
  ...formula,
  stages: formula.stages.map((s) => ({
    ...s,
    lines: s.lines.map((l) =>
      /flour|wheat/.test(l.ingredient) ? { ...l, measured: 'dipped' } : l,
    ),
  })),
});

/** One bake as it was forecast, and as it was. */
export interface Baked {
  readonly household: number;
  /** From 1. */
  readonly bake: number;
  readonly held: boolean;
  readonly feltHeld: boolean;
  /** One or two bakes after a slip. */
  readonly afterSlip: boolean;
  /** Squared error of the forecast, of “as last time”, and of the formula alone. */
  readonly error: number;
  readonly lastTime: number;
  readonly formula: number;
}

/** What the program forecasts of a finger: the middle, and the half of the band. */
export type FeltBand = (
  at: Level,
  household: Household,
  belief: Belief,
) => { readonly low: number; readonly high: number };

const bakesOf = 17;
const weekMs = 7 * 86_400_000;
const start = Date.UTC(2026, 0, 5);

/** What a household's figures depart by, drawn as they are believed together before its first bake. */
function drawn(
  blank: readonly Level[],
  random: ReturnType<typeof seeded>,
  times: number,
): ReadonlyMap<string, number> {
  const priors = new Map(blank.flatMap(({ priors: of }) => [...of]));
  const keys = [...priors.keys()].filter((k) => k !== 'touch' && k !== 'departure');
  const { keys: fitted, covariance } = nothingLearned;
  const together = keys.map((a) =>
    keys.map((b) => {
      const [i, j] = [fitted.indexOf(a), fitted.indexOf(b)];
      if (i >= 0 && j >= 0) return covariance[i]![j]!;
      return a === b ? priors.get(a)! ** 2 : 0;
    }),
  );
  // Cholesky's factor of it.
  const factor = together.map((row) => row.map(() => 0));
  for (let i = 0; i < keys.length; i += 1)
    for (let j = 0; j <= i; j += 1) {
      const rest =
        together[i]![j]! -
        factor[i]!.slice(0, j).reduce((sum, f, k) => sum + f * factor[j]![k]!, 0);
      factor[i]![j] = i === j ? Math.sqrt(Math.max(0, rest)) : rest / factor[j]![j]!;
    }
  const normals = keys.map(() => random.normal() * times);
  return new Map(
    keys.map(
      (key, i) => [key, factor[i]!.reduce((sum, f, k) => sum + f * normals[k]!, 0)] as const,
    ),
  );
}

/** Households of a world, drawn from the priors and baked by the program's own rules. */
export function bakesIn(world: World, households: number, seed: number, feltOf: FeltBand): Baked[] {
  const random = seeded(seed);
  const found: Baked[] = [];
  const names = world.hands.map((_, i) => ({ id: `h${i}`, name: `Hand ${i}` }));
  const usual: Household = {
    ...defaultHousehold,
    ...(names.length > 1 ? { bakers: names } : {}),
  };
  const weekly = coefficientsIn(usual).bagWander.value * Math.sqrt(7 / 90);
  const baked = breads.map(
    ([name, formula]) => [name, world.dipped ? dipped(formula) : formula] as const,
  );
  const lines = baked.map(([, formula]) => resolve(formula));
  const blank = lines.map((l) => level(l, kitchenOf(usual))!);
  for (let h = 0; h < households; h += 1) {
    const departures = new Map(drawn(blank, random, world.thirst ?? 1));
    const own = breads.map(() => blank[0]!.priors.get('departure')! * random.normal());
    const lean = world.hands.map(
      ({ bias }) => bias ?? blank[0]!.priors.get('touch')! * random.normal(),
    );
    let belief: Belief = nothingLearned;
    const last = new Map<string, number>();
    let sinceSlip = 99;
    for (let n = 0; n < bakesOf; n += 1) {
      // The next sack and the season: flour wanders as it is believed to.
      for (const [key, value] of departures)
        if (/^thirst:(?:bread-flour|whole-wheat)$/.test(key))
          departures.set(key, value + weekly * random.normal());
      const which = Math.floor(random.uniform() * breads.length);
      const [bread, formula] = baked[which]!;
      const by = Math.floor(random.uniform() * world.hands.length);
      const at = new Date(start + n * weekMs).toISOString();
      const household: Household = { ...usual, today: at.slice(0, 10) };
      const seen = withBaker(household, names.length > 1 ? names[by]!.id : undefined);
      const view = forBread(belief, bread);
      const forecast = level(lines[which]!, kitchenOf(seen, view))!;
      const season = (world.seasons ?? 0) * Math.sin((2 * Math.PI * n) / 52 + h);
      const passing = Math.hypot(...blank[which]!.passing.values());
      const slipped = world.slips !== undefined && random.uniform() < 1 / world.slips.oneIn;
      const true0 =
        [...blank[which]!.slopes].reduce(
          (sum, [key, slope]) => sum + slope * (departures.get(key) ?? 0),
          blank[which]!.points,
        ) +
        own[which]! +
        lean[by]! +
        season;
      const dough = true0 + passing * random.normal() + (slipped ? world.slips!.by : 0);
      const felt = dough + world.hands[by]!.noise * random.normal();
      const band = feltOf(forecast, seen, view);
      if (!slipped)
        found.push({
          household: h,
          bake: n + 1,
          held: dough >= forecast.low && dough <= forecast.high,
          feltHeld: felt >= band.low && felt <= band.high,
          afterSlip: sinceSlip <= 2,
          error: (felt - forecast.points) ** 2,
          lastTime: (felt - (last.get(bread) ?? blank[which]!.points)) ** 2,
          formula: (felt - blank[which]!.points) ** 2,
        });
      sinceSlip = slipped ? 1 : sinceSlip + 1;
      last.set(bread, felt);
      const events = [
        ...(names.length > 1
          ? [{ id: `w${n}`, at, kind: 'baker', data: { baker: names[by]!.id } }]
          : []),
        { id: `f${n}`, at, kind: 'felt', data: { points: felt } },
      ] as BakeEvent[];
      belief = learnFromBake(formula, events, household, belief, bread)!.belief;
    }
  }
  return found;
}

/** How often the bands held in a world, from the fourth bake on, and the worst bake, of 100. */
export function heldIn(of: readonly Baked[]) {
  const share = (rows: readonly Baked[], by: (b: Baked) => boolean) =>
    (100 * rows.filter(by).length) / rows.length;
  const later = of.filter((b) => b.bake >= 4);
  const byBake = Array.from({ length: bakesOf - 3 }, (_, i) =>
    share(
      later.filter((b) => b.bake === i + 4),
      (b) => b.held,
    ),
  );
  const mean = (by: (b: Baked) => number) =>
    later.reduce((sum, b) => sum + by(b), 0) / later.length;
  return {
    level: share(later, (b) => b.held),
    worst: Math.min(...byBake),
    felt: share(later, (b) => b.feltHeld),
    afterSlip: share(
      of.filter((b) => b.afterSlip),
      (b) => b.held,
    ),
    beats:
      mean((b) => b.error) <
      Math.min(
        mean((b) => b.lastTime),
        mean((b) => b.formula),
      ),
  };
}

/** Worlds that bakers live in. */
export const worlds: readonly World[] = [
  { says: 'steady', hands: [{ noise: 1.5 }] },
  { says: 'unsteady hands (noise 3)', hands: [{ noise: 3 }] },
  {
    says: 'two named at ± 2',
    hands: [
      { bias: 2, noise: 1.5 },
      { bias: -2, noise: 1.5 },
    ],
  },
  {
    says: 'two at ± 2, one unsteady',
    hands: [
      { bias: 2, noise: 1.5 },
      { bias: -2, noise: 3 },
    ],
  },
  {
    says: 'ten hands',
    hands: Array.from({ length: 10 }, (_, i) => ({ bias: ((i % 5) - 2) * 0.8, noise: 1.5 })),
  },
  { says: 'slips of 10, one in eight', hands: [{ noise: 1.5 }], slips: { oneIn: 8, by: 10 } },
  { says: 'seasons ± 2.5', hands: [{ noise: 1.5 }], seasons: 2.5 },
  { says: 'thirst × 1.5', hands: [{ noise: 1.5 }], thirst: 1.5 },
  { says: 'dipped cups', hands: [{ noise: 1.5 }], dipped: true },
];

/** Ends of what the bands may hold, of 100, where they are stated for 80. */
export type Aims = Readonly<
  Record<string, { readonly level?: [number, number]; readonly felt?: [number, number] }>
>;
