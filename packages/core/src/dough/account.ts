import type { ResolvedLine } from '../formula/resolve.ts';
import { freeWater, isDryBase, isFlour } from '../formula/totals.ts';
import { ingredient } from '../ingredient/catalogue.ts';
import { roles } from '../ingredient/role.ts';
import type { Figure } from '../quantity/figure.ts';
import { departure, softeningKey, thirstKey, type Belief } from './belief.ts';
import { coefficients } from './coefficients.ts';
import { absorptionAt, standardMoisture } from './moisture.ts';

/** One line's part in the water account, in grams. */
export interface AccountEntry {
  readonly line: string;
  readonly ingredient: string;
  readonly stage: string;
  readonly brings: number;
  readonly softens: number;
  readonly drinks: number;
  /** Grams of water that a gram of it drinks, as believed today. */
  readonly thirst: number;
}

/** What brings water and what drinks it. */
export interface WaterAccount {
  readonly entries: readonly AccountEntry[];
  readonly brings: number;
  readonly softens: number;
  readonly drinks: number;
}

/** The catalogue's thirst of a line: that of a dry-base dough where there is no cereal flour. */
export function catalogueThirst(of: string, dryBase: boolean): Figure {
  const { thirst, dryBaseThirst } = ingredient(of);
  return (dryBase && dryBaseThirst) || thirst;
}

/**
 * The thirst of a line as believed today: the catalogue's, with what bakes taught about its bag,
 * at the moisture that the weather leaves it.
 *
 * @param moistureShift points above the usual moisture; it moves flours only
 */
export function believedThirst(
  line: ResolvedLine,
  dryBase: boolean,
  belief: Belief,
  moistureShift: number,
): number {
  const figure = catalogueThirst(line.ingredient, dryBase);
  if (figure.value === 0) return 0;
  const at14 = figure.value + departure(belief, thirstKey(line));
  if (moistureShift === 0 || !isFlour(line)) return at14;
  return absorptionAt(100 * at14, standardMoisture + moistureShift) / 100;
}

/**
 * The water account of a formula.
 *
 * @example strong flour 400, water 230, oil 27, sugar 25, milk powder 11, salt 8:
 *   brings 230, softens 15.6, drinks 251.3
 */
export function waterAccount(
  lines: readonly ResolvedLine[],
  belief: Belief,
  moistureShift = 0,
): WaterAccount {
  const dryBase = isDryBase(lines);
  const softening = coefficients.softening.value + departure(belief, softeningKey);
  const entries = lines.map((line): AccountEntry => {
    const { role, composition } = ingredient(line.ingredient);
    const soft = roles[role].softens ? (composition.sugars + composition.fat) / 100 : 0;
    const thirst = believedThirst(line, dryBase, belief, moistureShift);
    return {
      line: line.id,
      ingredient: line.ingredient,
      stage: line.stage,
      brings: freeWater(line),
      softens: softening * soft * line.grams,
      drinks: thirst * line.grams,
      thirst,
    };
  });
  const sum = (of: 'brings' | 'softens' | 'drinks') =>
    entries.reduce((total, e) => total + e[of], 0);
  return { entries, brings: sum('brings'), softens: sum('softens'), drinks: sum('drinks') };
}
