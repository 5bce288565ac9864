import { isShapedCold } from './shaped-cold.ts';
import { isFlour } from '../formula/base.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { totals } from '../formula/totals.ts';
import { roles } from '../ingredient/role.ts';
import { convertYeast, massPerWork, type YeastWork } from '../ingredient/yeast.ts';
import { sumGrams } from '../quantity/sum-grams.ts';
import { isThin, ripeEnd } from './ripe-end.ts';
import { riseFor, usualRise, type Air, type RiseModel, type RisingDough } from './rise.ts';
import { longestRise, riseUntil } from './rise-until.ts';
import type { VesselId } from './vessel.ts';

/** Where and how warm a dough stands. */
export interface Standing {
  readonly celsius: number;
  readonly air: readonly Air[];
  readonly vessel: VesselId;
}

const yeastIn = (lines: readonly ResolvedLine[], work: YeastWork): number =>
  lines.reduce(
    (sum, { of, grams }) => (of.yeast ? sum + convertYeast(grams, of.yeast, 'instant', work) : sum),
    0,
  );

/** Grams of sugar in a line that yeast finds and that slow it: not those of milk. */
export const sugarIn = ({ of, grams }: ResolvedLine): number =>
  roles[of.role].softens && !of.allergens.includes('milk')
    ? (grams * of.composition.sugars) / 100
    : 0;

const fatIn = ({ of, grams }: ResolvedLine): number =>
  roles[of.role].softens ? (grams * of.composition.fat) / 100 : 0;

/**
 * A pre-ferment or a starter's build as the rise model takes it, by its own flour.
 *
 * @param lines of its stage alone
 * @param celsius of the room that it ripens in
 * @returns undefined where there is no flour in it
 * @example prefermentDough(linesOfAPoolish, 20)?.yeast // .1
 */
export function prefermentDough(
  lines: readonly ResolvedLine[],
  celsius: number,
  work: YeastWork = massPerWork,
): RisingDough | undefined {
  const flours = lines.filter(isFlour);
  const flour = sumGrams(flours);
  if (!(flour > 0)) return undefined;
  const water = lines.reduce(
    (sum, l) =>
      roles[l.of.role].bringsWater ? sum + (l.grams * l.of.composition.water) / 100 : sum,
    0,
  );
  return {
    yeast: (100 * yeastIn(lines, work)) / flour,
    starter: 0,
    salt: 0,
    sugar: 0,
    fat: 0,
    water: Math.max(45, (100 * water) / flour),
    whole: 0,
    liquid: isThin((100 * water) / flour),
    celsius,
    air: [{ hours: 1, celsius }],
    vessel: 'bowl',
    kilograms: (flour + water) / 1000,
  };
}

/** Yeast that a ripe pre-ferment brings, as instant in grams: it has grown in there. */
function grownYeast(
  lines: readonly ResolvedLine[],
  celsius: number,
  work: YeastWork,
  model: RiseModel,
): number {
  const sown = yeastIn(lines, work);
  const ferment = prefermentDough(lines, celsius, work);
  if (!ferment || sown === 0) return sown;
  const { hours = longestRise } = riseUntil(ferment, ripeEnd(ferment, model), model);
  return (riseFor(ferment, hours, model).yeast * sumGrams(lines.filter(isFlour))) / 100;
}

/**
 * A formula's dough as the rise model takes it: with what its pre-ferments and starters bring, ripe.
 *
 * @returns undefined for a bread on its dry base, or without flour: the model is of doughs of cereal flour
 * @example risingDough(linesOfATinLoaf, {celsius: 25, air: [{hours: 1, celsius: 22}], vessel: 'bowl'})?.yeast // 1.2
 */
export function risingDough(
  lines: readonly ResolvedLine[],
  { celsius, air, vessel }: Standing,
  work: YeastWork = massPerWork,
  model: RiseModel = usualRise,
): RisingDough | undefined {
  const sums = totals(lines);
  if (!sums || sums.dryBase) return undefined;
  const flour = sums.flourGrams;
  const percent = (grams: number): number => (100 * grams) / flour;
  const inDough = lines.filter((l) => l.stageKind !== 'preferment' && l.stageKind !== 'starter');
  const ferments = new Map<string, ResolvedLine[]>();
  for (const line of lines) {
    if (line.stageKind !== 'preferment') continue;
    ferments.set(line.stage, [...(ferments.get(line.stage) ?? []), line]);
  }
  const room = air.at(-1)?.celsius ?? celsius;
  const grown = [...ferments.values()].reduce(
    (sum, of) => sum + grownYeast(of, room, work, model),
    0,
  );
  const main = lines.filter((l) => l.of.yeast).sort((a, b) => b.grams - a.grams)[0];
  return {
    yeast: percent(yeastIn(inDough, work) + grown),
    tolerant: main?.of.yeast === 'osmotolerant',
    starter: percent(sumGrams(lines.filter((l) => l.stageKind === 'starter' && isFlour(l)))),
    salt: sums.saltPercent,
    sugar: percent(lines.reduce((sum, l) => sum + sugarIn(l), 0)),
    fat: percent(lines.reduce((sum, l) => sum + fatIn(l), 0)),
    water: sums.effectiveHydration,
    whole: sums.wholeShare,
    celsius,
    air,
    vessel,
    kilograms: sums.doughGrams / 1000,
    ...(isShapedCold(lines) ? { chilled: true as const } : {}),
  };
}
