import { cataloguePantry, type Pantry } from '../ingredient/pantry.ts';
import { stagesOf, type Formula } from './formula.ts';
import { resolve, type ResolvedLine } from './resolve.ts';

/** One ingredient in two formulas: its grams in each, where it stands in it. */
export interface ComparedLine {
  readonly key: string;
  readonly name: string;
  /** Name of the stage, where it is not the dough. */
  readonly stage?: string;
  readonly one?: number;
  readonly other?: number;
  /** Grams, bag or measuring are not the same. */
  readonly differs: boolean;
}

/** Two formulas beside each other. */
interface Comparison {
  readonly name?: readonly [one: string, other: string];
  readonly style: boolean;
  readonly lines: readonly ComparedLine[];
  /** How many lines are the same in both. */
  readonly same: number;
}

/** Grams closer than this are the same: what a page shows of them is. */
const sameGrams = 0.005;

/** Lines by what they are: the ingredient in its stage, the first of it, the second … */
function keyed(formula: Formula, pantry: Pantry): Map<string, ResolvedLine> {
  const seen = new Map<string, number>();
  return new Map(
    resolve(formula, pantry).map((line) => {
      const of = `${line.stageKind} ${line.ingredient}`;
      const nth = (seen.get(of) ?? 0) + 1;
      seen.set(of, nth);
      return [`${of} ${nth}`, line];
    }),
  );
}

/**
 * Puts two formulas beside each other, line by line, taken corrections included: what differs first
 * in the order of the one, then what stands in the other alone.
 *
 * @example compareFormulas(formula, formula).lines.every((l) => !l.differs) // true
 */
export function compareFormulas(
  one: Formula,
  other: Formula,
  pantry: Pantry = cataloguePantry,
): Comparison {
  const [first, second] = [keyed(one, pantry), keyed(other, pantry)];
  const names = new Map([...stagesOf(one), ...stagesOf(other)].map((s) => [s.id, s.name]));
  const lines = [...new Set([...first.keys(), ...second.keys()])].map((key): ComparedLine => {
    const [a, b] = [first.get(key), second.get(key)];
    const line = (a ?? b)!;
    const alike =
      a !== undefined &&
      b !== undefined &&
      Math.abs(a.grams - b.grams) < sameGrams &&
      a.bag === b.bag &&
      a.measured === b.measured;
    return {
      key,
      name: line.of.name,
      ...(line.stageKind === 'dough' ? {} : { stage: names.get(line.stage) ?? line.stageKind }),
      ...(a ? { one: a.grams } : {}),
      ...(b ? { other: b.grams } : {}),
      differs: !alike,
    };
  });
  return {
    ...(one.name === other.name ? {} : { name: [one.name, other.name] as const }),
    style: one.style !== other.style,
    lines,
    same: lines.filter((l) => !l.differs).length,
  };
}
