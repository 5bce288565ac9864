import { isPouredWater } from '../formula/poured-water.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { isFlour } from '../formula/base.ts';
import { grinds } from '../ingredient/grind.ts';
import { figure, fromMemory } from '../figure/figure.ts';

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

/** Temperature of a line before mixing: a flour's from its mill, everything else the room's. */
const celsiusOf = ({ of }: ResolvedLine, room: number): number =>
  (of.bag?.grind && grinds[of.bag.grind].celsius?.value) ?? room;

/** Water that stays inside what machine yeast is at home in. Common practice, no source. */
const waterLimits = { least: 2, most: 43 } as const;

export interface WaterTemperature {
  readonly celsius: number;
  /** The dough cannot be brought there by water alone. */
  readonly beyond: boolean;
  /** Flour that is warmer than the room, °C; absent where none is. */
  readonly warmFlour?: number;
}

/**
 * Temperature of the poured water for a dough temperature, by a balance of heat: every line at its own
 * temperature and specific heat, less the warmth of mixing. Flour straight from the mill hands its
 * warmth on.
 *
 * @returns undefined where no water is poured
 * @example fresh warm flour 450 at 40 °C, water 350, room 20, dough 26, machine: about 10 °C
 */
export function waterTemperature(
  lines: readonly ResolvedLine[],
  { desired, room, rise }: { desired: number; room: number; rise: number },
): WaterTemperature | undefined {
  const poured = lines.filter((l) => isPouredWater(l) && l.stageKind === 'dough');
  const waterCapacity = poured.reduce((sum, l) => sum + capacity(l), 0);
  if (!(waterCapacity > 0)) return undefined;
  const rest = lines.filter((l) => !poured.includes(l));
  const total = waterCapacity + rest.reduce((sum, l) => sum + capacity(l), 0);
  const restHeat = rest.reduce((sum, l) => sum + capacity(l) * celsiusOf(l, room), 0);
  const wanted = ((desired - rise) * total - restHeat) / waterCapacity;
  const celsius = Math.min(waterLimits.most, Math.max(waterLimits.least, wanted));
  const warm = lines.filter(isFlour).map((l) => celsiusOf(l, room));
  const warmest = Math.max(...warm, room);
  return {
    celsius,
    beyond: celsius !== wanted,
    ...(warmest > room ? { warmFlour: warmest } : {}),
  };
}
