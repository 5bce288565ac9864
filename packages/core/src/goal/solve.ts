import { solve as solveModel, type Coefficients, type Constraint, type Model } from 'yalps';
import type { CandidateStuff, Programme, Row } from './programme.ts';

/** Grams of each candidate, or that there are none that meet every row. */
export type Amounts = ReadonlyMap<string, number>;

/** What is made small: the changes, their number, the money, or how far one goal gives way. */
type Aim =
  | { readonly kind: 'fewest' | 'cheapest' }
  | { readonly kind: 'relax'; readonly goals: ReadonlySet<string> };

const tolerance = 1e-7;
/** Longest search for the very fewest changes; the smallest changes stand in after that. */
const patienceMs = 110;
/**
 * Weight of a thing that changes by all of itself, beside one ingredient more that changes, beside money, beside a goal
 * that gives way. Own choices, no source: one thing turned round wholly is no better than three that move by a third.
 */
const changeWeights = { fewest: 1, cheapest: 1e-4, relax: 1e-6 } as const;
/** What one ingredient more that changes weighs. Own choice, no source. */
const countWeight = 0.15;
/** A thing of which there is less than this share of the dough is measured by that: little of it is not all of it. Own choice, no source. */
const leastPart = 0.03;

const up = (id: string) => `up:${id}`;
const down = (id: string) => `down:${id}`;
const changed = (id: string) => `changed:${id}`;
const slack = (row: Row) => `slack:${row.id}`;

/** Things whose amount follows from the rest, so that changing them is no change of the recipe. */
const follows: ReadonlySet<string> = new Set(['water', 'salt']);

interface Solved {
  readonly amounts: Amounts;
  /** By row: how far it gives way, in its own unit. */
  readonly slacks: ReadonlyMap<string, number>;
  readonly objective: number;
}

const bound = ({ least, most }: Row): Constraint =>
  least !== undefined && least === most
    ? { equal: least }
    : {
        ...(least === undefined ? {} : { min: least }),
        ...(most === undefined ? {} : { max: most }),
      };

/** Bounds of a candidate: what the baker holds, and nothing that has no price where price decides. */
function limits(of: CandidateStuff, { price }: Programme, aim: Aim): Constraint {
  const unpriced = aim.kind === 'cheapest' && !price.has(of.of.id);
  const most = unpriced ? Math.min(of.most ?? Infinity, of.now) : of.most;
  const least = of.least ?? 0;
  return {
    min: least,
    ...(most === undefined || most === Infinity ? {} : { max: Math.max(most, least) }),
  };
}

function model(programme: Programme, aim: Aim, count: boolean): Model {
  const { candidates, rows, price } = programme;
  const constraints = new Map<string, Constraint>();
  const variables = new Map<string, Map<string, number>>();
  const coefficient = (variable: string, row: string, value: number) => {
    if (value === 0) return;
    const of = variables.get(variable) ?? new Map<string, number>();
    of.set(row, value);
    variables.set(variable, of);
  };
  const binaries: string[] = [];

  for (const row of rows) {
    constraints.set(row.id, bound(row));
    for (const [id, value] of row.coefficients) coefficient(id, row.id, value);
    if (aim.kind === 'relax' && row.goal && aim.goals.has(row.goal)) {
      coefficient(slack(row), row.id, row.least === undefined ? -1 : 1);
      // Compared by the goal's own size, so that no goal gives way for its unit's sake.
      coefficient(slack(row), 'objective', 1 / scaleOf(row));
    }
  }
  const total = rows.find((r) => r.id === 'dough')!.most!;
  for (const c of candidates) {
    const { id } = c.of;
    constraints.set(`limit:${id}`, limits(c, programme, aim));
    coefficient(id, `limit:${id}`, 1);
    // grams − up + down = now
    constraints.set(`now:${id}`, { equal: c.now });
    coefficient(id, `now:${id}`, 1);
    coefficient(up(id), `now:${id}`, -1);
    coefficient(down(id), `now:${id}`, 1);
    const own = Math.max(c.now, leastPart * total);
    const weight = changeWeights[aim.kind] / own / (follows.has(id) ? 10 : 1);
    coefficient(up(id), 'objective', weight);
    coefficient(down(id), 'objective', weight);
    if (aim.kind === 'cheapest') coefficient(id, 'objective', price.get(id) ?? 0);
    if (count && !follows.has(id)) {
      constraints.set(`counts:${id}`, { max: 0 });
      coefficient(up(id), `counts:${id}`, 1);
      coefficient(down(id), `counts:${id}`, 1);
      coefficient(changed(id), `counts:${id}`, -Math.max(total, c.now));
      coefficient(changed(id), 'objective', countWeight);
      binaries.push(changed(id));
    }
  }
  return {
    direction: 'minimize',
    objective: 'objective',
    constraints: [...constraints],
    variables: [...variables] as Array<[string, Coefficients<string>]>,
    ...(binaries.length > 0 ? { binaries } : {}),
  };
}

/** Size of a row's figure: what one per cent of it means. */
const scaleOf = (row: Row): number =>
  Math.max(1, Math.abs(row.least ?? 0), Math.abs(row.most ?? 0), row.goal === 'level' ? 300 : 0);

function run(programme: Programme, aim: Aim, count: boolean): Solved | undefined {
  const { status, variables, result } = solveModel(model(programme, aim, count), {
    precision: tolerance,
    maxIterations: 20_000,
    ...(count ? { timeout: patienceMs, maxPivots: 4000 } : {}),
  });
  if (status !== 'optimal' && !(status === 'timedout' && variables.length > 0)) return undefined;
  const values = new Map(variables);
  return {
    amounts: new Map(
      programme.candidates.map((c) => [c.of.id, Math.max(0, values.get(c.of.id) ?? 0)]),
    ),
    slacks: new Map(programme.rows.map((r) => [r.id, values.get(slack(r)) ?? 0])),
    objective: result,
  };
}

/**
 * Solves a bread for an aim. For the fewest changes the smallest are found first, each beside what there is of its thing,
 * which changes few things already; then fewer are looked for, for a tenth of a second at the most.
 *
 * @returns undefined where no amounts meet every row
 */
export function solveProgramme(programme: Programme, aim: Aim): Solved | undefined {
  const plain = run(programme, aim, false);
  if (!plain || aim.kind !== 'fewest') return plain;
  return run(programme, aim, true) ?? plain;
}
