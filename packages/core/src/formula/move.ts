import type { Change, Formula, Line, Taken } from './formula.ts';

/** A list with a thing put at a place; past an end, at that end. */
const put = <T>(list: readonly T[], at: number, thing: T): T[] => {
  const to = Math.max(0, Math.min(list.length, at));
  return [...list.slice(0, to), thing, ...list.slice(to)];
};

/** What corrections did to an ingredient goes with its line, once none of it stays behind. */
function followed(
  taken: readonly Taken[],
  { ingredient }: Line,
  from: string,
  to: string,
): Taken[] {
  const goes = (c: Change) => c.stage === from && c.ingredient === ingredient;
  return taken.map((t) =>
    t.changes.some(goes)
      ? { ...t, changes: t.changes.map((c) => (goes(c) ? { ...c, stage: to } : c)) }
      : t,
  );
}

/**
 * Puts a line at a place in a stage, its own or another. Corrections that were taken on it go with it
 * where no other line of its ingredient stays in the stage that it leaves.
 *
 * @param at place among the typed lines of that stage once the line is out of it, from 0; past the end
 *   is the end
 * @returns the same formula where the line or the stage is not there, or the line stands there already
 * @example placeLine(formula, 'l3', 's1', 0)
 */
export function placeLine(formula: Formula, lineId: string, stageId: string, at: number): Formula {
  const from = formula.stages.find((s) => s.lines.some((l) => l.id === lineId));
  const to = formula.stages.find((s) => s.id === stageId);
  if (!from || !to) return formula;
  const line = from.lines.find((l) => l.id === lineId)!;
  const stay = from.lines.filter((l) => l.id !== lineId);
  const lines = put(from === to ? stay : to.lines, at, line);
  if (from === to && lines.every((l, i) => l.id === from.lines[i]!.id)) return formula;
  const alone = from !== to && stay.every((l) => l.ingredient !== line.ingredient);
  return {
    ...formula,
    stages: formula.stages.map((s) =>
      s === to ? { ...s, lines } : s === from ? { ...s, lines: stay } : s,
    ),
    ...(alone ? { taken: followed(formula.taken, line, from.id, to.id) } : {}),
  };
}

/**
 * Moves a line up or down in its stage; at an end it goes into the stage next to it.
 *
 * @param by −1 up, 1 down
 * @returns the same formula where there is nowhere to go
 * @example moveLine(formula, 'l3', -1)
 */
export function moveLine(formula: Formula, lineId: string, by: -1 | 1): Formula {
  const stage = formula.stages.findIndex((s) => s.lines.some((l) => l.id === lineId));
  if (stage < 0) return formula;
  const { id, lines } = formula.stages[stage]!;
  const to = lines.findIndex((l) => l.id === lineId) + by;
  if (to >= 0 && to < lines.length) return placeLine(formula, lineId, id, to);
  const next = formula.stages[stage + by];
  return next ? placeLine(formula, lineId, next.id, by < 0 ? next.lines.length : 0) : formula;
}
