import type { Change, StageHead } from '../formula/formula.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import type { Totals } from '../formula/totals.ts';
import type { Pantry } from '../ingredient/pantry.ts';
import type { Refused } from '../quantity/refusal.ts';

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
