import type { BakeEvent } from '@tender-crumb/core';
import { currentMs } from '../../clock.ts';
import { clockHeaders, tellingMs } from '../../house-clock.ts';

/** A clock that is further off than this was sent by nobody's tablet, ms: some thirty years. */
const mostMs = 1e12;

/**
 * Events of a device that never heard what time it is in the house: what its clock is behind now, it was behind then.
 * Those that say it themselves stay as they are.
 */
export function onDevice(request: Request, events: readonly BakeEvent[]): readonly BakeEvent[] {
  const there = Number(request.headers.get(clockHeaders.device) ?? NaN);
  const clock = Math.round(currentMs() - there);
  if (!(Math.abs(clock) >= tellingMs && Math.abs(clock) <= mostMs)) return events;
  return events.map((event) => (event.clock === undefined ? { ...event, clock } : event));
}
