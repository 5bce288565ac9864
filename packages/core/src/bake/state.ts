import type { BakeEvent, Outcome } from './event.ts';

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
  }>;
  readonly outcome?: Outcome;
  readonly finishedAt?: string;
  /** When it was given up. Retracting that takes it up again. */
  readonly abandonedAt?: string;
}

export const notBegun: BakeState = { weighed: new Map(), added: [], felt: [] };

/**
 * The state of a bake after its events, whatever order they came in and however often each came.
 *
 * @example bakeState([{id: 'a', at, kind: 'felt', data: {points: 2}}]).felt.length // 1
 */
export function bakeState(events: readonly BakeEvent[]): BakeState {
  const once = new Map(events.map((e) => [e.id, e]));
  const retracted = new Set(
    [...once.values()].flatMap((e) => (e.kind === 'retracted' ? [e.data.event] : [])),
  );
  return [...once.values()]
    .filter((e) => !retracted.has(e.id))
    .sort((a, b) => (a.at === b.at ? (a.id < b.id ? -1 : 1) : a.at < b.at ? -1 : 1))
    .reduce(step, notBegun);
}

function step(state: BakeState, event: BakeEvent): BakeState {
  switch (event.kind) {
    case 'weighed':
    case 'unweighed': {
      const weighed = new Map(state.weighed);
      if (event.kind === 'weighed') weighed.set(event.data.item, event.data);
      else weighed.delete(event.data.item);
      return { ...state, weighed };
    }
    case 'added':
      return {
        ...state,
        added: [...state.added, { event: event.id, at: event.at, ...event.data }],
      };
    case 'felt':
      return { ...state, felt: [...state.felt, { ...event.data, at: event.at }] };
    case 'outcome':
      return { ...state, outcome: event.data };
    case 'finished':
      return { ...state, finishedAt: state.finishedAt ?? event.at };
    case 'abandoned':
      return { ...state, abandonedAt: state.abandonedAt ?? event.at };
    case 'retracted':
      return state;
  }
}
