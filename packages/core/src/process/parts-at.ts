import type { Folds, Phase } from './method-in.ts';

/** A part of a step by the clock. */
export interface PartAt extends Phase {
  /** When it ends, as an ISO moment; absent where its time is not known, or where the step has not begun. */
  readonly until?: string;
  readonly standing: 'over' | 'now' | 'ahead';
}

const minute = 60_000;
const usualOf = ({ minutes, mostMinutes }: Phase): number | undefined =>
  minutes === undefined ? undefined : (minutes + (mostMinutes ?? minutes)) / 2;

/**
 * The parts of a step, by the clock from its beginning: each ends when its minutes are over, by the pace of this oven.
 *
 * @param pace times the recipe's minutes
 * @example partsAt([{minutes: 20, says: ''}, {minutes: 20, says: ''}], begun, half an hour later)[1].standing // 'now'
 */
export function partsAt(
  parts: readonly Phase[],
  begunAt: string | undefined,
  now: string,
  pace = 1,
): PartAt[] {
  let at = begunAt === undefined ? undefined : Date.parse(begunAt);
  let open = begunAt !== undefined;
  return parts.map((part): PartAt => {
    const minutes = usualOf(part);
    const from = at;
    at = at === undefined || minutes === undefined ? undefined : at + minutes * pace * minute;
    const until = at === undefined ? {} : { until: new Date(at).toISOString() };
    if (from === undefined || !open) return { ...part, ...until, standing: 'ahead' };
    if (at !== undefined && at <= Date.parse(now)) return { ...part, ...until, standing: 'over' };
    open = false;
    return { ...part, ...until, standing: 'now' };
  });
}

/** A fold by the clock. */
export interface FoldAt {
  readonly at: string;
  readonly due: boolean;
}

/**
 * When a dough is folded, from the beginning of its rise.
 *
 * @example foldsAt({times: 4, every: 30, says: ''}, begun, half an hour later)[0].due // true
 */
export const foldsAt = ({ times, every }: Folds, begunAt: string, now: string): FoldAt[] =>
  Array.from({ length: times }, (_, i) => {
    const at = new Date(Date.parse(begunAt) + (i + 1) * every * minute).toISOString();
    return { at, due: at <= now };
  });
