import type { DataOf } from '../quantity/shape.ts';
import { eventKinds, type BakeEventKind } from './event-kinds.ts';

/**
 * What happens in a bake. Every event has an id made where it happened: sent twice, it counts once;
 * two tablets merge.
 */
export type BakeEvent = {
  [Kind in BakeEventKind]: {
    readonly id: string;
    /** ISO 8601, UTC; by the clock of the device that it was tapped on. */
    readonly at: string;
    /** What is added to that for the time of the house, ms; nothing where it is the house’s. */
    readonly clock?: number;
    readonly kind: Kind;
    readonly data: DataOf<(typeof eventKinds)[Kind]['shape']>;
  };
}[BakeEventKind];

/**
 * An event at the time of the house, whatever the clock of the device said.
 *
 * @example onHouseClock({ at: '2031-01-01T10:00:00.000Z', clock: -120_000, … }).at // '2031-01-01T09:58:00.000Z'
 */
export function onHouseClock<E extends Pick<BakeEvent, 'at' | 'clock'>>(event: E): E {
  const { clock, ...rest } = event;
  if (clock === undefined) return event;
  return { ...rest, at: new Date(Date.parse(event.at) + clock).toISOString() } as E;
}

/** How the dough feels: `rested` false where it had no time yet to drink. */
export type Felt = Extract<BakeEvent, { kind: 'felt' }>['data'];

/** What this version knows of an event's kind; undefined for one of a newer version. */
export const kindOfEvent = ({ kind }: { readonly kind: string }) =>
  Object.hasOwn(eventKinds, kind) ? eventKinds[kind as BakeEventKind] : undefined;

/** Whether an event changes what its bake taught. */
export const teaches = (event: Pick<BakeEvent, 'kind'>): boolean =>
  kindOfEvent(event)?.teaches ?? false;
