import { isPouredWater } from '../formula/poured-water.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { isFlour } from '../formula/base.ts';
import { grinds } from '../ingredient/grind.ts';
import { commonPractice, figure, fromMemory } from '../figure/figure.ts';
import { fridgeCelsius } from './vessel.ts';

const choiOkos = fromMemory('Choi & Okos 1986, at about 25 °C');

/** Specific heats, kJ per kg and K: of what a dough is made of. */
const specificHeat = {
  water: figure(4.18, 'kJ/kg·K', 0.02, choiOkos),
  protein: figure(2.04, 'kJ/kg·K', 0.1, choiOkos),
  fat: figure(2.02, 'kJ/kg·K', 0.1, choiOkos),
  carbohydrate: figure(1.59, 'kJ/kg·K', 0.1, choiOkos),
} as const;

/**
 * Water temperature by the rule of the trade: the desired dough temperature times the number of things
 * that count, less the others and the friction. Source: professional handbooks' method, from memory.
 *
 * @param desired dough temperature, in the unit of the others
 * @param others temperatures of flour, room, starter …
 * @example waterByRule(26, [21, 22], 10) // 25
 */
export const waterByRule = (desired: number, others: readonly number[], friction: number): number =>
  desired * (others.length + 1) - others.reduce((sum, t) => sum + t, 0) - friction;

/** The friction that the same rule leaves, measured on a dough. */
export const frictionByRule = (reached: number, temperatures: readonly number[]): number =>
  reached * temperatures.length - temperatures.reduce((sum, t) => sum + t, 0);

/**
 * Ice in place of part of the water, where it must be colder than the tap.
 *
 * @param water grams in all
 * @example iceFor(10000, 20, 5) // 1500
 */
export const iceFor = (water: number, tap: number, wanted: number): number =>
  Math.max(0, (water * (tap - wanted)) / (tap + 80));

/** Heat capacity of a line, kJ per K. */
function capacity({ of: { composition }, grams }: ResolvedLine): number {
  const { water, protein, fat, carbohydrate } = composition;
  const perKilo =
    (water * specificHeat.water.value +
      protein * specificHeat.protein.value +
      fat * specificHeat.fat.value +
      carbohydrate * specificHeat.carbohydrate.value) /
    100;
  return (grams * perKilo) / 1000;
}

/** Where things come from before they are mixed, °C. */
interface BeforeMixing {
  readonly room: number;
  /** Milk, egg and their like come straight from the fridge. */
  readonly fridge?: boolean;
}

/** Temperature of a line before mixing: a flour's from its mill, a cold one's from the fridge, everything else the room's. */
const celsiusOf = ({ of }: ResolvedLine, { room, fridge }: BeforeMixing): number =>
  (of.bag?.grind && grinds[of.bag.grind].celsius?.value) ??
  (fridge && of.perishable ? fridgeCelsius.value : room);

/** Water that stays inside what machine yeast is at home in. Common practice, no source. */
const waterLimits = { least: 2, most: 43 } as const;

export interface WaterTemperature {
  readonly celsius: number;
  /** What is poured at it: water, or the milk of a dough without any. */
  readonly name: string;
  /** The dough cannot be brought there by water alone. */
  readonly beyond: boolean;
  /** Flour that is warmer than the room, °C; absent where none is. */
  readonly warmFlour?: number;
  /** Grams of ice in place of as much of the water, where that must be colder than the tap. */
  readonly ice?: number;
}

/** What comes out of a cold tap. Common practice, no source: it goes with the season. */
export const tapCelsius = figure(14, '°C', 4, commonPractice);

/** A liquid as wet as this can be warmed in water's place: milk, whey, buttermilk. Own choice, no source. */
const liquidFrom = 85;

/** What is poured warm or cold: the water, or where there is none, the milk. */
function pouredOf(lines: readonly ResolvedLine[]): ResolvedLine[] {
  const dough = lines.filter((l) => l.stageKind === 'dough' && l.grams > 0);
  const water = dough.filter(isPouredWater);
  return water.length > 0
    ? water
    : dough.filter(({ of }) => of.composition.water > liquidFrom && of.role === 'liquid');
}

/** Heat of what is poured and of all the rest, as capacities, kJ/K, and the rest's heat. */
function balanceOf(lines: readonly ResolvedLine[], before: BeforeMixing) {
  const poured = pouredOf(lines);
  const rest = lines.filter((l) => !poured.includes(l));
  const water = poured.reduce((sum, l) => sum + capacity(l), 0);
  return {
    water,
    name: poured[0]?.of.name ?? '',
    plain: poured.every(isPouredWater),
    grams: poured.reduce((sum, l) => sum + l.grams, 0),
    total: water + rest.reduce((sum, l) => sum + capacity(l), 0),
    restHeat: rest.reduce((sum, l) => sum + capacity(l) * celsiusOf(l, before), 0),
  };
}

/**
 * The warmth that mixing put into a dough, from how warm its water was and how warm it came out: the same balance
 * of heat the other way round.
 *
 * @returns °C; undefined where no water is poured
 * @example frictionFrom(lines, {water: 25, reached: 26, room: 21}) // about 3
 */
export function frictionFrom(
  lines: readonly ResolvedLine[],
  { water, reached, ...before }: { water: number; reached: number } & BeforeMixing,
): number | undefined {
  const of = balanceOf(lines, before);
  return of.water > 0 ? reached - (of.restHeat + of.water * water) / of.total : undefined;
}

/**
 * Temperature of the poured water for a dough temperature, by a balance of heat: every line at its own
 * temperature and specific heat, less the warmth of mixing. Flour straight from the mill hands its
 * warmth on.
 *
 * @returns undefined where neither water nor milk is poured
 * @example fresh warm flour 450 at 40 °C, water 350, room 20, dough 26, machine: about 10 °C
 */
export function waterTemperature(
  lines: readonly ResolvedLine[],
  { desired, rise, ...before }: { desired: number; rise: number } & BeforeMixing,
): WaterTemperature | undefined {
  const of = balanceOf(lines, before);
  if (!(of.water > 0)) return undefined;
  const wanted = ((desired - rise) * of.total - of.restHeat) / of.water;
  const celsius = Math.min(waterLimits.most, Math.max(waterLimits.least, wanted));
  const warm = lines.filter(isFlour).map((l) => celsiusOf(l, before));
  const warmest = Math.max(...warm, before.room);
  // Ice goes in place of water only.
  const ice = of.plain ? Math.round(iceFor(of.grams, tapCelsius.value, celsius)) : 0;
  return {
    celsius,
    name: of.name,
    beyond: celsius !== wanted,
    ...(warmest > before.room ? { warmFlour: warmest } : {}),
    ...(ice > 0 ? { ice } : {}),
  };
}
