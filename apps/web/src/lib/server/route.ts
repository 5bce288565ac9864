import type { RequestEvent, RequestHandler } from '@sveltejs/kit';
import { log } from './log.ts';
import { StorageFault } from './database/fault.ts';
import { Problem, problemResponse, storageProblem } from './problem.ts';

/**
 * A route of the API: what it throws as a Problem is answered as one, and so is a bad day of the data;
 * anything else is a fault of ours, logged in one line and answered without its stack.
 */
export const route =
  (handle: (event: RequestEvent) => Promise<Response>): RequestHandler =>
  async (event) => {
    try {
      return await handle(event);
    } catch (fault) {
      if (fault instanceof Problem) return problemResponse(fault);
      if (fault instanceof StorageFault) {
        log.error({ route: event.route.id, fault: fault.trouble }, 'the data did not answer');
        return problemResponse(storageProblem(fault));
      }
      log.error({ route: event.route.id, fault: (fault as Error).message }, 'a route failed');
      return problemResponse(new Problem(500, 'Something went wrong here; nothing was stored'));
    }
  };
