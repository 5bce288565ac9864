import { verdict } from '../correct/verdict.ts';
import type { Level } from '../dough/level.ts';
import { windowFor } from '../dough/window.ts';
import { evaluate, type Evaluation } from '../evaluate/evaluate.ts';
import { asLikely, sureOfStyle, type LikelyStyle } from '../evaluate/likely-style.ts';
import { allLines, mostPages, type Formula, type Line } from '../formula/formula.ts';
import { percentOf } from '../formula/percentage.ts';
import { nothingLearned, type Belief } from '../belief/belief.ts';
import {
  isUnclear,
  placedRows,
  type PlacedRow,
  type ScannedPage,
} from '../picture/scanned-page.ts';
import type { Household } from '../household/household.ts';
import type { Measures } from '../quantity/measures.ts';
import { ledgerOf, type Destination, type LedgerRow } from '../reader/ledger.ts';
import type { Answer, ReadRecipe, Unread } from '../reader/read.ts';
import { regionOf, type RegionGuess } from '../reader/region.ts';
import { readerOf } from '../reader/reader-of.ts';
import { readRecipe } from '../reader/recipe.ts';
import { usualStyle, type StyleId, type Window } from '../style/style.ts';
import { lazily } from './lazily.ts';

/** A recipe that is pasted, as its page has it. */
export interface PasteGiven {
  readonly text: string;
  readonly household: Household;
  /** What the text measures in. */
  readonly measures: Measures;
  /** What the baker said of rows that could not be read, by their text. */
  readonly answers: Readonly<Record<string, Answer>>;
  /** Which of several recipes in the text is meant. */
  readonly which: number;
  /** Which of its sizes is meant, once that was said. */
  readonly size: number | undefined;
  /** What bread the baker said it is. */
  readonly said: StyleId | undefined;
  /** Photos and files that the text was read from. */
  readonly pages: readonly ScannedPage[];
  /** What the book taught; nothing is judged until it is there. */
  readonly belief: Belief | undefined;
}

/** All that is shown of a recipe that is pasted. */
export interface PasteView {
  /** None where there is no text. */
  readonly read: ReadRecipe | undefined;
  /** Where lines of the text stand in the pictures that they come from, counted from 1. */
  readonly placed: ReadonlyMap<number, PlacedRow>;
  /** The likeliest, where nobody said what bread it is: by the catalogue until the book’s word is there. */
  readonly likely: LikelyStyle | undefined;
  readonly style: StyleId;
  /** The two likeliest styles, where it is not sure which; nothing where it is, or was said. */
  readonly asksStyle: readonly StyleId[] | undefined;
  /** What was read, as the bread that it is or most likely is. */
  readonly formula: Formula | undefined;
  readonly evaluation: Evaluation | undefined;
  readonly verdict: ReturnType<typeof verdict> | undefined;
  readonly level: Level | undefined;
  readonly window: Window;
  /** Lines stand in a measure of volume, so that the choice of measures matters. */
  readonly byVolume: boolean;
  /** Every row of the text, its amounts marked by where they went. */
  readonly ledger: readonly LedgerRow[];
  /** So many amounts and rows went where, in the order in which that is told. */
  readonly counts: ReadonlyArray<{ readonly to: Destination; readonly rows: number }>;
  /** Things that stand in the method alone, and may all go in at once. */
  readonly inMethod: readonly Unread[];
  /** Where it seems to be from, where it is measured otherwise there than it is here. */
  readonly region: RegionGuess | undefined;
  /** What was not read may be the main flour. */
  readonly mightLackFlour: boolean;
  /** Lines by their ids, each with its share of the flour where it has one, %. */
  readonly linesOf: (
    ids: readonly string[],
  ) => ReadonlyArray<Pick<Line, 'id' | 'ingredient' | 'grams'> & { readonly percent?: string }>;
}

/** Destinations in the order in which they are told; headings and titles are told by standing there. */
const told: readonly Destination[] = ['question', 'dough', 'outside', 'part', 'step', 'yield'];

/** The pictures that stand with a formula; nothing where it has none. */
export function withPages(pages: readonly ScannedPage[]): Pick<Formula, 'pages'> {
  const ids = pages.flatMap((p) => p.id ?? []).slice(0, mostPages);
  return ids.length > 0 ? { pages: ids } : {};
}

/** What in a row speaks of flour. */
const ofFlour = /flour|meal|wheat|rye|spelt/i;

/**
 * All that is shown of a recipe that is pasted: what was read of it, what bread it is, how its dough will feel.
 *
 * @example pasteOf({...given, text: '500 g bread flour\n320 g water'}).style // 'pan'
 */
export function pasteOf(given: PasteGiven): PasteView {
  const { text, measures, answers, which, size, said, pages, belief } = given;
  const here: Household = { ...given.household, measures };
  return lazily<PasteView>({
    placed: () => placedRows(text, pages),
    read: ({ placed }) => {
      if (!text.trim()) return undefined;
      const doubted = new Set(
        [...placed].filter(([, { row }]) => isUnclear(row)).map(([line]) => line),
      );
      return readRecipe(text, { ...readerOf(here), answers, which, size, doubted });
    },
    likely: ({ read }) =>
      read && !said && !read.style
        ? asLikely(read.formula, here, belief ?? nothingLearned)?.likely
        : undefined,
    style: ({ read, likely }) => said ?? read?.style ?? likely?.style ?? usualStyle,
    asksStyle: ({ likely }) =>
      likely && likely.probability < sureOfStyle
        ? [likely.style, ...likely.others.slice(0, 1).map((o) => o.style)]
        : undefined,
    formula: ({ read, style, likely }) =>
      read && {
        ...read.formula,
        style,
        ...(likely ? { styleGuessed: true } : {}),
        ...withPages(pages),
      },
    evaluation: ({ formula }) => formula && belief && evaluate(formula, here, belief),
    verdict: ({ evaluation, style }) => evaluation && verdict(evaluation, style),
    level: ({ evaluation }) => (evaluation?.cannotTell ? undefined : evaluation?.level),
    window: ({ evaluation, style }) => evaluation?.window ?? windowFor(style, 0, here.figures),
    byVolume: ({ read }) =>
      read?.formula.stages.some((s) => s.lines.some((l) => l.measured === 'volume')) ?? false,
    ledger: ({ read }) => (read ? ledgerOf(read) : []),
    counts: ({ ledger }) =>
      told
        .map((to) => ({ to, rows: ledger.filter((r) => r.to === to).length }))
        .filter(({ rows }) => rows > 0),
    inMethod: ({ read }) => (read?.unread ?? []).filter((u) => u.code === 'in-method'),
    region: ({ byVolume }) => {
      const found = byVolume ? regionOf(text) : undefined;
      const { cup, tablespoon } = measures;
      return found && (found.measures.cup !== cup || found.measures.tablespoon !== tablespoon)
        ? found
        : undefined;
    },
    mightLackFlour: ({ read, evaluation }) =>
      (read?.unread ?? []).some((u) => ofFlour.test(u.text)) ||
      ((read?.unread.length ?? 0) > 0 && !evaluation),
    linesOf: ({ read, evaluation }) => {
      const lines = read ? allLines(read.formula) : [];
      const totals = evaluation?.totals;
      return (ids) =>
        lines
          .filter((l) => ids.includes(l.id))
          .map(({ id, ingredient, grams }) => ({
            id,
            ingredient,
            grams,
            ...(totals ? { percent: percentOf(grams, totals, here.percentages).toFixed(1) } : {}),
          }));
    },
  });
}
