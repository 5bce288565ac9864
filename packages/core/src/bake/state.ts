import { kindOfEvent, type BakeEvent } from './event.ts';
import type { Outcome } from './outcome.ts';

/** What was noted of one rise. */
export interface RiseNoted {
  readonly begunAt?: string;
  readonly notes: ReadonlyArray<{
    readonly sense: 'not-yet' | 'there' | 'past';
    readonly at: string;
  }>;
}

/** Where a bake stands: the fold of its events. */
export interface BakeState {
  readonly weighed: ReadonlyMap<string, { readonly grams: number; readonly byScale: boolean }>;
  readonly added: ReadonlyArray<{
    readonly event: string;
    readonly ingredient: string;
    readonly grams: number;
    readonly at: string;
  }>;
  readonly felt: ReadonlyArray<{
    readonly points: number;
    readonly at: string;
    readonly rested?: boolean;
    /** How many additions had gone in before it. */
    readonly after: number;
  }>;
  readonly rises: Readonly<Partial<Record<'first' | 'final', RiseNoted>>>;
  /** Temperatures, °C: of the dough after mixing, and of where it stands. */
  readonly warmth: Readonly<Partial<Record<'dough' | 'air', number>>>;
  readonly outcome?: Outcome;
  readonly finishedAt?: string;
  /** When it was given up. Retracting that takes it up again. */
  readonly abandonedAt?: string;
}

const notBegun: BakeState = { weighed: new Map(), added: [], felt: [], rises: {}, warmth: {} };

/**
 * The state of a bake after its events, whatever order they came in and however often each came. What a
 * newer version said of it stays, and is passed over.
 *
 * @example bakeState([{id: 'a', at, kind: 'felt', data: {points: 2}}]).felt.length // 1
 */
export function bakeState(events: readonly BakeEvent[]): BakeState {
  const once = [...new Map(events.map((e) => [e.id, e])).values()];
  const retracted = new Set(once.map((e) => kindOfEvent(e)?.retracts?.(e.data as never)));
  return once
    .filter((e) => !retracted.has(e.id))
    .sort((a, b) => (a.at === b.at ? (a.id < b.id ? -1 : 1) : a.at < b.at ? -1 : 1))
    .reduce((state, event) => kindOfEvent(event)?.fold(state, event as never) ?? state, notBegun);
}
