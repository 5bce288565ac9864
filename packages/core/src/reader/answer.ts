import { type Formula, type Line, allLines, mainStage } from '../formula/formula.ts';
import { nextLineId } from '../formula/edit.ts';
import { refuse, type Refused } from '../quantity/refusal.ts';
import type { Answer, Reader } from './read.ts';
import { readRecipe } from './recipe.ts';

/**
 * Answers a row of a formula that could not be read: it becomes a line where it stood, something outside
 * the dough, or nothing.
 *
 * @param at its place among the formula's unread rows
 * @returns the new formula, or why it is still not a line: it has no amount, say
 * @example answerUnread(formula, 0, {is: 'peanuts'}, reader)
 */
export function answerUnread(
  formula: Formula,
  at: number,
  answer: Answer,
  reader: Reader,
): Formula | Refused {
  const row = formula.unread?.[at];
  if (!row) return refuse('no-such-row', 'There is no such row');
  const unread = formula.unread!.filter((_, i) => i !== at);
  const { unread: old, ...rest } = formula;
  void old;
  const without: Formula = unread.length > 0 ? { ...rest, unread } : rest;
  if ('not' in answer) {
    if (answer.not === 'ingredient') {
      const notes = [formula.notes, row.text].filter(Boolean).join('\n');
      return { ...without, notes: notes.slice(0, 20_000) };
    }
    const outside = formula.outside ?? [];
    const used = new Set(outside.map((o) => o.id));
    let n = 1;
    while (used.has(`o${n}`)) n += 1;
    return {
      ...without,
      outside: [...outside, { id: `o${n}`, use: 'topping', says: row.text }],
    };
  }
  const read = readRecipe(row.text, { ...reader, answers: { [row.text.trim()]: answer } });
  const lines = allLines(read.formula);
  if (lines.length === 0) {
    return refuse('no-amount', read.unread[0]?.says ?? 'no amount: write how much');
  }
  let [answered, below] = [without, row.after];
  for (const line of lines) {
    const id = nextLineId(answered);
    answered = placed(answered, { ...line, id }, row.stage, below);
    below = id;
  }
  return answered;
}

/** Puts a line below another, or at the end of its stage. */
function placed(formula: Formula, line: Line, stage?: string, after?: string): Formula {
  const into = formula.stages.some((s) => s.id === stage) ? stage : mainStage(formula).id;
  return {
    ...formula,
    stages: formula.stages.map((s) => {
      if (s.id !== into) return s;
      const below = s.lines.findIndex((l) => l.id === after);
      const at = below < 0 ? s.lines.length : below + 1;
      return { ...s, lines: [...s.lines.slice(0, at), line, ...s.lines.slice(at)] };
    }),
  };
}
