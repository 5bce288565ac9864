import type { Formula } from './formula.ts';

/**
 * Moves a line up or down in its stage; at an end it goes into the stage next to it.
 *
 * @param by −1 up, 1 down
 * @returns the same formula where there is nowhere to go
 * @example moveLine(formula, 'l3', -1)
 */
export function moveLine(formula: Formula, lineId: string, by: -1 | 1): Formula {
  const at = formula.stages.findIndex((s) => s.lines.some((l) => l.id === lineId));
  if (at < 0) return formula;
  const { lines } = formula.stages[at]!;
  const from = lines.findIndex((l) => l.id === lineId);
  const line = lines[from]!;
  const without = [...lines.slice(0, from), ...lines.slice(from + 1)];
  const to = from + by;
  const put = (stage: number, into: readonly (typeof line)[]): Formula => ({
    ...formula,
    stages: formula.stages.map((s, i) =>
      i === stage ? { ...s, lines: into } : i === at ? { ...s, lines: without } : s,
    ),
  });
  if (to >= 0 && to < lines.length) {
    return put(at, [...without.slice(0, to), line, ...without.slice(to)]);
  }
  const next = formula.stages[at + by];
  if (!next) return formula;
  return put(at + by, by < 0 ? [...next.lines, line] : [line, ...next.lines]);
}
