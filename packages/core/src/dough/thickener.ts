import { baseOf, isFlour, partOfBase, tableAbsorption, type Base } from '../formula/base.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import type { Ingredient } from '../ingredient/ingredient.ts';
import type { Role } from '../ingredient/role.ts';

/** What stiffens a dough on its dry base, the best drinker first: a spoon of flour there only adds starch. */
const dryOrder: readonly Role[] = ['fibre', 'gluten', 'meal', 'bran'];

/** What is spooned into a dough that is too loose. */
export interface Thickener {
  readonly of: Ingredient;
  /** The line that has it already. */
  readonly line: ResolvedLine;
  /** Grams of water that a gram of it drinks by the tables, and what of a gram joins the 100 %. */
  readonly absorption: number;
  readonly joins: number;
}

const heaviest = (lines: readonly ResolvedLine[]): ResolvedLine | undefined =>
  lines.reduce<ResolvedLine | undefined>(
    (most, l) => (l.grams > (most?.grams ?? 0) ? l : most),
    undefined,
  );

/** The flour that a dough has most of; on a dry base its fibre, else its gluten, else its meal. */
export function thickenerOf(
  lines: readonly ResolvedLine[],
  base: Base = baseOf(lines),
): Thickener | undefined {
  const dry = base.dryness > 0.5;
  const line = dry
    ? dryOrder.map((role) => heaviest(lines.filter((l) => l.of.role === role))).find((l) => l)
    : heaviest(lines.filter(isFlour));
  if (!line) return undefined;
  return {
    of: line.of,
    line,
    absorption: tableAbsorption(line.of, base).value,
    joins: partOfBase(line, base),
  };
}

/**
 * Grams of it that bring a dough from a level down to another: what it drinks, and the larger 100 % that
 * the surplus is spread over.
 *
 * @param from points, and `to` points: both without what no line explains
 * @example thickeningGrams(10, 5, 500, {absorption: .62, joins: 1}) // 37
 */
export const thickeningGrams = (
  from: number,
  to: number,
  baseGrams: number,
  { absorption, joins }: Pick<Thickener, 'absorption' | 'joins'>,
): number => ((from - to) * baseGrams) / (100 * absorption + to * joins);
