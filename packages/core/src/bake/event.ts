import type { DataOf } from '../quantity/shape.ts';
import { eventKinds, type BakeEventKind } from './event-kinds.ts';

/**
 * What happens in a bake. Every event has an id made where it happened: sent twice, it counts once;
 * two tablets merge.
 */
export type BakeEvent = {
  [Kind in BakeEventKind]: {
    readonly id: string;
    /** ISO 8601, UTC. */
    readonly at: string;
    readonly kind: Kind;
    readonly data: DataOf<(typeof eventKinds)[Kind]['shape']>;
  };
}[BakeEventKind];

/** How the dough feels: `rested` false where it had no time yet to drink. */
export type Felt = Extract<BakeEvent, { kind: 'felt' }>['data'];

/** What this version knows of an event's kind; undefined for one of a newer version. */
export const kindOfEvent = ({ kind }: { readonly kind: string }) =>
  Object.hasOwn(eventKinds, kind) ? eventKinds[kind as BakeEventKind] : undefined;

/** Whether an event changes what its bake taught. */
export const teaches = (event: Pick<BakeEvent, 'kind'>): boolean =>
  kindOfEvent(event)?.teaches ?? false;
