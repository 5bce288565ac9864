import { defaultMeasures } from '@tender-crumb/core/quantity';
import { readRecipe } from '@tender-crumb/core/reader';
import type { Written } from './written.ts';

/** Rows of a recipe read beside what they mean. */
export interface Counted {
  right: number;
  asked: number;
  wrong: string[];
  dropped: string[];
}

/** Read beside meant: what is right, what was asked about, what is wrong, and what is gone. */
export function count({ text, means }: Pick<Written, 'text' | 'means'>): Counted {
  const { formula, rows } = readRecipe(text, { measures: defaultMeasures });
  const byId = new Map(formula.stages.flatMap((s) => s.lines).map((l) => [l.id, l]));
  const got = rows
    .flatMap((row): string[] => {
      if (row.as === 'unread') return ['?'];
      if (row.as === 'outside') return ['-'];
      return (row.lines ?? []).map((id) => `${byId.get(id)!.ingredient} ${byId.get(id)!.grams}`);
    })
    .filter((g) => g !== '');
  const counted: Counted = { right: 0, asked: 0, wrong: [], dropped: [] };
  const left = [...got];
  for (const meant of means) {
    const [id, grams] = meant.split(' ') as [string, string?];
    const at = left.findIndex((g) => {
      const [gotId, gotGrams] = g.split(' ');
      if (gotId !== id) return false;
      // Within a hundredth, as measures in cups are held to.
      return (
        grams === undefined ||
        Math.abs(Number(gotGrams) - Number(grams)) <= 0.012 * Number(grams) + 0.006
      );
    });
    if (at >= 0) {
      left.splice(at, 1);
      counted.right += 1;
    } else if (left.includes('?')) {
      left.splice(left.indexOf('?'), 1);
      counted.asked += 1;
    } else counted.dropped.push(meant);
  }
  counted.wrong.push(...left.filter((g) => g !== '?'));
  return counted;
}
