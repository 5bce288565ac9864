import type { ResolvedLine } from '../formula/resolve.ts';
import { freeWater, isDryBase, isFlour } from '../formula/totals.ts';
import type { Ingredient } from '../ingredient/ingredient.ts';
import { roles, type Role } from '../ingredient/role.ts';
import type { Figure } from '../quantity/figure.ts';
import { departure, softeningKey, thirstKey, type Belief } from './belief.ts';
import type { Coefficients } from './coefficients.ts';
import { absorptionAt, standardMoisture } from './moisture.ts';
import { daysOpen, moistureShift, type Room } from './weather.ts';

/** One line's part in the water account, in grams. */
export interface AccountEntry {
  readonly line: string;
  readonly of: Ingredient;
  readonly stage: string;
  readonly brings: number;
  readonly softens: number;
  readonly drinks: number;
  /** What of `drinks` it has not drunk yet at the first touch. */
  readonly later: number;
  /** Grams of water that a gram of it drinks, as believed today, at its moisture. */
  readonly thirst: number;
  /** Change of that for one unit of its thirst at the standard moisture: under 1 for a damp flour. */
  readonly perStandard: number;
}

/** What brings water and what drinks it. */
export interface WaterAccount {
  readonly entries: readonly AccountEntry[];
  readonly brings: number;
  readonly softens: number;
  readonly drinks: number;
  /** What of `drinks` is drunk only after a rest. */
  readonly later: number;
}

/** What a water account is worked out with. */
export interface AccountContext {
  readonly belief: Belief;
  readonly room: Room;
  readonly today?: string;
  readonly coefficients: Coefficients;
}

/** The catalogue's thirst of a thing: that of a dry-base dough where there is no cereal flour. */
export const catalogueThirst = (of: Ingredient, dryBase: boolean): Figure =>
  (dryBase && of.dryBaseThirst) || of.thirst;

/**
 * Moisture of a flour: as measured where the bag says it, else the standard, shifted by the room's air
 * for as long as the bag has been open.
 *
 * @example moistureOf(bagOpenedLongAgo, {room: {humidity: .8}, …}) // 17.4 %
 */
export const moistureOf = (
  { bag }: Ingredient,
  { room, today, coefficients }: AccountContext,
): number =>
  bag?.moisture ??
  standardMoisture + moistureShift(room, daysOpen(bag?.openedOn, today), coefficients);

/** Which coefficient says how much of its thirst a slow drinker has drunk at the first touch. */
const slowness: Readonly<Partial<Record<Role, 'slowFlour' | 'slowMeal' | 'slowGrain'>>> = {
  flour: 'slowFlour',
  bran: 'slowMeal',
  meal: 'slowMeal',
  fibre: 'slowMeal',
  grain: 'slowGrain',
  addIn: 'slowGrain',
};

/** Share of its thirst that a thing drinks only after a rest; what soaked before has drunk already. */
export function laterShare(line: ResolvedLine, coefficients: Coefficients): number {
  const soaked = line.stageKind !== 'dough';
  const name = slowness[line.of.role];
  return line.of.slow && name && !soaked ? 1 - coefficients[name].value : 0;
}

/**
 * The thirst of a line as believed today: the catalogue's, with what bakes taught about its bag,
 * at the moisture that its bag has.
 */
export function believedThirst(
  line: ResolvedLine,
  dryBase: boolean,
  context: AccountContext,
): { thirst: number; perStandard: number } {
  const figure = catalogueThirst(line.of, dryBase);
  if (figure.value === 0) return { thirst: 0, perStandard: 1 };
  const at14 = figure.value + departure(context.belief, thirstKey(line));
  const moisture = isFlour(line) ? moistureOf(line.of, context) : standardMoisture;
  if (moisture === standardMoisture) return { thirst: at14, perStandard: 1 };
  return {
    thirst: absorptionAt(100 * at14, moisture) / 100,
    perStandard: (100 - moisture) / (100 - standardMoisture),
  };
}

/**
 * The water account of a formula.
 *
 * @example strong flour 400, water 230, oil 27, sugar 25, milk powder 11, salt 8:
 *   brings 230, softens 15.6, drinks 251.3
 */
export function waterAccount(
  lines: readonly ResolvedLine[],
  context: AccountContext,
): WaterAccount {
  const dryBase = isDryBase(lines);
  const { coefficients } = context;
  const softening = coefficients.softening.value + departure(context.belief, softeningKey);
  let [brings, softens, drinks, later] = [0, 0, 0, 0];
  const entries = lines.map((line): AccountEntry => {
    const { role, composition } = line.of;
    const soft = roles[role].softens ? (composition.sugars + composition.fat) / 100 : 0;
    const { thirst, perStandard } = believedThirst(line, dryBase, context);
    const entry = {
      line: line.id,
      of: line.of,
      stage: line.stage,
      brings: freeWater(line),
      softens: softening * soft * line.grams,
      drinks: thirst * line.grams,
      later: laterShare(line, coefficients) * thirst * line.grams,
      thirst,
      perStandard,
    };
    brings += entry.brings;
    softens += entry.softens;
    drinks += entry.drinks;
    later += entry.later;
    return entry;
  });
  return { entries, brings, softens, drinks, later };
}
