import { commonPractice, figure, type Figure } from '../figure/figure.ts';
import type { Programme } from './programme.ts';

/** A size that a machine names, with the flour that really fits. */
interface MachineSize {
  readonly label: string;
  /** Grams of flour, least and most. */
  readonly flour: readonly [least: number, most: number];
  /** Grams of the baked loaf. */
  readonly loaf: readonly [least: number, most: number];
  readonly source: string;
}

const size = (
  label: string,
  flour: MachineSize['flour'],
  loaf: MachineSize['loaf'],
  source = commonPractice,
): MachineSize => ({ label, flour, loaf, source });

/** A loaf weighs about so much for each gram of its flour. Of the rows whose loaves are known. */
const loafOfFlour = 1.513;
const inProportion = ([least, most]: MachineSize['flour']): MachineSize['loaf'] => [
  Math.round(least * loafOfFlour),
  Math.round(most * loafOfFlour),
];

/** One row a size, the smallest first. Sizes are nominal: handbook section 10. */
export const machineSizes = {
  '1lb': size('1 lb', [300, 325], inProportion([300, 325])),
  '500g': size('500 g', [290, 325], inProportion([290, 325]), 'in proportion to the others'),
  '1.5lb': size('1½ lb', [400, 440], inProportion([400, 440]), 'between one and two pounds'),
  '750g': size('750 g', [400, 450], [605, 680]),
  '2lb': size('2 lb', [500, 560], [757, 847]),
  '1kg': size('1 kg', [600, 650], [908, 984]),
} as const satisfies Record<string, MachineSize>;

export type MachineSizeId = keyof typeof machineSizes;
export const machineSizeIds = Object.keys(machineSizes) as MachineSizeId[];

/** Shades of crust: minutes of baking more or less. Common practice, no source. */
export const crusts = {
  light: { label: 'light', minutes: -5 },
  medium: { label: 'medium', minutes: 0 },
  dark: { label: 'dark', minutes: 8 },
} as const;
export type CrustId = keyof typeof crusts;
export const crustIds = Object.keys(crusts) as CrustId[];

/** A size up or down is so many minutes of baking. Handbook section 16: ±10 min. */
const minutesASize: Figure = figure(5, 'min', 2, commonPractice);

/** A machine: how it is loaded, how large its loaves are, what it can do. */
export interface Machine {
  readonly label: string;
  readonly loading: 'liquids-first' | 'dry-first';
  readonly paddles: number;
  readonly sizes: readonly MachineSizeId[];
  readonly programmes: readonly Programme[];
  readonly crusts: readonly CrustId[];
  /** Hours that it can be set to begin later. */
  readonly mostDelay: number;
  /** It must not touch anything that scratches. */
  readonly coatedPan: boolean;
}

/**
 * Minutes that the baking of a loaf is longer by: against the machine's middle size, at medium crust.
 *
 * @example bakeShift(machines.upright, '1kg', 'dark') // 13
 */
export function bakeShift(machine: Machine, of: MachineSizeId, crust: CrustId): number {
  const middle = Math.floor((machine.sizes.length - 1) / 2);
  const at = machine.sizes.indexOf(of);
  return (at < 0 ? 0 : at - middle) * minutesASize.value + crusts[crust].minutes;
}
