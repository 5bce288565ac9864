import { isUnclear, placedRows, textOf, type PageRow } from '@tender-crumb/core/picture';
import { defaultMeasures } from '@tender-crumb/core/quantity';
import { illegible, readRecipe } from '@tender-crumb/core/reader';
import type { WrittenDown } from '../../../../packages/core/test/reader/writer/persons.ts';
import { near } from '../../../../packages/core/test/reader/writer/score.ts';

/** What became of the things of a card. */
export interface CardScore {
  readonly things: number;
  readonly right: number;
  readonly asked: number;
  readonly wrong: number;
  readonly gone: number;
  readonly told: readonly string[];
}

/** How alike two rows are, 0 to 1: by the pairs of letters that they share. Source: Dice 1945. */
function alike(one: string, other: string): number {
  const pairs = (text: string) => {
    const plain = text.toLowerCase().replace(/[^\p{L}\d]/gu, '');
    return Array.from({ length: Math.max(0, plain.length - 1) }, (_, i) => plain.slice(i, i + 2));
  };
  const [a, b] = [pairs(one), pairs(other)];
  let shared = 0;
  const left = [...b];
  for (const pair of a) {
    const at = left.indexOf(pair);
    if (at < 0) continue;
    left.splice(at, 1);
    shared += 1;
  }
  return (2 * shared) / Math.max(1, a.length + b.length);
}

/** A row of the card is asked about where a question is so much like it. */
const sameRow = 0.5;

/**
 * What became of a card: a thing is right where it stands in the dough with its amount, asked where a question is about
 * its row, gone where neither. What stands in the dough and was not written is wrong.
 */
export function scoreCard({ text, means }: WrittenDown, rows: readonly PageRow[]): CardScore {
  const page = textOf(rows);
  const placed = placedRows(page, [{ rows }]);
  const doubted = new Set([...placed].filter(([, { row }]) => isUnclear(row)).map(([at]) => at));
  const { formula, unread } = readRecipe(page, { measures: defaultMeasures, doubted });
  const lines = formula.stages.flatMap((s) =>
    s.lines.map((l) => ({ of: l.ingredient, grams: l.grams, row: l.asWritten })),
  );
  let outside = formula.outside?.length ?? 0;
  let right = 0;
  const told: string[] = [];
  let open = 0;
  for (const meant of means) {
    if ('outside' in meant) {
      if (outside > 0) [outside, right] = [outside - 1, right + 1];
      else open += 1;
      continue;
    }
    if ('asked' in meant) {
      right += 1;
      continue;
    }
    const at = lines.findIndex((l) => l.of === meant.of && near(l.grams, meant.grams));
    if (at < 0) open += 1;
    else {
      lines.splice(at, 1);
      right += 1;
    }
  }
  const written = text.split('\n');
  const questions = unread.filter(
    (u) => u.text === illegible || written.some((row) => alike(row, u.text) >= sameRow),
  );
  const asked = Math.min(open, questions.length);
  told.push(...lines.map((l) => `wrong: ${l.of} ${Math.round(l.grams * 10) / 10} (${l.row})`));
  told.push(...unread.map((u) => `asked: ${u.text} (${u.code})`));
  if (open > asked) told.push(`gone: ${open - asked}`);
  return { things: means.length, right, asked, wrong: lines.length, gone: open - asked, told };
}
