import { figure, fromMemory, type Figure } from '../figure/figure.ts';
import { settable, tableWithOwn, type OwnValues, type Settable } from '../figure/settable.ts';

/** No rate constant of a rising dough has a source: these were fitted together on the anchors. */
const fitted = 'own model, fitted on customary rises (scripts/fit/rise.ts)';

const fit = (label: string, value: number, unit: string, sd: number, least: number, most: number) =>
  settable(label, figure(value, unit, sd, fitted), least, most);

/**
 * Every constant of the rise model, per 100 g of flour: the one place where they stand, and the one that a
 * household's own figures go over.
 */
export const riseFigures = {
  riseGas: fit(
    'Gas that instant yeast makes at its best',
    468,
    'ml/h per % instant',
    67,
    100,
    2000,
  ),
  riseGrowth: fit('Growth of yeast in dough at its best', 0.313, '1/h', 0.13, 0.02, 2),
  riseCrowd: fit('Yeast that a dough can feed', 1.03, '% instant', 1, 0.3, 10),
  riseWakeGas: fit('Yeast wakes to gassing in', 0.179, 'h at its best', 0.07, 0.02, 3),
  riseWakeGrowth: fit('Yeast wakes to growth in', 3.46, 'h at its best', 3, 0.1, 10),
  sourGas: fit(
    'Gas that a ripe starter’s flora makes at its best',
    473,
    'ml/h at a ripe starter',
    78,
    50,
    2000,
  ),
  sourGrowth: fit('Growth of a starter’s flora at its best', 0.203, '1/h', 0.05, 0.01, 1),
  sourCrowd: fit('Flora that a dough can feed', 1.54, 'of a ripe starter', 0.9, 0.5, 6),
  sourWake: fit('A starter’s flora wakes in', 0.612, 'h at its best', 0.6, 0.02, 5),
  sourLeast: fit('Warmth below which a starter does nothing', -0.2, '°C', 1.6, -6, 8),
  sourBest: fit('Warmth at which a starter is fastest', 31.6, '°C', 2, 24, 38),
  sourMost: fit('Warmth above which a starter does nothing', 39.5, '°C', 1.3, 33, 46),
  sugarAtFirst: fit('Sugar in flour that yeast finds at once', 1.22, 'g', 0.4, 0.2, 4),
  starchMalting: fit('Starch that can still become sugar', 3.49, 'g', 1.7, 0.5, 12),
  maltingRate: fit('Sugar that flour makes of starch at 30 °C', 0.95, 'g/h', 0.7, 0.02, 3),
  holdWhite: fit('Gas that white dough holds at first', 0.8, 'share', 0.08, 0.3, 1),
  fullWhite: fit('Volume at which white dough holds no more', 3.72, 'times its first', 0.7, 2, 7),
  holdWhole: fit('Gas that whole-grain dough holds at first', 0.562, 'share', 0.14, 0.1, 1),
  fullWhole: fit(
    'Volume at which whole-grain dough holds no more',
    1.965,
    'times its first',
    0.11,
    1.5,
    5,
  ),
  fullLiquid: fit(
    'Volume at which a liquid one holds no more',
    3.43,
    'times its first',
    0.8,
    1.6,
    6,
  ),
  slowLoss: fit('Gas that a dough loses by itself', 0.01, 'of what it holds, 1/h', 0.005, 0, 0.2),
  leakSmall: fit(
    'Gas that small pieces lose through their skin',
    0.162,
    'of a kilo’s loaf, for 80 g',
    0.15,
    0,
    2,
  ),
  ripePoolish: fit(
    'Gas that a pre-ferment with yeast has made when ripe',
    385,
    'ml',
    50,
    100,
    1500,
  ),
  ripeStarter: fit('Gas that a starter has made when ripe', 679, 'ml', 75, 100, 1500),
  grownYeast: fit('Yeast that a first rise leaves', 1, 'times what went in', 0.1, 1, 3),
  grownSour: fit('Flora that a first rise leaves', 1.72, 'times what went in', 0.3, 1, 4),
  coldGas: fit('Warmth below which yeast gasses no more', -2.1, '°C', 0.8, -3, 6),
} as const satisfies Record<string, Settable>;

export type RiseFigure = keyof typeof riseFigures;
export type RiseFigures = Readonly<Record<RiseFigure, Settable>>;

/** The rise model's figures with a household's own in their place. */
export const riseFiguresWith = (own: OwnValues): RiseFigures => tableWithOwn(riseFigures, own);

/** Physics and chemistry of a rising dough: nothing that a household would set. */
export const gasFigures = {
  /** A gram of sugar makes so much gas. Source: stoichiometry, 4 mol CO2 from 342 g, 24.5 l/mol, most of it. */
  perSugar: figure(272, 'ml per g', 10, 'stoichiometry of fermentation, 24.5 l/mol at 26 °C'),
  /** Sugar at which yeast works at half its pace. */
  hungry: figure(0.25, 'g', 0.1, fitted),
  /** Gas that water holds dissolved at 26 °C, and how that falls with warmth. */
  dissolved: figure(0.75, 'ml per g water', 0.03, fromMemory('solubility of CO2 in water')),
  dissolvedSlope: figure(0.029, '1/K', 0.003, fromMemory('solubility of CO2 in water')),
  /** How a dough holds the less the fuller it is: a power of how full, of white and of whole grain. */
  fullPowerWhite: figure(3, 'power', 0.5, fitted),
  fullPowerWhole: figure(1, 'power', 0.3, fitted),
  /** Density of a dough without gas. */
  density: figure(1.1, 'g/ml', 0.03, fromMemory('density of a degassed dough')),
  /** Extra gassing and sugar of whole grain, as shares. */
  wholeGas: figure(0.17, 'share', 0.1, fitted),
  wholeSugar: figure(0.295, 'share', 0.15, fitted),
  /** Malting by warmth, about 30 °C. */
  maltingSlope: figure(0.06, '1/K', 0.015, fitted),
  /** Fat above this slows, each per cent by so much. */
  slowingFat: figure(8, '%', 2, fitted),
  fatBrake: figure(0.004, 'share per %', 0.002, fitted),
} as const satisfies Record<string, Figure>;

/** Temperatures, °C: cardinal ones of the rate of gassing and of growth; and where yeast dies. */
export const warmthFigures = {
  gasBest: figure(37.1, '°C', 1, 'common practice, no source: gassing peaks higher than growth'),
  gasMost: figure(50, '°C', 1, 'common practice, no source'),
  growthLeast: figure(0, '°C', 3, fromMemory('weakly known; 3 would stop a fridge dough')),
  growthBest: figure(32.3, '°C', 0.5, fromMemory('Salvadó 2011')),
  growthMost: figure(45.4, '°C', 0.5, fromMemory('Salvadó 2011')),
  /** Below this nothing dies of warmth in a bake's time. */
  harmFrom: figure(43, '°C', 2, 'common practice, no source: harm above about 50'),
  /** Yeast is halved in five minutes at this, and ten times as fast for each five degrees more. */
  killing: figure(55, '°C', 1, 'common practice, no source: half in minutes at 55, dead by 60'),
  killingMinutes: figure(5, 'min to a half', 2, 'common practice, no source'),
  killingStep: figure(
    5,
    'K for ten times as fast',
    1,
    fromMemory('heat resistance of yeast, z value'),
  ),
} as const satisfies Record<string, Figure>;
