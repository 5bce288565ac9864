import type { PercentageSchool } from '../household/schools.ts';
import type { Change, Formula } from '../formula/formula.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { inSchool, schoolNames } from '../formula/schools.ts';
import type { Totals } from '../formula/totals.ts';
import type { Pantry } from '../ingredient/pantry.ts';
import type { Ingredient } from '../ingredient/ingredient.ts';
import { gramsPerMillilitre } from '../ingredient/measure-weight.ts';
import type { Measures } from '../quantity/measures.ts';
import { percentText } from '../quantity/number.ts';
import { spoonsInWords } from '../quantity/spoons.ts';
import type { Kitchen } from '../belief/kitchen.ts';
import type { Level } from '../dough/level.ts';
import type { Window } from '../style/style.ts';
import type { Aim } from './aims.ts';

/** What a formula calls for by itself; a substitution may also ask for fat and sugar. */
type CorrectionKind = 'water' | 'flour' | 'gluten' | 'yeast' | 'salt' | 'fat' | 'sugar';

/** A correction that the baker may take or leave. */
export interface Correction {
  /** Stays the same while the reason does: kind, ingredient and direction. */
  readonly key: string;
  readonly kind: CorrectionKind;
  readonly ingredient: string;
  /** What that is called. */
  readonly name: string;
  /** Positive adds, negative holds back. */
  readonly grams: number;
  readonly spoons: string;
  readonly reason: string;
  /** What it rests on. */
  readonly basis: string;
  /** Key of the learned figure that bakes stand behind, where it rests on bakes: which they are, is known by it. */
  readonly restsOn?: string;
  /** Chance that it is called for, 0 to 1. */
  readonly certainty: number;
  /** What leaving it costs. */
  readonly ifLeft: string;
  /** Everything that taking it changes; the first change is `grams` of `ingredient`. */
  readonly changes: readonly Change[];
}

/** What a correction is worked out from. */
export interface CorrectionContext {
  readonly formula: Formula;
  readonly lines: readonly ResolvedLine[];
  readonly totals: Totals;
  readonly level: Level;
  readonly window: Window;
  /** What breads it may be; one where that is known. */
  readonly aims: readonly Aim[];
  /** Judged loaves of this household that it rests on. */
  readonly looks: number;
  readonly kitchen: Kitchen;
  readonly pantry: Pantry;
  readonly lowSodium?: boolean;
  /** School that percentages are said in; of all flour where absent. */
  readonly school?: PercentageSchool;
  /** Kind of dried or fresh yeast that the household keeps, where it has said so. */
  readonly yeastKept?: string;
  /** Stage that additions go to. */
  readonly stage: string;
}

/** Grams of an ingredient in the household's spoons; in grams' own words where it has no volume. */
export function inSpoons(grams: number, of: Ingredient, measures: Measures): string {
  const density = gramsPerMillilitre(of, measures);
  return density ? spoonsInWords(Math.abs(grams) / density.value, measures) : 'by weight only';
}

/** A percentage of all flour in the words of the household's school: "1.8 % of all flour". */
export function ofFlour(
  percentOfAll: number,
  { totals, school = 'total' }: Pick<CorrectionContext, 'totals' | 'school'>,
): string {
  const base = totals.dryBase ? 'of the dry base' : schoolNames[school];
  return `${percentText(inSchool(percentOfAll, totals, school))} ${base}`;
}

/** Fills in what every correction derives from its changes. */
export function makeCorrection(
  context: CorrectionContext,
  correction: Omit<Correction, 'key' | 'grams' | 'ingredient' | 'name' | 'spoons'>,
): Correction {
  const { ingredient: of, grams } = correction.changes[0]!;
  const stuff = context.pantry.ingredient(of);
  return {
    ...correction,
    key: `${correction.kind}:${of}:${grams > 0 ? '+' : '-'}`,
    ingredient: of,
    name: stuff.name,
    grams,
    spoons: inSpoons(grams, stuff, context.kitchen.measures),
  };
}
