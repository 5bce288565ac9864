import type { Change, StageHead } from '../formula/formula.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import type { Totals } from '../formula/totals.ts';
import type { Pantry } from '../ingredient/pantry.ts';
import { refuse, type Refused } from '../quantity/refusal.ts';
import { pouredWater } from '../formula/poured-water.ts';

/** What a rule looks at. */
export interface SwapContext {
  readonly lines: readonly ResolvedLine[];
  readonly totals: Totals;
  readonly pantry: Pantry;
  /** Stage that everything ends in. */
  readonly main: string;
}

/** What is held as it was: each is balanced by a correction of its own. */
export type Held = 'level' | 'fat' | 'sugar' | 'salt';

/** What taking the place of a line changes, or why nothing can. */
export type Swap =
  | {
      readonly changes: readonly Change[];
      readonly stages?: readonly StageHead[];
      readonly held: readonly Held[];
      readonly notes: readonly string[];
      readonly basis: string;
    }
  /** Undoes an earlier swap, to the bit: the one that brought this stage in. */
  | { readonly givesBack: string; readonly notes: readonly string[] }
  | Refused;

/** One thing that may take a line's place. */
export interface Candidate {
  /** Stays the same for the same line: what to pass on to choose it. */
  readonly id: string;
  readonly label: string;
  /** It takes a line's place altogether, or not at all. */
  readonly whole?: boolean;
  readonly make: (line: ResolvedLine, context: SwapContext) => Swap;
}

/** A rule offers candidates for the lines that it knows about. */
export type Rule = (line: ResolvedLine, context: SwapContext) => readonly Candidate[];

export const add = (line: ResolvedLine, ingredient: string, grams: number): Change => ({
  stage: line.stage,
  ingredient,
  grams,
});

/** Everything of a line taken out. */
export const takeOut = (line: ResolvedLine, share = 1): Change =>
  add(line, line.ingredient, -line.grams * share);

/**
 * Something wet in a line's place, for which as much water gives way as it brings; refused where so much is
 * not poured.
 */
export function wetInPlaceOfWater(
  line: ResolvedLine,
  to: { readonly id: string; readonly grams: number; readonly water: number },
  { lines, main }: SwapContext,
  rest: { readonly notes: readonly string[]; readonly basis: string },
): Swap {
  if (to.water > pouredWater(lines, main)) {
    return refuse(
      'too-little-water',
      `That would be ${Math.round(to.grams)} g of ${to.id}, and there is not that much water to give way to it.`,
    );
  }
  return {
    changes: [
      add(line, to.id, to.grams),
      takeOut(line),
      { stage: main, ingredient: 'water', grams: -to.water },
    ],
    held: ['level', 'fat'],
    ...rest,
  };
}
