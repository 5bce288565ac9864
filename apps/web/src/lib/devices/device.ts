import type {
  MachineReading,
  ProbeReading,
  RoomReading,
  ScaleReading,
} from '@tender-crumb/core/machine';

/** A device that says something, again and again. What stands behind it, nobody who listens need know. */
export interface Device<Reading> {
  readonly name: string;
  /** The last that it said; undefined while it says nothing. */
  readonly reading: Reading | undefined;
}

export interface ScaleDevice extends Device<ScaleReading> {
  /** Step of its display, grams. */
  readonly step: number;
  tare(): void;
}
export type ProbeDevice = Device<ProbeReading>;
export type RoomDevice = Device<RoomReading>;
export type MachineDevice = Device<MachineReading>;

/** A way by which a browser can speak to a real device, and what would be needed for it. */
export interface RealWay {
  readonly label: string;
  readonly there: boolean;
  readonly needs: string;
}

/** What this browser could speak to, and what stands between. Nothing of it is built. */
export const realWays = (): RealWay[] => [
  {
    label: 'by a serial cable',
    there: 'serial' in navigator,
    needs:
      'a page served over https, a scale or probe with a serial chip, its maker’s line format as one more device beside the stand-in',
  },
  {
    label: 'by Bluetooth',
    there: 'bluetooth' in navigator,
    needs:
      'a page served over https, a device that says its weight by the open weight-scale service or whose maker tells its own, and a tap to pair it',
  },
];
