/** What is stirred together: ripe starter, flour, water. Grams. */
export interface Stirred {
  readonly seed: number;
  readonly flour: number;
  readonly water: number;
}

/** What a starter was fed, wherever that was written down, and how it went. Moments are ISO texts. */
export interface Feeding extends Stirred {
  readonly id: string;
  readonly at: string;
  /** When it stood highest. */
  readonly peakAt?: string;
  /** How warm it stood, °C; as the kitchen is where nobody said. */
  readonly celsius?: number;
  /** When it began to rise, where somebody looked. */
  readonly risingAt?: string;
  /** What was taken out and kept for other things, grams. */
  readonly discard?: number;
  readonly note?: string;
  /** The bake that it was fed for and that wrote it down. */
  readonly bake?: string;
}

/** So many hours after it was fed no starter stands highest any more: a tap was forgotten. Common practice, no source. */
const latestPeak = 72;

/**
 * Hours from a feeding to when it stood highest.
 *
 * @returns undefined where nobody saw it, or no starter takes so long
 * @example hoursToPeak({at: '2026-11-26T08:00:00Z', peakAt: '2026-11-26T14:30:00Z'}) // 6.5
 */
export function hoursToPeak({ at, peakAt }: Pick<Feeding, 'at' | 'peakAt'>): number | undefined {
  if (peakAt === undefined) return undefined;
  const hours = (Date.parse(peakAt) - Date.parse(at)) / 3_600_000;
  return hours > 0 && hours <= latestPeak ? hours : undefined;
}

/**
 * Hours from a feeding to when it began to rise.
 *
 * @returns undefined where nobody saw it, or no starter takes so long
 * @example hoursToRising({at: '2026-11-26T08:00:00Z', risingAt: '2026-11-26T10:00:00Z'}) // 2
 */
export const hoursToRising = ({
  at,
  risingAt,
}: Pick<Feeding, 'at' | 'risingAt'>): number | undefined =>
  hoursToPeak({ at, ...(risingAt === undefined ? {} : { peakAt: risingAt }) });

/**
 * Whether a starter that was fed then may still come to stand highest, and nobody has seen it yet.
 *
 * @param now ISO moment
 * @example awaitsPeak({at: '2026-11-26T08:00:00Z'}, '2026-11-26T12:00:00Z') // true
 */
export const awaitsPeak = (feeding: Pick<Feeding, 'at' | 'peakAt'>, now: string): boolean =>
  feeding.peakAt === undefined && hoursToPeak({ ...feeding, peakAt: now }) !== undefined;
