import {
  evaluate,
  resolve,
  shares,
  verdict,
  windowFor,
  type Belief,
  type Formula,
  type Household,
  type LevelMark,
  type Share,
  type StyleId,
  type Window,
} from '@tender-crumb/core';
import type { StoredFormula } from './store/formulas.ts';

/** A formula as it stands on the shelf. */
export interface ShelfRow {
  readonly id: string;
  readonly name: string;
  readonly style: StyleId;
  readonly updatedAt: string;
  readonly window: Window;
  readonly shares: readonly Share[];
  readonly level?: LevelMark;
  readonly says: string;
  readonly fits: boolean;
  readonly older: readonly number[];
}

type Judged = Omit<ShelfRow, 'id' | 'updatedAt' | 'older'>;

const mostKept = 5000;
const kept = new Map<string, Judged>();

const tenth = (points: number): number => Math.round(points * 10) / 10;

function judge(formula: Formula, household: Household, belief: Belief): Judged {
  const { name, style } = formula;
  const evaluation = evaluate(formula, household, belief);
  if (!evaluation) {
    const window = windowFor(style, false);
    return { name, style, window, shares: [], says: 'No flour yet', fits: false };
  }
  const { level, state, window, slips, totals } = evaluation;
  const { says, fits } = verdict(level, state, window, style, slips);
  return {
    name,
    style,
    window,
    says,
    fits,
    shares: shares(resolve(formula), totals).map((s) => ({
      ...s,
      grams: Math.round(s.grams),
      percent: tenth(s.percent),
    })),
    level: { points: tenth(level.points), low: tenth(level.low), high: tenth(level.high) },
  };
}

/**
 * Rows of the shelf. A version of a formula is judged once for a belief and a household, and the
 * judgement is kept until one of the two changes.
 *
 * @param revision number of the belief
 */
export function shelfRows(
  formulas: readonly StoredFormula[],
  household: Household,
  { belief, revision }: { belief: Belief; revision: number },
  older: ReadonlyMap<string, number[]>,
): ShelfRow[] {
  const context = `${revision} ${JSON.stringify(household)}`;
  return formulas.map(({ id, version, updatedAt, formula }) => {
    const key = `${id} ${version} ${context}`;
    let judged = kept.get(key);
    if (!judged) {
      if (kept.size >= mostKept) kept.clear();
      judged = judge(formula, household, belief);
      kept.set(key, judged);
    }
    return { id, updatedAt, older: older.get(id) ?? [], ...judged };
  });
}
