import { isFlour } from '../formula/base.ts';
import type { Formula } from '../formula/formula.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { sumGrams } from '../quantity/sum-grams.ts';
import { totals } from '../formula/totals.ts';
import { strengthShares } from '../dough/strength.ts';
import type { ProgrammeUse } from '../machine/programme.ts';
import { styles } from '../style/style.ts';
import type { CourseId } from './courses.ts';

/** Shares of the flour from which a dough is of that kind. Common practice, no source. */
const mostWhole = 0.5;
const mostFresh = 0.5;
const mostWithoutGluten = 0.5;
/** Sugar, of all flour, from which a dough is a sweet one. Common practice, no source. */
const sweetFrom = 0.1;

/** What of a dough decides how a machine treats it. */
export interface DoughWants {
  readonly use: Extract<ProgrammeUse, 'plain' | 'whole' | 'sweet' | 'short'>;
  readonly course: CourseId;
  /** Why that programme, and why that course. */
  readonly why: string;
  readonly whyCourse: string;
}

/** Whether most of its flour comes warm from the mill. */
export function isMostlyFresh(lines: readonly ResolvedLine[]): boolean {
  const flour = lines.filter(isFlour);
  const all = sumGrams(flour);
  return all > 0 && sumGrams(flour.filter((l) => l.of.freshMilled)) / all > mostFresh;
}

const sugarOf = (lines: readonly ResolvedLine[]): number =>
  sumGrams(lines.filter((l) => l.of.role === 'sugar'));

/** Raised by a starter alone: it keeps to no machine's clock. */
export const isSourdough = (lines: readonly ResolvedLine[]): boolean =>
  lines.some((l) => l.stageKind === 'starter' && l.grams > 0) &&
  !lines.some((l) => l.of.yeast && l.grams > 0);

/**
 * What a dough wants of a machine: which kind of programme, and how much of the work.
 *
 * @example doughWants(formulaOfWholeWheat, lines).use // 'whole'
 */
export function doughWants(
  { style, pieces }: Pick<Formula, 'style' | 'pieces'>,
  lines: readonly ResolvedLine[],
): DoughWants {
  const sums = totals(lines);
  const all = sumGrams(lines.filter(isFlour));
  const none = all > 0 ? strengthShares(lines).none : 1;
  const lowCarb = sums?.dryBase === true;
  const course: CourseId = isSourdough(lines)
    ? 'by-eye'
    : styles[style].machine || lowCarb || none > mostWithoutGluten
      ? (pieces ?? 1) > 1
        ? 'dough'
        : 'whole'
      : 'dough';
  const whyCourse =
    course === 'by-eye'
      ? 'A starter needs longer than a yeast programme.'
      : course === 'dough'
        ? 'It is shaped by hand and baked in the oven.'
        : '';
  if (lowCarb)
    return {
      use: 'short',
      course,
      whyCourse,
      why: 'Without cereal flour a dough wants one short knead and one rise; a long programme knocks it down, and it comes out wrinkled.',
    };
  if (none > mostWithoutGluten)
    return {
      use: 'short',
      course,
      whyCourse,
      why: 'Without gluten: one short knead, one rise.',
    };
  if (isMostlyFresh(lines))
    return {
      use: 'plain',
      course,
      whyCourse,
      why: 'Fresh-milled flour is warm: the whole-grain programme would overheat it.',
    };
  if ((sums?.wholeShare ?? 0) > mostWhole)
    return {
      use: 'whole',
      course,
      whyCourse,
      why: 'Bran takes up water slowly: the whole-grain programme gives it time.',
    };
  if (all > 0 && sugarOf(lines) / all > sweetFrom)
    return { use: 'sweet', course, whyCourse, why: 'A sweet dough rises slowly and browns soon.' };
  return { use: 'plain', course, whyCourse, why: '' };
}
