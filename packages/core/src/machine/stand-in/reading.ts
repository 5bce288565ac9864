/** What a kitchen scale says. Grams as its display has them; moments in ms since any beginning. */
export interface ScaleReading {
  readonly at: number;
  readonly grams: number;
  /** It has come to rest. */
  readonly settled: boolean;
  /** More lies on it than it can weigh. */
  readonly over: boolean;
}

/** What a probe says, °C. */
export interface ProbeReading {
  readonly at: number;
  readonly celsius: number;
}

/** What a room sensor says: °C, and relative humidity 0 to 1. */
export interface RoomReading {
  readonly at: number;
  readonly celsius: number;
  readonly humidity: number;
}

/** What a bread machine says of itself. Minutes of its programme. */
export interface MachineReading {
  readonly at: number;
  readonly minute: number;
  readonly stage: string;
  readonly running: boolean;
  /** What it has called for since its start, the last one last. */
  readonly calls: ReadonlyArray<'signal' | 'paddle' | 'done' | 'power-lost'>;
}

/** Readings that no such device can give: what it says is passed over, and said. */
const readingSpans = {
  /** Below zero a scale is where a tared bowl was lifted; more than this below, nothing was. */
  grams: [-10_000, 30_000],
  probe: [-40, 300],
  room: [-20, 60],
  humidity: [0, 1],
} as const;

/**
 * Whether a reading can be true of its device.
 *
 * @example isReading('probe', 900) // false
 */
export const isReading = (of: keyof typeof readingSpans, value: number): boolean =>
  Number.isFinite(value) && value >= readingSpans[of][0] && value <= readingSpans[of][1];
