import type { Feeding } from '../starter/feeding.ts';
import type { BakeState } from './state.ts';

/** A feeding with the jar that it went into. */
interface JarFeeding {
  readonly jar: string;
  readonly feeding: Feeding;
}

/** A feeding's id at its jar: events have theirs within their bake only. */
export const jarFeedingId = (bake: string, event: string): string => `${bake}_${event}`;

/**
 * What a bake's feedings are to the jars of the household: the same feeding, told of the bake and of the jar alike. It
 * stood highest when that was tapped, unless it was fed again before.
 *
 * @param bake its id
 * @example jarFeedings('b1', bakeState(events))[0].feeding.bake // 'b1'
 */
export function jarFeedings(
  bake: string,
  { fed, peaks }: Pick<BakeState, 'fed' | 'peaks'>,
): JarFeeding[] {
  return fed.flatMap(({ event, at, stage, jar, seed, flour, water }, i) => {
    if (jar === undefined) return [];
    const again = fed.slice(i + 1).find((f) => f.stage === stage)?.at;
    const peakAt = peaks.find(
      (p) => p.stage === stage && p.at > at && (again === undefined || p.at <= again),
    )?.at;
    const feeding = { id: jarFeedingId(bake, event), at, seed, flour, water, bake };
    return [{ jar, feeding: peakAt === undefined ? feeding : { ...feeding, peakAt } }];
  });
}
