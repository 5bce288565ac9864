import { parseNumber } from '@tender-crumb/core/quantity';
import type { Settled } from '../sync/said.ts';

/** What is wrong, by field; what is wrong with the whole under `''`. */
export type Faults = Readonly<Record<string, string>>;

/** The faults of a refusal, each at its field; none where it was not refused. */
export function faultsOf({ refused, says, body = {} }: Settled): Faults {
  if (!refused) return {};
  const errors = body['errors'] as ReadonlyArray<{ where: string; what: string }> | undefined;
  if (!errors?.length) return { '': says };
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
