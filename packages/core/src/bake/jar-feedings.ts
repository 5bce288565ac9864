import type { Feeding } from '../starter/feeding.ts';
import type { BakeState } from './state.ts';

/** What a starter was fed in a bake, and when it stood highest after that. */
export type FedInBake = BakeState['fed'][number] & { readonly peakAt?: string };

/**
 * What was fed in a bake, each with its peak: the first that was tapped of that starter, unless it was fed again before.
 *
 * @example fedIn(bakeState(events))[0].peakAt // '2026-11-26T14:30:00Z'
 */
export const fedIn = ({ fed, peaks }: Pick<BakeState, 'fed' | 'peaks'>): FedInBake[] =>
  fed.map((feeding, i) => {
    const { stage, at } = feeding;
    const again = fed.slice(i + 1).find((f) => f.stage === stage)?.at;
    const peakAt = peaks.find(
      (p) => p.stage === stage && p.at > at && (again === undefined || p.at <= again),
    )?.at;
    return peakAt === undefined ? feeding : { ...feeding, peakAt };
  });

/** A feeding with the jar that it went into. */
interface JarFeeding {
  readonly jar: string;
  readonly feeding: Feeding;
}

/** A feeding's id at its jar: events have theirs within their bake only. */
export const jarFeedingId = (bake: string, event: string): string => `${bake}_${event}`;

/**
 * What a bake's feedings are to the jars of the household: the same feeding, told of the bake and of the jar alike.
 *
 * @param bake its id
 * @example jarFeedings('b1', bakeState(events))[0].feeding.bake // 'b1'
 */
export const jarFeedings = (bake: string, state: Pick<BakeState, 'fed' | 'peaks'>): JarFeeding[] =>
  fedIn(state).flatMap(({ event, stage, jar, ...stirred }) => {
    void stage;
    return jar === undefined
      ? []
      : [{ jar, feeding: { ...stirred, id: jarFeedingId(bake, event), bake } }];
  });
