import { kindOfEvent, type BakeEvent } from '@tender-crumb/core/bake';
import { upgrade } from '@tender-crumb/core/exchange';
import type { Formula } from '@tender-crumb/core/formula';
import { merge as mergePatch } from 'json-merge-patch';
import type { BeginBake } from './begin.ts';
import type { Entry, NewEntry } from './entry.ts';
import { followedBy, insisting, type Change, type Clash } from '../wire/merge.ts';

/** What is asked of the server for some entries of one kind. */
export interface Asked {
  readonly method: 'POST' | 'PUT' | 'PATCH' | 'DELETE';
  readonly path: string;
  readonly body?: unknown;
}

/** One kind of thing that goes to the server: how it is sent, and what people call it. */
interface Kind {
  /** Most that go in one request, in the order in which they came. */
  readonly most: number;
  /**
   * Several are put together into one, where these go together. What was sent so and not heard of goes again as it
   * went: put together anew, it would be told that its own first half stands there.
   */
  joins?(first: Entry, next: Entry): boolean;
  ask(entries: readonly Entry[]): Asked;
  /** What it is, for the baker. */
  says(body: unknown): string;
  /** What is not there any more needs nothing done to it. */
  readonly goneIsDone?: boolean;
}

/** A formula as it stands on a bench, and what it was made from. */
export interface Draft {
  readonly id: string;
  /** The server's version that it began from; 0 for a new one. */
  readonly version: number;
  /** The sitting that it was typed in. */
  readonly draft: string;
  readonly formula: Formula;
}

/** A photo on its way. */
export interface PhotoSent {
  readonly bake: string;
  readonly photo: string;
  readonly step: string;
  readonly bytes: ArrayBuffer;
}

/** A change to a thing that others may change as well; what is new begins from nothing. */
export interface Changed {
  readonly id: string;
  readonly change: Change;
  /** What it is called, for whoever is told of it. */
  readonly name?: string;
  /** It was always so, and not from today. */
  readonly always?: boolean;
}

/** A row that is written whole, or taken away. */
export interface RowSaid {
  readonly id: string;
  /** The starter that was fed. */
  readonly bag?: string;
  readonly row?: object;
}

/** A draft as an earlier version of the program may have kept it. */
export function draftIn(body: unknown): Draft {
  const draft = body as Draft;
  return { ...draft, formula: upgrade(draft.formula) };
}

const behind = (lane: string): string => lane.slice(lane.indexOf('/') + 1);

/** A name that somebody gave, or what it is without one. */
const called = (of: unknown, else_: string): string => {
  const { name } = (of ?? {}) as { name?: unknown };
  return typeof name === 'string' && name !== '' ? `“${name}”` : else_;
};

const wasAlways = (entry: Entry): boolean => !!(entry.body as Changed).always;

/** A thing of which several tablets may say something at once: field by field. */
const changing = (path: (id: string) => string, says: (now: object) => string): Kind => ({
  most: 50,
  // What is so from today would be said to have been so in every bake before.
  joins: (first, next) => wasAlways(first) === wasAlways(next),
  ask: (entries) => {
    const bodies = entries.map((e) => e.body as Changed);
    const always = wasAlways(entries[0]!) ? '?since=always' : '';
    return {
      method: 'PATCH',
      path: `${path(bodies[0]!.id)}${always}`,
      body: bodies.map((b) => b.change).reduce(followedBy),
    };
  },
  says: (body) => says({ name: (body as Changed).name, ...(body as Changed).change.now }),
});

/** A row that is written whole, under an id of its own. */
const written = (path: (said: RowSaid) => string, says: (row: unknown) => string): Kind => ({
  most: 1,
  ask: ([entry]) => {
    const said = entry!.body as RowSaid;
    return { method: 'PUT', path: path(said), body: said.row };
  },
  says: (body) => says((body as RowSaid).row),
});

/** A row that is taken away. */
const gone = (path: (said: RowSaid) => string, says: string): Kind => ({
  most: 1,
  ask: ([entry]) => ({ method: 'DELETE', path: path(entry!.body as RowSaid) }),
  says: () => says,
  goneIsDone: true,
});

const feedingAt = ({ bag, id }: RowSaid): string => `/api/v1/bags/${bag}/feedings/${id}`;
const planAt = (id: string): string => `/api/v1/plans/${id}`;
const timerAt = ({ id }: RowSaid): string => `/api/v1/timers/${id}`;

const kinds = {
  draft: {
    most: 1,
    ask([entry]) {
      const { id, ...save } = entry!.body as Draft;
      return { method: 'PUT', path: `/api/v1/formulas/${id}`, body: save };
    },
    says: (body) => `${called((body as Draft).formula, 'A formula')} as it was typed`,
  },
  begin: {
    most: 1,
    ask: ([entry]) => ({ method: 'POST', path: '/api/v1/bakes', body: entry!.body }),
    says: (body) => `The beginning of a bake: ${called(body, 'a bread')}`,
  },
  event: {
    most: 100,
    ask: (entries) => ({
      method: 'POST',
      path: `/api/v1/bakes/${behind(entries[0]!.lane)}/events`,
      body: { events: entries.map((e) => e.body) },
    }),
    says: (body) =>
      `Something tapped in a bake: ${kindOfEvent(body as BakeEvent)?.says ?? 'of no kind'}`,
  },
  photo: {
    most: 1,
    ask([entry]) {
      const { bake, photo, step, bytes } = entry!.body as PhotoSent;
      return {
        method: 'PUT',
        path: `/api/v1/bakes/${bake}/photos/${photo}?step=${encodeURIComponent(step)}`,
        body: bytes,
      };
    },
    says: () => 'A photo of a bake',
  },
  /** As earlier versions of the program kept it (RFC 7396). */
  settings: {
    most: 50,
    ask: (entries) => ({
      method: 'PATCH',
      path: '/api/v1/household',
      body: entries.map((e) => e.body).reduce(mergePatch),
    }),
    says: (body) => `Something settled in the Pantry (${Object.keys(body ?? {}).join(', ')})`,
  },
  house: changing(
    () => '/api/v1/household',
    ({ name, ...now }: { name?: unknown }) => {
      void name;
      return `Something settled in the Pantry (${Object.keys(now).join(', ')})`;
    },
  ),
  bag: changing(
    (id) => `/api/v1/bags/${id}`,
    (now) => `Something said of ${called(now, 'a bag')}`,
  ),
  own: changing(
    (id) => `/api/v1/ingredients/${id}`,
    (now) => `Something said of ${called(now, 'an ingredient of your own')}`,
  ),
  plan: changing(planAt, () => 'Something planned for Bake day'),
  'plan-off': gone(({ id }) => planAt(id), 'A bread that is off the plan'),
  timer: written(timerAt, (row) => `A timer: ${called(row, 'without a name')}`),
  'timer-off': gone(timerAt, 'A timer that was stopped'),
  feeding: written(feedingAt, () => 'A feeding of a starter'),
  peak: written(
    (said) => `${feedingAt(said)}/peak`,
    () => 'When a starter stood highest',
  ),
  'feeding-off': gone(feedingAt, 'A feeding that was taken back'),
  device: written(
    ({ id }) => `/api/v1/devices/${id}`,
    (row) => `The name of a device: ${called(row, 'none')}`,
  ),
  practice: {
    most: 1,
    ask: ([entry]) => ({ method: 'POST', path: '/api/v1/practice', body: entry!.body }),
    says: () => 'What was said of a practice dough',
  },
} satisfies Record<string, Kind>;

export type KindName = keyof typeof kinds;
export const kindNames = Object.keys(kinds) as readonly KindName[];
/** Kinds that say something of a thing, field by field. */
export type ChangingName = 'house' | 'bag' | 'own' | 'plan';

/** The kind of an entry; undefined for one that this version does not know. */
export const kindOf = (entry: Pick<Entry, 'kind'>): Kind | undefined =>
  Object.hasOwn(kinds, entry.kind) ? kinds[entry.kind as KindName] : undefined;

export const formulaLane = (id: string): string => `formula/${id}`;
export const bakeLane = (id: string): string => `bake/${id}`;
export const photoLane = (photo: string): string => `photo/${photo}`;
export const settingsLane = 'settings';

/** A draft on its way: the newest of one sitting. */
export const draftEntry = (draft: Draft): NewEntry => ({
  kind: 'draft' satisfies KindName,
  key: `draft/${draft.id}/${draft.draft}`,
  lane: formulaLane(draft.id),
  body: draft,
});

/** The beginning of a bake on its way: before all that is tapped in it. */
export const beginEntry = (bake: BeginBake): NewEntry => ({
  kind: 'begin' satisfies KindName,
  key: `begin/${bake.id}`,
  lane: bakeLane(bake.id),
  body: bake,
});

/** An event of a bake on its way. */
export const eventEntry = (bake: string, event: BakeEvent): NewEntry => ({
  kind: 'event' satisfies KindName,
  key: `event/${bake}/${event.id}`,
  lane: bakeLane(bake),
  body: event,
});

/** A photo on its way: in a lane of its own, so that it holds up nothing that was tapped. */
export const photoEntry = (sent: PhotoSent): NewEntry => ({
  kind: 'photo' satisfies KindName,
  key: `photo/${sent.bake}/${sent.photo}`,
  lane: photoLane(sent.photo),
  body: sent,
});

/** Of the household there is one, and it has no id. */
export const theHouse = 'house';

/** A change on its way; what is said of one thing stands in one lane. */
export const changeEntry = (kind: ChangingName, changed: Changed, tap: string): NewEntry => ({
  kind,
  key: `${kind}/${changed.id}/${tap}`,
  lane: kind === 'house' ? settingsLane : `${kind}/${changed.id}`,
  body: changed,
});

/** A row on its way. A feeding comes after what is said of its starter, and a timer’s end after its beginning. */
export const rowEntry = (
  kind: 'plan-off' | 'timer' | 'timer-off' | 'feeding' | 'peak' | 'feeding-off' | 'device',
  said: RowSaid,
): NewEntry => ({
  kind,
  key: `${kind}/${said.id}`,
  lane: said.bag === undefined ? `${kind.replace('-off', '')}/${said.id}` : `bag/${said.bag}`,
  body: said,
});

/** What was called of a practice dough on its way. */
export const practiceEntry = <T extends { readonly id: string }>(body: T): NewEntry => ({
  kind: 'practice' satisfies KindName,
  key: `practice/${body.id}`,
  lane: 'practice',
  body,
});

/** The same said again of what stands there by now. */
export const insistingEntry = (entry: Entry, clashes: readonly Clash[]): NewEntry => ({
  ...entry,
  body: { ...(entry.body as Changed), change: insisting(clashes) } satisfies Changed,
});
