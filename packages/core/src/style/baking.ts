import { commonPractice, figure, fromMemory, type Figure } from '../figure/figure.ts';

/** How a bread of a style is baked and cooled. */
export interface Baking {
  /** The oven, without a fan. */
  readonly celsius: Figure;
  /** Minutes in it for one piece of {@link kilograms}. */
  readonly minutes: Figure;
  /** Dough of one piece that those minutes are for. */
  readonly kilograms: number;
  /** What a thermometer says in the middle when it is done, °C. */
  readonly core: readonly [least: number, most: number];
  /** The oven is heated for so long before; a pot for longer. */
  readonly heating: Figure;
  /** It stands so long before it is cut. */
  readonly cooling: Figure;
}

/** Power of the mass by which the minutes in the oven grow. From memory. */
export const bakingPower = figure(0.6, 'power of the mass', 0.1, fromMemory('minutes by mass'));

const minutes = (value: number, source = commonPractice) => figure(value, 'min', value / 5, source);

/** A row: the oven, its minutes for a piece, and where they differ from a tin loaf's, the rest. */
export const baking = (
  celsius: number,
  inOven: number,
  kilograms: number,
  core: Baking['core'],
  { heating = 15, cooling = 60 }: { heating?: number; cooling?: number } = {},
  source = commonPractice,
): Baking => ({
  celsius: figure(celsius, '°C', 10, source),
  minutes: minutes(inOven, source),
  kilograms,
  core,
  heating: minutes(heating),
  cooling: minutes(cooling, source),
});

/**
 * Minutes in the oven for a piece of that mass.
 *
 * @param kilograms of dough in one piece, above 0
 * @example ovenMinutes(styles.pan.baking, .9) // about 39
 */
export const ovenMinutes = ({ minutes, kilograms }: Baking, piece: number): number =>
  minutes.value * (piece / kilograms) ** bakingPower.value;

/** A crumb stays so far below the boil of its water, °C. Own choice, no source. */
const belowBoil = 1;

/**
 * Where water boils, °C, by height above the sea: the standard atmosphere, and Antoine's equation for water.
 *
 * Source: ISO 2533 (pressure by height); Antoine constants 8.07131, 1730.63, 233.426 (mmHg, °C), from memory.
 *
 * @param metres above the sea
 * @example boilsAt(1500) // 95
 */
export function boilsAt(metres: number): number {
  const mmHg = 760 * (1 - 2.25577e-5 * metres) ** 5.25588;
  return 1730.63 / (8.07131 - Math.log10(mmHg)) - 233.426;
}

/**
 * What a thermometer says in the middle of a done loaf at a height: nothing there is hotter than its water boils.
 *
 * @example coreAt(styles.rye.baking, 1500) // [94, 94]
 */
export function coreAt(
  { core: [least, most] }: Baking,
  metres?: number,
): readonly [least: number, most: number] {
  if (metres === undefined) return [least, most];
  const cap = Math.floor(boilsAt(metres) - belowBoil);
  return [Math.min(least, cap), Math.min(most, cap)];
}
