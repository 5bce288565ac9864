import { makeCorrection, type Correction, type CorrectionContext } from '../correct/correction.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import type { Ingredient } from '../ingredient/ingredient.ts';
import { roles } from '../ingredient/role.ts';
import { gramsText } from '../quantity/number.ts';
import type { Held } from './rule.ts';

const softens = (of: Ingredient): boolean => roles[of.role].softens || of.role === 'powder';

/** What is held as it was, one row each, with what brings it back. */
interface Balanced {
  readonly held: Held & ('fat' | 'sugar' | 'salt');
  /** Grams of it in a gram of a thing. */
  readonly in: (of: Ingredient) => number;
  readonly by: string;
  /** Differences below this share of the flour are not worth a correction. Own choice. */
  readonly worth: number;
  readonly gone: (grams: string) => string;
  readonly came: (grams: string) => string;
  readonly ifLeft: string;
}

const rows: readonly Balanced[] = [
  {
    held: 'fat',
    in: (of) => (softens(of) ? of.composition.fat / 100 : 0),
    by: 'oil',
    worth: 0.008,
    gone: (g) => `${g} of fat went with it: oil brings it back.`,
    came: (g) => `It brings ${g} of fat more: hold back as much oil.`,
    ifLeft: 'The crumb is drier or shorter by that much.',
  },
  {
    held: 'sugar',
    in: (of) => (softens(of) ? of.composition.sugars / 100 : 0),
    by: 'sugar',
    worth: 0.008,
    gone: (g) => `${g} of sugar went with it.`,
    came: (g) => `${g} of sugar come with it.`,
    ifLeft: 'It is less or more sweet by that much.',
  },
  {
    held: 'salt',
    in: (of) => (of.addedSalt ?? 0) / 100,
    by: 'salt',
    worth: 0.001,
    gone: (g) => `${g} of salt went with it.`,
    came: (g) => `It brings ${g} of salt: hold back as much.`,
    ifLeft: 'It tastes of that much more or less salt.',
  },
];

/** Fat, sugar and salt brought back to what they were, where a swap holds them. */
export function balance(
  before: readonly ResolvedLine[],
  context: CorrectionContext,
  held: readonly Held[],
): Correction[] {
  const { lines, totals, stage } = context;
  return rows
    .filter((row) => held.includes(row.held))
    .flatMap((row) => {
      const sum = (of: readonly ResolvedLine[]) =>
        of.reduce((total, l) => total + l.grams * row.in(l.of), 0);
      const missing = sum(before) - sum(lines);
      const there = lines.reduce(
        (total, l) => (l.ingredient === row.by && l.stage === stage ? total + l.grams : total),
        0,
      );
      const grams = Math.max(-there, Math.round(missing * 2) / 2);
      if (grams === 0 || Math.abs(grams) < row.worth * totals.flourGrams) return [];
      const text = gramsText(Math.abs(missing));
      return [
        makeCorrection(context, {
          kind: row.held,
          reason: missing > 0 ? row.gone(text) : row.came(text),
          basis: 'composition of both',
          certainty: 0.9,
          ifLeft: row.ifLeft,
          changes: [{ stage, ingredient: row.by, grams }],
        }),
      ];
    });
}
