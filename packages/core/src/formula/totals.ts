import { sumGrams } from '../quantity/sum-grams.ts';
import { pouredWater } from './poured-water.ts';
import { roles } from '../ingredient/role.ts';
import { baseOf, partOfBase } from './base.ts';
import type { ResolvedLine } from './resolve.ts';

/** A formula's sums. Percentages are of total flour unless the name says otherwise. */
export interface Totals {
  /** All cereal flour, starter flour included; with the dry base as far as the dough stands on it. */
  readonly flourGrams: number;
  /** Flour added as flour: neither in a starter nor in a pre-ferment. */
  readonly addedFlourGrams: number;
  /** Water that is water, wherever it is poured in, starter and pre-ferment included. */
  readonly pouredWaterGrams: number;
  /** Poured water and the water inside milk, egg, butter, honey, purée. */
  readonly effectiveWaterGrams: number;
  readonly doughGrams: number;
  readonly hydrationTotalFlour: number;
  readonly hydrationAddedFlour: number;
  readonly effectiveHydration: number;
  /** Effective water outside starter and pre-ferment, of the flour outside them. */
  readonly effectiveHydrationAdded: number;
  /** Salt put in: as salt, or inside salted butter and its like. */
  readonly saltPercent: number;
  readonly saltGrams: number;
  /** All sodium as salt (× 2.5), what is native to milk and egg included. */
  readonly saltEquivalentPercent: number;
  readonly prefermentedFlourPercent: number;
  readonly proteinPercent: number;
  /** Share of whole grain in the flour, 0 to 1. */
  readonly wholeShare: number;
  /** 0 where flour alone is the 100 %, 1 where gluten, fibre, bran and meals are with it. */
  readonly dryness: number;
  /** Whether it stands on its dry base for the more part. */
  readonly dryBase: boolean;
}

/** Whether a line stands in a starter or pre-ferment. */
const isPrefermented = (line: ResolvedLine): boolean =>
  line.stageKind === 'starter' || line.stageKind === 'preferment';

/** Grams of water in a line that the dough can drink. */
const freeWater = (line: ResolvedLine): number => {
  const { of } = line;
  return roles[of.role].bringsWater ? (line.grams * of.composition.water) / 100 : 0;
};

/** Salt as labels reckon it from sodium. Source: EU 1169/2011, annex I. */
export const saltPerSodium = 2.5;

const sum = (lines: readonly ResolvedLine[], of: (line: ResolvedLine) => number): number =>
  lines.reduce((total, line) => total + of(line), 0);

/**
 * Sums a formula up. Protein is that of the flours with the gluten added to them, as is.
 *
 * @returns undefined where nothing counts as flour or dry base, so that there is no 100 %
 * @example flour 500, water 400, starter 50 + 50, salt 8: hydrationTotalFlour 81.8,
 *   hydrationAddedFlour 80, saltPercent 1.45, prefermentedFlourPercent 9.1
 */
export function totals(lines: readonly ResolvedLine[]): Totals | undefined {
  const base = baseOf(lines);
  const flourGrams = base.grams;
  if (!(flourGrams > 0)) return undefined;

  const inBase = (l: ResolvedLine) => l.grams * partOfBase(l, base);
  const added = lines.filter((l) => !isPrefermented(l));
  const addedFlourGrams = sum(added, inBase);
  const pouredWaterGrams = pouredWater(lines);
  const effectiveWaterGrams = sum(lines, freeWater);
  const salt = sum(lines, (l) => (l.grams * (l.of.addedSalt ?? 0)) / 100);
  const sodium = sum(lines, (l) => (l.grams * l.of.composition.sodium) / 100_000);
  const strong = lines.filter((l) => partOfBase(l, base) > 0.5 || l.of.role === 'gluten');
  const protein = sum(strong, (l) => (l.grams * l.of.composition.protein) / 100);
  const percent = (grams: number) => (100 * grams) / flourGrams;

  return {
    flourGrams,
    addedFlourGrams,
    pouredWaterGrams,
    effectiveWaterGrams,
    doughGrams: sumGrams(lines),
    hydrationTotalFlour: percent(pouredWaterGrams),
    hydrationAddedFlour: addedFlourGrams > 0 ? (100 * pouredWater(added)) / addedFlourGrams : 0,
    effectiveHydration: percent(effectiveWaterGrams),
    effectiveHydrationAdded:
      addedFlourGrams > 0 ? (100 * sum(added, freeWater)) / addedFlourGrams : 0,
    saltPercent: percent(salt),
    saltGrams: salt,
    saltEquivalentPercent: percent(sodium * saltPerSodium),
    prefermentedFlourPercent: percent(sum(lines.filter(isPrefermented), inBase)),
    proteinPercent: (100 * protein) / sumGrams(strong),
    wholeShare: sum(lines, (l) => inBase(l) * (l.of.whole ?? 0)) / flourGrams,
    dryness: base.dryness,
    dryBase: base.dryness > 0.5,
  };
}
