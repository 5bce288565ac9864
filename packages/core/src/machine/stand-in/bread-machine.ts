import {
  machineStageKinds,
  paddleStill,
  programmeMinutes,
  spansOf,
  type Programme,
} from '../programme.ts';
import type { MachineReading } from './reading.ts';

type Call = MachineReading['calls'][number];

/** A bread machine that is not there: it plays a programme. */
interface MachineStandIn {
  readonly at: number;
  readonly programme: Programme;
  readonly shift: number;
  /** Minutes until it begins. */
  readonly delay: number;
  /** Minutes of the programme that have passed. */
  readonly minute: number;
  readonly power: boolean;
  /** Minutes without power, while it is out. */
  readonly dark: number;
  readonly calls: readonly Call[];
  readonly lost: boolean;
}

/** It remembers where it was for so long without power, minutes. Common practice, no source: makers say 5 to 15. */
export const remembersFor = 7;

/** A machine that was just started. */
export const machineStandIn = (programme: Programme, shift = 0, delay = 0): MachineStandIn => ({
  at: 0,
  programme,
  shift,
  delay,
  minute: 0,
  power: true,
  dark: 0,
  calls: [],
  lost: false,
});

/** What it calls for on its way from a minute to another. */
function callsBetween({ programme, shift }: MachineStandIn, from: number, to: number): Call[] {
  const still = paddleStill(programme);
  const bakes = programme.stages.some((s) => s.kind === 'bake');
  const at: ReadonlyArray<readonly [Call, number | undefined]> = [
    ['signal', programme.signal],
    ['paddle', bakes ? still : undefined],
    ['done', programmeMinutes(programme, shift)],
  ];
  return at
    .filter(([, minute]) => minute !== undefined && minute > from && minute <= to)
    .sort(([, a], [, b]) => a! - b!)
    .map(([call]) => call);
}

/** The same machine so many milliseconds later, however fast they are played. */
export function machineLater(machine: MachineStandIn, ms: number): MachineStandIn {
  const minutes = ms / 60_000;
  const at = machine.at + ms;
  if (machine.lost) return { ...machine, at };
  if (!machine.power) {
    const dark = machine.dark + minutes;
    return dark > remembersFor
      ? { ...machine, at, dark, lost: true, calls: [...machine.calls, 'power-lost'] }
      : { ...machine, at, dark };
  }
  const waits = Math.min(minutes, machine.delay);
  const end = spansOf(machine.programme, machine.shift).at(-1)?.to ?? 0;
  const minute = Math.min(end, machine.minute + minutes - waits);
  return {
    ...machine,
    at,
    delay: machine.delay - waits,
    minute,
    calls: [...machine.calls, ...callsBetween(machine, machine.minute, minute)],
  };
}

/** The power goes, or comes back. */
export const power = (machine: MachineStandIn, on: boolean): MachineStandIn => ({
  ...machine,
  power: on,
  dark: 0,
});

/**
 * What it says of itself.
 *
 * @example machineReading(machineLater(machineStandIn(programme), 60_000)).minute // 1
 */
export function machineReading(machine: MachineStandIn): MachineReading {
  const spans = spansOf(machine.programme, machine.shift);
  const now = spans.find((s) => machine.minute < s.to);
  const running = machine.power && !machine.lost && now !== undefined;
  const stage = machine.lost
    ? 'has forgotten its programme'
    : !machine.power
      ? 'has no power'
      : machine.delay > 0
        ? 'waits to begin'
        : now
          ? machineStageKinds[now.kind].label
          : 'is done';
  return { at: machine.at, minute: machine.minute, stage, running, calls: machine.calls };
}
