import { parseNumber } from '@tender-crumb/core';
import { ApiError } from '../api.ts';

/** What is wrong, by field; what is wrong with the whole under `''`. */
export type Faults = Readonly<Record<string, string>>;

/** The faults of a refusal, each at its field. */
export function faultsOf(refusal: unknown): Faults {
  if (!(refusal instanceof ApiError))
    return { '': 'The server cannot be reached; nothing typed is lost.' };
  const errors = refusal.body['errors'] as
    ReadonlyArray<{ where: string; what: string }> | undefined;
  if (!errors?.length) return { '': refusal.message };
  return Object.fromEntries(errors.map((e) => [e.where.split('.')[1] ?? '', e.what]));
}

/** A number as typed; undefined where nothing is, NaN where it is no number. */
export function numberIn(text: string): number | undefined {
  const bare = text.trim();
  if (bare === '') return undefined;
  const negative = /^[-−]/.test(bare);
  const value = parseNumber(bare.replace(/^[-−]\s*/, '')) ?? NaN;
  return negative ? -value : value;
}
