import type { Fact } from '../schedule/task.ts';
import type { BakeState, RiseNoted } from './state.ts';

/** When steps were begun and done: ISO moments, by step. */
export type FactsNoted = Readonly<Record<string, { readonly [K in keyof Fact]?: string }>>;

/** When a rise was over: when it was there, or had gone past. */
const over = ({ notes }: RiseNoted): string | undefined =>
  notes.findLast((n) => n.sense === 'there' || n.sense === 'past')?.at;

/**
 * What a bake's notes say of the steps that were planned for it: its mixing from when it began to when its rise
 * did, its rises as they were noted, its shaping between them. A plan moves by them.
 *
 * @param startedAt ISO moment
 * @example planFacts('2026-11-26T09:00:00Z', state)['first-rise']?.end // '2026-11-26T11:10:00Z'
 */
export function planFacts(startedAt: string, { rises }: Pick<BakeState, 'rises'>): FactsNoted {
  const span = (start: string | undefined, end: string | undefined) => ({
    ...(start === undefined ? {} : { start }),
    ...(end === undefined ? {} : { end }),
  });
  const { first, final } = rises;
  const risen = first && over(first);
  const shaped = final?.begunAt;
  const proofed = final && over(final);
  return {
    mix: span(startedAt, first?.begunAt ?? shaped),
    programme: span(startedAt, undefined),
    ...(first?.begunAt ? { 'first-rise': span(first.begunAt, risen ?? shaped) } : {}),
    ...(risen || shaped ? { shape: span(risen ?? shaped, shaped) } : {}),
    ...(shaped ? { 'final-proof': span(shaped, proofed) } : {}),
  };
}
