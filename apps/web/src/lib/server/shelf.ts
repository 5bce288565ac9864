import { verdict } from '@tender-crumb/core/correct';
import { windowFor } from '@tender-crumb/core/dough';
import { evaluate } from '@tender-crumb/core/evaluate';
import { shares, type Formula, type Share } from '@tender-crumb/core/formula';
import type { Belief } from '@tender-crumb/core/belief';
import type { Household } from '@tender-crumb/core/household';
import { type LevelMark, forBread } from '@tender-crumb/core/learn';
import type { StyleId, Window } from '@tender-crumb/core/style';
import type { Database } from './database/open.ts';
import { lastFelt } from './store/bakes.ts';
import { lastBakes, type LastBake } from './store/last-bakes.ts';
import { trialTurn } from './trial.ts';
import { readBodies, type FormulaHead } from './store/formulas.ts';

/** A formula as it stands on the shelf. */
export interface ShelfRow {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  readonly style: StyleId;
  readonly window: Window;
  readonly shares: readonly Share[];
  readonly level?: LevelMark;
  /** Where its dough stands, in a few words. */
  readonly says: string;
  readonly fits: boolean;
  readonly older: readonly number[];
  /** What its next bake tries, where something is being tried. */
  readonly trial?: string;
  /** The bake of it that was finished last. */
  readonly last?: LastBake;
}

type Judged = Omit<ShelfRow, 'id' | 'version' | 'older' | 'trial' | 'last'> &
  Pick<Formula, 'asked'>;

const mostKept = 5000;
const kept = new Map<string, Judged>();

const tenth = (points: number): number => Math.round(points * 10) / 10;

function judge(formula: Formula, household: Household, belief: Belief): Judged {
  const { name, style, asked } = formula;
  const trying = asked ? { asked } : {};
  const evaluation = evaluate(formula, household, belief);
  if (!evaluation) {
    const window = windowFor(style, 0, household.figures);
    return { name, style, window, shares: [], says: 'No flour yet', fits: false, ...trying };
  }
  const { level, lines, window, totals, cannotTell } = evaluation;
  const { brief: says, fits } = verdict(evaluation, style);
  return {
    name,
    style,
    window,
    says,
    fits,
    ...trying,
    shares: shares(lines, totals).map((s) => ({
      ...s,
      grams: Math.round(s.grams),
      percent: tenth(s.percent),
    })),
    ...(cannotTell
      ? {}
      : { level: { points: tenth(level.points), low: tenth(level.low), high: tenth(level.high) } }),
  };
}

/**
 * Rows of the shelf. A version of a formula is judged once for a belief and a household, and the
 * judgement is kept until one of the two changes.
 *
 * @param revision number of the belief
 */
export async function shelfRows(
  db: Database,
  heads: readonly FormulaHead[],
  household: Household,
  { belief, revision }: { belief: Belief; revision: number },
): Promise<ShelfRow[]> {
  const context = `${revision} ${JSON.stringify(household)}`;
  const keyOf = ({ id, version }: FormulaHead) => `${id} ${version} ${context}`;
  const ids = heads.map((h) => h.id);
  const before = Promise.all([lastFelt(db, ids), lastBakes(db, ids)]);
  const bodies = await readBodies(
    db,
    heads.filter((h) => !kept.has(keyOf(h))),
  );
  if (kept.size > mostKept) kept.clear();
  const [felt, baked] = await before;
  const rows = heads.flatMap((head) => {
    const body = bodies.get(head.id);
    const judged =
      kept.get(keyOf(head)) ?? (body && judge(body, household, forBread(belief, head.id)));
    if (!judged) return [];
    kept.set(keyOf(head), judged);
    const last = baked.get(head.id);
    return [
      {
        id: head.id,
        version: head.version,
        older: felt.get(head.id) ?? [],
        ...(last ? { last } : {}),
        ...judged,
      },
    ];
  });
  return Promise.all(
    rows.map(async ({ asked, ...row }): Promise<ShelfRow> => {
      const turn = asked && (await trialTurn(db, row.id, { asked }, household));
      return turn ? { ...row, trial: turn.says } : row;
    }),
  );
}
