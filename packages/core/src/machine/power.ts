import { commonPractice, figure } from '../figure/figure.ts';
import type { MachineStage } from './programme.ts';

/** Room that an oven is heated from, °C. */
const room = 20;
/** Heating an oven takes so much for each degree: a household oven of 60 l. */
const heating = figure(0.0038, 'kWh a degree', 0.001, commonPractice);
/** Keeping it hot takes so much an hour for each degree above the room. */
const holding = figure(0.0042, 'kW a degree', 0.0015, commonPractice);

/**
 * What an oven takes from cold until the bread is out, kWh.
 *
 * @param celsius that it is heated to
 * @param minutes that it is held there: the rest of its heating, and the bread in it
 * @example ovenPower(190, 45) // about 1.2
 */
export const ovenPower = (celsius: number, minutes: number): number => {
  const warmer = Math.max(0, celsius - room);
  return heating.value * warmer + (holding.value * warmer * minutes) / 60;
};

/** A bread machine's motor and its element, kW while they work. Handbook section 16: .4 to .7 kWh a loaf. */
const machineWork = {
  turning: figure(0.1, 'kW', 0.03, commonPractice),
  warming: figure(0.012, 'kW', 0.005, commonPractice),
  baking: figure(0.4, 'kW', 0.1, commonPractice),
} as const;

/**
 * What a machine takes for the stages of a programme, kWh.
 *
 * @example machinePower([{kind: 'knead', minutes: 30}, {kind: 'rise', minutes: 120, celsius: 30}, {kind: 'bake', minutes: 60}]) // about .47
 */
export const machinePower = (stages: readonly MachineStage[]): number =>
  stages.reduce((sum, { kind, minutes }) => {
    const { value } =
      kind === 'bake'
        ? machineWork.baking
        : kind === 'knead' || kind === 'knock-down'
          ? machineWork.turning
          : machineWork.warming;
    return sum + (value * minutes) / 60;
  }, 0);

/** A machine that nobody described, for a whole loaf and for a dough. */
export const usualMachinePower = {
  loaf: figure(0.55, 'kWh', 0.1, commonPractice),
  dough: figure(0.12, 'kWh', 0.04, commonPractice),
} as const;
/** A mixer kneads ten minutes. */
export const mixerPower = figure(0.06, 'kWh', 0.03, commonPractice);
