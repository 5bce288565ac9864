import type { RunStep } from './run-steps.ts';

/** When a bread that cools is turned out and cut: ISO moments, each where there is such a one. */
export interface CooledAt {
  readonly outOfPan?: string;
  readonly cut?: string;
  /** It may be cut already. */
  readonly ready: boolean;
}

const later = (iso: string, minutes: number): string =>
  new Date(Date.parse(iso) + minutes * 60_000).toISOString();

/**
 * When a bread may leave its tin and be cut: from when it came out of the oven, else from when it is planned to. One that
 * should have come out by now comes out now.
 *
 * @param planned ISO moment of its coming out by the plan, where there is one
 * @param cooling minutes until it leaves its tin, and until it is cut; 0 where it does not, or is eaten hot
 * @param now ISO moment
 * @example cooledAt({begunAt: '2026-12-02T09:00:00.000Z'}, undefined, {outOfPan: 10, cut: 60}, '2026-12-02T09:30:00.000Z').cut // '2026-12-02T10:00:00.000Z'
 */
export function cooledAt(
  { begunAt }: Pick<RunStep, 'begunAt'>,
  planned: string | undefined,
  { outOfPan, cut }: { readonly outOfPan: number; readonly cut: number },
  now: string,
): CooledAt {
  const out = begunAt ?? (planned !== undefined && planned > now ? planned : now);
  const cutAt = later(out, cut);
  return {
    ...(outOfPan > 0 ? { outOfPan: later(out, outOfPan) } : {}),
    ...(cut > 0 ? { cut: cutAt } : {}),
    ready: cutAt <= now,
  };
}
