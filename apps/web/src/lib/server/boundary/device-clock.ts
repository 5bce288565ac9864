import type { BakeEvent } from '@tender-crumb/core/bake';
import { currentMs } from '../../clock.ts';
import { clockHeaders, tellingMs } from '../../house-clock.ts';
import { Problem } from '../problem.ts';

/** A clock that is further off than this was sent by nobody's tablet, ms: some thirty years. */
const mostMs = 1e12;

/** Nothing is tapped later than this after now by the house's clock: a plan may be, a tap not. Own choice, no source. */
const mostAheadDays = 31;

const fromFuture = (moment: string, add = 0): boolean =>
  Date.parse(moment) + add > currentMs() + mostAheadDays * 86_400_000;

function refuse(where: readonly string[]): void {
  if (where.length === 0) return;
  throw new Problem(
    400,
    'A time that has not come yet',
    where.map((at) => ({
      where: at,
      what: `is more than ${mostAheadDays} days ahead of the house’s clock; what is the time where it was tapped?`,
    })),
  );
}

/** By how much a device that says what time it is there is behind the house, ms; undefined where that tells nothing. */
function behind(request: Request): number | undefined {
  const there = Number(request.headers.get(clockHeaders.device) ?? NaN);
  const clock = Math.round(currentMs() - there);
  return Math.abs(clock) >= tellingMs && Math.abs(clock) <= mostMs ? clock : undefined;
}

/**
 * Events of a device that never heard what time it is in the house: what its clock is behind now, it was behind then.
 * Those that say it themselves stay as they are.
 *
 * @throws Problem where one is of a time that has not come
 */
export function onDevice(request: Request, events: readonly BakeEvent[]): readonly BakeEvent[] {
  const clock = behind(request);
  const heard =
    clock === undefined
      ? events
      : events.map((event) => (event.clock === undefined ? { ...event, clock } : event));
  refuse(heard.flatMap((e, i) => (fromFuture(e.at, e.clock) ? [`body.events[${i}].at`] : [])));
  return heard;
}

/**
 * When a bake began: by the house, or, of a device that never heard it, by a clock that may be years ahead.
 *
 * @throws Problem where that has not come
 */
export function begunAt(request: Request, startedAt: string): string {
  const clock = behind(request);
  if (clock !== undefined && fromFuture(startedAt) && !fromFuture(startedAt, clock))
    return new Date(Date.parse(startedAt) + clock).toISOString();
  refuse(fromFuture(startedAt) ? ['body.startedAt'] : []);
  return startedAt;
}
