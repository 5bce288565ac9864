import { planOf, type PlanGiven, type PlanView } from '@tender-crumb/core/view';
import { expose } from 'comlink';

const planner = {
  /** Plans what is wished, beside the page. */
  plan: (given: PlanGiven, now: string): PlanView => planOf(given, now),
};

export type Planner = typeof planner;
expose(planner);
