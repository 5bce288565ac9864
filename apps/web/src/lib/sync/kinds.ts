import { kindOfEvent, upgrade, type BakeEvent, type Formula } from '@tender-crumb/core';
import { merge } from 'json-merge-patch';
import type { Entry, NewEntry } from './entry.ts';

/** What is asked of the server for some entries of one kind. */
export interface Asked {
  readonly method: 'POST' | 'PUT' | 'PATCH';
  readonly path: string;
  readonly body: unknown;
}

/** One kind of thing that goes to the server: how it is sent, and what people call it. */
interface Kind {
  /** Most that go in one request, in the order in which they came. */
  readonly most: number;
  ask(entries: readonly Entry[]): Asked;
  /** What it is, for the baker. */
  says(body: unknown): string;
}

/** A formula as it stands on a bench, and what it was made from. */
export interface Draft {
  readonly id: string;
  /** The server's version that it began from. */
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

/** A draft as an earlier version of the program may have kept it. */
export function draftIn(body: unknown): Draft {
  const draft = body as Draft;
  return { ...draft, formula: upgrade(draft.formula) };
}

const behind = (lane: string): string => lane.slice(lane.indexOf('/') + 1);

const kinds = {
  draft: {
    most: 1,
    ask([entry]) {
      const { id, ...save } = entry!.body as Draft;
      return { method: 'PUT', path: `/api/v1/formulas/${id}`, body: save };
    },
    says: (body) => `“${(body as Draft).formula?.name ?? 'A formula'}” as it was typed`,
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
  settings: {
    most: 50,
    ask: (entries) => ({
      method: 'PATCH',
      path: '/api/v1/household',
      body: entries.map((e) => e.body).reduce(merge),
    }),
    says: (body) => `Something settled in the Pantry (${Object.keys(body ?? {}).join(', ')})`,
  },
} satisfies Record<string, Kind>;

export type KindName = keyof typeof kinds;

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

/** An event of a bake on its way. */
export const eventEntry = (bake: string, event: BakeEvent): NewEntry => ({
  kind: 'event' satisfies KindName,
  key: `event/${bake}/${event.id}`,
  lane: bakeLane(bake),
  body: event,
});

/** A part of the settings on its way (RFC 7396). */
export const settingsEntry = (patch: object, id: string): NewEntry => ({
  kind: 'settings' satisfies KindName,
  key: `settings/${id}`,
  lane: settingsLane,
  body: patch,
});

/** A photo on its way: in a lane of its own, so that it holds up nothing that was tapped. */
export const photoEntry = (sent: PhotoSent): NewEntry => ({
  kind: 'photo' satisfies KindName,
  key: `photo/${sent.bake}/${sent.photo}`,
  lane: photoLane(sent.photo),
  body: sent,
});
