import { version } from '$app/environment';
import type { PlanGiven, PlanView } from '@tender-crumb/core/view';

const keptAs = 'last-plan';

/** What a plan was worked out of, as far as somebody said it: the clock and what was learned apart. Another program reads it no more. */
const keyOf = (plans: PlanGiven['plans']): string =>
  JSON.stringify([version, ...plans.map((p) => [p.id, p.version, p.begun?.events.length ?? -1])]);

/** Keeps a plan in this browser, so that it stands at once when the page is opened again. */
export function keepPlan(plans: PlanGiven['plans'], view: PlanView): void {
  try {
    localStorage.setItem(keptAs, JSON.stringify({ key: keyOf(plans), view }));
  } catch {
    // Where nothing is kept it is worked out anew.
  }
}

/** The plan that was worked out last of the same wishes; undefined where something was said since. */
export function lastPlan(plans: PlanGiven['plans']): PlanView | undefined {
  try {
    const kept = JSON.parse(localStorage.getItem(keptAs) ?? 'null') as {
      readonly key: string;
      readonly view: PlanView;
    } | null;
    return kept?.key === keyOf(plans) ? kept.view : undefined;
  } catch {
    return undefined;
  }
}
