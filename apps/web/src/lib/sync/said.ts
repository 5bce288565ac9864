import { nanoid } from 'nanoid';
import type { NewEntry } from './entry.ts';
import { outbox } from './here.ts';
import { changeEntry, rowEntry, theHouse, type ChangingName, type RowSaid } from './kinds.ts';
import { changeOf, type Change } from '../wire/merge.ts';

/** What became of saying something, in words. */
export interface Settled {
  readonly refused: boolean;
  readonly says: string;
  /** The server's own answer where it refused. */
  readonly body?: Record<string, unknown>;
  /** The server has not heard of it yet: it waits in this browser. */
  readonly waits?: true;
}

const remembered: Settled = { refused: false, says: 'Saved.' };

/** Says something: it is kept here at once, and on the server as soon as that hears of it. */
export async function said(entry: NewEntry): Promise<Settled> {
  const result = await outbox().ask(entry);
  if (result?.kind === 'delivered') return remembered;
  if (result?.kind === 'refused') return { refused: true, says: result.why, body: result.body };
  if (result?.kind === 'stale')
    return {
      refused: true,
      says: 'Someone else changed this too. Both are kept.',
      body: result.body,
    };
  return {
    refused: false,
    waits: true,
    says: 'Kept in this browser: it goes out by itself when the server is back.',
  };
}

/**
 * Says what is otherwise now of a thing of which others may say something too. Where nothing is, nothing is sent.
 *
 * @param was as this page has it; nothing for a new one
 */
export async function saidOf(
  kind: ChangingName,
  id: string,
  was: object | undefined,
  now: object,
  always = false,
): Promise<Settled> {
  const change: Change | undefined = changeOf(was ?? {}, now);
  if (!change) return remembered;
  const { name } = now as { name?: unknown };
  const called = typeof name === 'string' && kind !== 'house' ? { name } : {};
  return said(
    changeEntry(kind, { id, change, ...called, ...(always ? { always } : {}) }, nanoid()),
  );
}

/** Says something of the household itself. */
export const saidOfHouse = (was: object, now: object): Promise<Settled> =>
  saidOf('house', theHouse, was, { ...was, ...now });

/** Says a row, or that there is none any more. */
export const saidRow = (kind: Parameters<typeof rowEntry>[0], row: RowSaid): Promise<Settled> =>
  said(rowEntry(kind, row));

/**
 * As {@link said}, for whoever says a refusal in words of their own.
 *
 * @throws Error where it was refused
 */
export async function mustSay(entry: NewEntry): Promise<Settled> {
  const became = await said(entry);
  if (became.refused) throw new Error(became.says);
  return became;
}
