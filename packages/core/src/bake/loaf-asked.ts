import type { BakeState } from './state.ts';

/** A loaf is asked about once it has cooled and may have been cut, hours after it left the oven. Common practice, no source. */
const fromHours = 3;
/** After so long it is eaten, and what is said of it is guessed, days. Own choice. */
const forDays = 4;
const hour = 3_600_000;

/** Steps after which a loaf is baked. */
const baked = /^(?:bake|programme)\b/;

/**
 * When a loaf was baked of which nobody has said how it came out, while it is still worth asking.
 *
 * @param now ISO moment
 * @returns ISO moment; undefined where there is nothing to ask
 * @example loafAsked({steps: {bake: {doneAt: '2026-11-26T17:00:00Z'}}, …}, '2026-11-27T08:00:00Z') // '2026-11-26T17:00:00Z'
 */
export function loafAsked(
  { steps, outcome, abandonedAt, finishedAt }: BakeState,
  now: string,
): string | undefined {
  if (abandonedAt !== undefined || outcome?.stars !== undefined) return undefined;
  const done = Object.entries(steps)
    .flatMap(([id, { doneAt }]) => (baked.test(id) && doneAt !== undefined ? [doneAt] : []))
    .sort()
    .at(-1);
  const at = done ?? finishedAt;
  if (at === undefined) return undefined;
  const hours = (Date.parse(now) - Date.parse(at)) / hour;
  return hours >= fromHours && hours <= 24 * forDays ? at : undefined;
}
