import type { ResolvedLine } from '../formula/resolve.ts';
import { isFlour, partOfBase, tableAbsorption, type Base } from '../formula/base.ts';
import type { Ingredient } from '../ingredient/ingredient.ts';
import { roles, type Role } from '../ingredient/role.ts';
import { figure, type Figure } from '../figure/figure.ts';
import { dampKey, departure, absorptionKey } from '../belief/belief.ts';
import type { Coefficients } from '../coefficients/coefficients.ts';
import type { Kitchen } from '../belief/kitchen.ts';
import { ordinaryMoisture, absorptionAt } from './moisture.ts';
import { daysOpen, moistureShift } from './weather.ts';

/** What a gram of a line does to a dough: the one place where a line meets the dough model. */
export interface LinearForm {
  readonly line: ResolvedLine;
  /** Grams of free water in a gram. */
  readonly brings: number;
  /** Grams of sugar, polyols and fat in a gram that soften. */
  readonly softens: number;
  /** Grams of fat in a gram, of what softens. */
  readonly fat: number;
  /** What of a gram is part of the 100 %. */
  readonly base: number;
  /** Its absorption as the tables have it in this dough, at the ordinary moisture. */
  readonly absorption: Figure;
  /** Its absorption at the ordinary moisture as believed today. */
  readonly believed: number;
  /** Moisture of its bag, per cent; the ordinary where moisture means nothing to it. */
  readonly moisture: number;
  /** Points of moisture that the air of the room has put into it, as the equation has it. */
  readonly drawn: number;
  /** Grams of water that a gram drinks, as believed, at its moisture. */
  readonly drinks: number;
  /** Change of that for one unit of absorption at the ordinary moisture: under 1 for a damp flour. */
  readonly perStandard: number;
  /** Change of what it drinks as a dry base takes the place of a wheat one. */
  readonly perDryness: number;
  /** Share of its absorption that it drinks only after a rest. */
  readonly later: number;
}

const absorptionKeys = new WeakMap<Ingredient, string>();

/** Key of a line's absorption: of its bag where that is of its kind, else of the household's usual one. */
export function absorptionKeyOf({ of }: Pick<ResolvedLine, 'of'>): string {
  const known = absorptionKeys.get(of);
  if (known !== undefined) return known;
  const own = absorptionKey({ ingredient: of.id, ...(of.bag ? { bag: of.bag.id } : {}) });
  // Soaked or cooked it is another thing.
  const key = of.state ? `${own}:${of.state}` : own;
  absorptionKeys.set(of, key);
  return key;
}

/** Which coefficient says how much of its absorption a slow drinker has drunk at the first touch. */
const slowness: Readonly<Partial<Record<Role, 'slowFlour' | 'slowMeal' | 'slowGrain'>>> = {
  flour: 'slowFlour',
  bran: 'slowMeal',
  meal: 'slowMeal',
  fibre: 'slowMeal',
  grain: 'slowGrain',
  addIn: 'slowGrain',
};

/** Drinks nothing that a touch could find. */
const noAbsorption: Figure = figure(
  0,
  'g per g',
  0,
  'what goes in at the signal is not in the dough that is felt; common practice, no source',
);

/** Whether a line goes in only once the dough has been felt: what was soaked goes in with the rest. */
const atSignal = (line: ResolvedLine): boolean =>
  roles[line.of.role].atSignal && line.stageKind === 'dough' && !isFlour(line);

/** Share of its absorption that a thing drinks only after a rest; what soaked before has drunk already. */
export function laterShare(line: ResolvedLine, coefficients: Coefficients): number {
  const soaked = line.stageKind !== 'dough';
  const name = slowness[line.of.role];
  return line.of.slow && name && !soaked ? 1 - coefficients[name].value : 0;
}

/** What the room's air has put into a flour for as long as its bag has been open; nothing where it was measured. */
const drawnFromAir = (
  { bag }: Ingredient,
  { room, today, coefficients }: Pick<Kitchen, 'room' | 'today' | 'coefficients'>,
): number =>
  bag?.moisture === undefined
    ? moistureShift(room, daysOpen(bag?.openedOn, today), coefficients)
    : 0;

/** Moisture of a flour: as measured where the bag says it, else the ordinary one, moved by the air as it is here. */
const moistureOf = (
  { bag }: Ingredient,
  drawn: number,
  { belief, coefficients }: Pick<Kitchen, 'belief' | 'coefficients'>,
): number =>
  bag?.moisture ??
  ordinaryMoisture + drawn * (1 + coefficients.damp.value + departure(belief, dampKey));

/**
 * What a gram of a line does in a dough with that base, as believed in this kitchen.
 *
 * @param fatSoftens how far its fat still softens, beside all the fat of the dough; see fat-softening.ts
 *
 * @example linearForm(strong flour in a wheat dough).drinks // .62
 */
export function linearForm(
  line: ResolvedLine,
  base: Pick<Base, 'dryness'>,
  kitchen: Kitchen,
  fatSoftens = 1,
): LinearForm {
  const { of } = line;
  const { bringsWater, softens } = roles[of.role];
  const { composition } = of;
  const absorption = atSignal(line) ? noAbsorption : tableAbsorption(of, base);
  const drinker = absorption.value !== 0;
  const believed = drinker
    ? absorption.value + departure(kitchen.belief, absorptionKeyOf(line))
    : 0;
  const floury = drinker && isFlour(line);
  const drawn = floury ? drawnFromAir(of, kitchen) : 0;
  const moisture = floury ? moistureOf(of, drawn, kitchen) : ordinaryMoisture;
  const usual = moisture === ordinaryMoisture;
  return {
    line,
    brings: bringsWater ? composition.water / 100 : 0,
    softens: softens
      ? (composition.sugars + (composition.polyols ?? 0) + fatSoftens * composition.fat) / 100
      : 0,
    fat: softens ? composition.fat / 100 : 0,
    base: partOfBase(line, base),
    absorption,
    believed,
    moisture,
    drawn,
    drinks: usual ? believed : absorptionAt(believed, moisture),
    perStandard: usual ? 1 : (100 - moisture) / (100 - ordinaryMoisture),
    perDryness:
      drinker && of.dryBaseAbsorption ? of.dryBaseAbsorption.value - of.absorption.value : 0,
    later: laterShare(line, kitchen.coefficients),
  };
}

/** Grams of water that a gram leaves over: what it brings and softens, less what it drinks. */
export const surplusOf = ({ brings, softens, drinks }: LinearForm, softening: number): number =>
  brings + softening * softens - drinks;
