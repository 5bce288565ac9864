import type { Formula } from '../formula/formula.ts';
import type { OwnValues } from '../figure/settable.ts';
import type { Ingredient } from '../ingredient/ingredient.ts';
import type { Measures } from '../quantity/measures.ts';
import type { Refusal } from '../quantity/refusal.ts';
import type { StyleId } from '../style/style.ts';
import type { Disagreement } from './against-itself.ts';
import type { UnreadCode } from './line.ts';

/** A line that is handed back because it could not be read. Nothing is dropped, nothing guessed. */
export interface Unread extends Refusal<UnreadCode> {
  /** What it might speak of: ids, nearest first. */
  readonly might: readonly string[];
  /** The name that is not known, as it was written: what could be remembered. */
  readonly what?: string;
  /** What it was probably meant to read: a scan that took a letter for a figure. */
  readonly mended?: string;
  /** What else it may read: a fraction that was not known. */
  readonly others?: readonly string[];
  /** Counted from 1 in the text as given. */
  readonly line: number;
  readonly text: string;
}

/** Something that the recipe left open and was read in the usual way: said, so that it can be changed. */
export interface Assumption {
  readonly line: number;
  /** The row that it is of, as it was written; absent where it is of the whole text. */
  readonly row?: string;
  readonly text: string;
}

/** What a row of a text was taken for. */
export type ReadAs =
  | 'title'
  | 'heading'
  | 'line'
  | 'reference'
  | 'outside'
  | 'yield'
  | 'step'
  | 'note'
  /** Of another recipe in the same text. */
  | 'other'
  | 'unread';

/** One row as written, and as read. */
export interface ReadRow {
  readonly line: number;
  readonly text: string;
  readonly as: ReadAs;
  /** Ids of the lines that it became. */
  readonly lines?: readonly string[];
  /** Pieces of it that are outside the dough, though the rest is in it: "plus 50 g for dusting". */
  readonly beside?: readonly string[];
}

export interface ReadRecipe {
  readonly formula: Formula;
  readonly rows: readonly ReadRow[];
  readonly unread: readonly Unread[];
  readonly assumptions: readonly Assumption[];
  /** Titles of the recipes in the text, where there are several: one of them was read. */
  readonly recipes: readonly string[];
  /** Names of the sizes in its columns, where it stands there in several: none is taken until one is chosen. */
  readonly sizes: readonly string[];
  /** The style that the text itself says: "Style: pizza". */
  readonly style?: StyleId;
  /** It is a page's source: its rows stand there block by block, and not line by line. */
  readonly ofPage?: true;
  /** What it says of itself and what was read, where the two disagree. */
  readonly disagrees: readonly Disagreement[];
}

/** What the baker says of one row that could not be read. */
export type Answer =
  /** It is this ingredient. */
  | { readonly is: string; readonly each?: number }
  /** It is outside the dough, or nothing that goes in. */
  | { readonly not: 'dough' | 'ingredient' }
  /** It goes into the dough, though it says otherwise. */
  | { readonly goes: 'dough' }
  /** It should read so: a scan, or a slip of the pen, put right. */
  | { readonly reads: string };

/** What a household reads with besides its measures. */
export interface Reader {
  readonly measures: Measures;
  readonly style?: StyleId;
  readonly figures?: OwnValues;
  /** What it calls things, each with the id of what it is. */
  readonly words?: Readonly<Record<string, string>>;
  /** What one of a thing weighs, grams, by ingredient, or by unit and ingredient: "tin:pumpkin". */
  readonly each?: Readonly<Record<string, number>>;
  /** What is in its pantry; the catalogue where absent. */
  readonly all?: readonly Ingredient[];
  /** Grain by its name is flour from the mill. */
  readonly mills?: boolean;
  /** Which of several recipes in the text is meant, from 0. */
  readonly which?: number;
  /** Which of several sizes in its columns is meant, from 0. */
  readonly size?: number | undefined;
  /** Lines of the text, counted from 1, that were hard to read in the picture that they come from. */
  readonly doubted?: ReadonlySet<number>;
  /** What the baker said of single rows, by their text. */
  readonly answers?: Readonly<Record<string, Answer>>;
}
