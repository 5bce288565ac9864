import { figure, ownModel } from '../figure/figure.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { roles } from '../ingredient/role.ts';

/** Fat softens like so much water up to here; past it each gram does less. */
const fatSaturates = figure(15, '% of the base', 4, ownModel);

/**
 * How far a gram of fat softens, beside a gram in a lean dough: 1 up to 15 % of the base, and past that so
 * much less that all of it counts as 15 × (1 + ln(fat / 15)). Half its flour in butter, cold, does not make
 * a batter of a dough.
 *
 * @param percent fat of what softens, % of the base
 * @example fatSoftens(15) // 1
 * @example fatSoftens(45) // 0.6995
 */
export function fatSoftens(percent: number): number {
  const { value: most } = fatSaturates;
  return percent <= most ? 1 : (most * (1 + Math.log(percent / most))) / percent;
}

/**
 * What a gram more of fat does where there is so much already, beside {@link fatSoftens}, which is what
 * all of it does on the average.
 *
 * @example fatSoftensNext(30) // 0.5
 */
export const fatSoftensNext = (percent: number): number =>
  percent <= fatSaturates.value ? 1 : fatSaturates.value / percent;

/** Fat of the lines that soften, % of the base. */
export const fatPercent = (lines: readonly ResolvedLine[], baseGrams: number): number =>
  baseGrams > 0
    ? lines.reduce(
        (sum, { of, grams }) => sum + (roles[of.role].softens ? grams * of.composition.fat : 0),
        0,
      ) / baseGrams
    : 0;
