import { sumGrams } from '../quantity/sum-grams.ts';
import type { PercentageSchool } from '../household/schools.ts';
import { refuse, type Refused } from '../quantity/refusal.ts';
import { convertYeast } from '../ingredient/yeast.ts';
import { cataloguePantry, type Pantry } from '../ingredient/pantry.ts';
import {
  allLines,
  mainStage,
  type Change,
  type Formula,
  type Line,
  type MeasuringMethod,
} from './formula.ts';
import { gramsOf } from './percentage.ts';
import { isBroughtIn, layLines, resolve, type LaidLine, type ResolvedLine } from './resolve.ts';
import { partOfBase } from './base.ts';
import { forgetAbsent } from './stages.ts';
import { totals } from './totals.ts';

/** Edits: functions from a formula to a new one. The old one is what undo goes back to. */

/** An id that no line of the formula has yet. */
export function nextLineId(formula: Formula): string {
  const used = allLines(formula).map((l) => Number(l.id.slice(1)) || 0);
  return `l${Math.max(0, ...used) + 1}`;
}

const mapLines = (formula: Formula, edit: (line: Line) => Line): Formula => ({
  ...formula,
  stages: formula.stages.map((s) => ({ ...s, lines: s.lines.map(edit) })),
});

/** Drops what corrections did to one ingredient of one stage: the baker has now said what it is. */
function settle(formula: Formula, stage: string, of: string): Formula {
  const touches = (c: Change) => c.stage === stage && c.ingredient === of;
  return {
    ...formula,
    taken: formula.taken
      .map((t) =>
        t.changes.some(touches) ? { ...t, changes: t.changes.filter((c) => !touches(c)) } : t,
      )
      .filter((t) => t.changes.length > 0),
  };
}

const find = (formula: Formula, lineId: string): LaidLine | undefined =>
  layLines(formula).find((l) => l.id === lineId);

/**
 * Changes a line in any of its own fields. An amount typed on a line that corrections had changed
 * stands as typed; a line that a correction had brought in becomes a line of its own.
 *
 * @returns the same formula where there is no such line
 * @example editLine(formula, 'l2', {grams: 330, measured: 'scale'})
 */
export function editLine(
  formula: Formula,
  lineId: string,
  edit: Partial<Omit<Line, 'id'>>,
): Formula {
  const line = find(formula, lineId);
  if (!line) return formula;
  const own: Line = pickLine({ ...line, ...edit });
  if (isBroughtIn(lineId)) {
    const settled = settle(formula, line.stage, line.ingredient);
    return insertLine(settled, line.stage, { ...own, id: nextLineId(settled) });
  }
  const first = layLines(formula).find(
    (l) => l.stage === line.stage && l.ingredient === line.ingredient,
  );
  const settles = ('grams' in edit || 'ingredient' in edit) && first?.id === lineId;
  const base = settles ? settle(formula, line.stage, line.ingredient) : formula;
  const typed = settles ? own : { ...own, grams: edit.grams ?? line.typedGrams };
  return mapLines(base, (l) => (l.id === lineId ? typed : l));
}

function pickLine({ stage, stageKind, state, typedGrams, corrections, ...line }: LaidLine): Line {
  void [stage, stageKind, state, typedGrams, corrections];
  const entries = Object.entries(line).filter(([, value]) => value !== undefined);
  return Object.fromEntries(entries) as unknown as Line;
}

/** Sets a line's grams and how they are measured from now on. */
export const setGrams = (
  formula: Formula,
  lineId: string,
  grams: number,
  measured: MeasuringMethod = 'scale',
): Formula => editLine(formula, lineId, { grams, measured, spread: undefined });

/**
 * Sets a line's baker's percentage. The flour's weight is held: a flour's new share is taken from,
 * or given to, the other flours of its own stage in proportion; anything else is scaled to the flour.
 *
 * @param percent 0 or more, in `school`
 * @returns the new formula, or why it cannot be: a bread's only flour is always 100 %
 */
export function setPercent(
  formula: Formula,
  lineId: string,
  percent: number,
  school: PercentageSchool,
  pantry: Pantry = cataloguePantry,
): Formula | Refused<'only-flour' | 'over-hundred' | 'no-base'> {
  const lines = resolve(formula, pantry);
  const line = lines.find((l) => l.id === lineId);
  const sums = totals(lines);
  if (!line || !sums) return refuse('no-base', 'Add some flour first');
  const grams = gramsOf(percent, sums, school);
  const inBase = (l: ResolvedLine) => partOfBase(l, sums) > 0.5;
  if (!inBase(line)) return setGrams(formula, lineId, grams);

  const others = lines.filter(
    (l) => l.id !== lineId && l.stage === line.stage && inBase(l) && l.grams > 0,
  );
  if (others.length === 0) {
    return refuse(
      'only-flour',
      'The only flour is always 100 %: change the grams, or add another flour',
    );
  }
  const othersGrams = sumGrams(others);
  const remaining = othersGrams + line.grams - grams;
  if (remaining < 0) {
    return refuse('over-hundred', 'That is more flour than there is');
  }
  return others.reduce(
    (next, l) => setGrams(next, l.id, (l.grams * remaining) / othersGrams, l.measured),
    setGrams(formula, lineId, grams, line.measured),
  );
}

/**
 * Puts another ingredient in a line's place, gram for gram; one yeast for another by the work that
 * it does. What else should follow is for the corrections to say.
 *
 * @example swapIngredient(formula, 'l1', 'fresh-hard-wheat')
 */
export function swapIngredient(
  formula: Formula,
  lineId: string,
  to: string,
  bag?: string,
  pantry: Pantry = cataloguePantry,
): Formula {
  const line = find(formula, lineId);
  if (!line) return formula;
  const from = pantry.ingredient(line.ingredient).yeast;
  const kind = pantry.ingredient(to).yeast;
  const ratio = from && kind ? convertYeast(1, from, kind, pantry.yeastWork) : 1;
  return editLine(formula, lineId, {
    ingredient: to,
    bag,
    grams: line.grams * ratio,
    countsAsFlour: undefined,
    asWritten: undefined,
  });
}

/** Puts a line at the end of a stage. */
const insertLine = (formula: Formula, stage: string, line: Line): Formula => ({
  ...formula,
  stages: formula.stages.map((s) => (s.id === stage ? { ...s, lines: [...s.lines, line] } : s)),
});

/** Adds an ingredient to a stage; unless said, to the one that everything ends in. */
export const addIngredient = (
  formula: Formula,
  of: string,
  grams: number,
  stage: string = mainStage(formula).id,
): Formula =>
  insertLine(formula, stage, {
    id: nextLineId(formula),
    ingredient: of,
    grams,
    measured: 'scale',
  });

/** Takes a line out, with what corrections did to it. */
export function removeLine(formula: Formula, lineId: string): Formula {
  const line = find(formula, lineId);
  if (!line) return formula;
  const settled = settle(formula, line.stage, line.ingredient);
  return forgetAbsent({
    ...settled,
    stages: settled.stages.map((s) => ({ ...s, lines: s.lines.filter((l) => l.id !== lineId) })),
  });
}
