import type { Clash } from '../wire/merge.ts';

/** One thing on its way to the server. */
export interface Entry {
  /** What comes later under the same key takes its place. */
  readonly key: string;
  /** What must arrive in order stands in one lane. */
  readonly lane: string;
  readonly kind: string;
  readonly body: unknown;
  /** Order of arrival in this browser; given when it is kept. */
  readonly seq: number;
  /** Another one each time that something takes its place: an old answer crosses out no new text. */
  readonly rev: string;
  /** ISO 8601, by this browser's clock. */
  readonly at: string;
  /** The request that it went in, where it is not known what became of that: so it goes again. */
  readonly tried?: string;
}

/** Something before it is kept. */
export type NewEntry = Pick<Entry, 'key' | 'lane' | 'kind' | 'body'>;

/** What the server would not take, and why, in words; or what somebody else said otherwise meanwhile. */
export interface SetAside {
  readonly id: string;
  readonly entry: Entry;
  readonly why: string;
  /** What was said twice, and not alike: theirs stands. */
  readonly clashes?: readonly Clash[];
  readonly at: string;
}

const isText = (value: unknown): value is string => typeof value === 'string';

/** Whether what stands in the browser's storage is an entry of ours. */
export function isEntry(value: unknown): value is Entry {
  if (typeof value !== 'object' || value === null) return false;
  const { key, lane, kind, seq, rev, at, body } = value as Record<string, unknown>;
  return (
    [key, lane, kind, rev, at].every(isText) && Number.isSafeInteger(seq) && body !== undefined
  );
}
