import {
  movedOf,
  planOf,
  type MovedOption,
  type PlanGiven,
  type PlanView,
} from '@tender-crumb/core/view';
import { expose } from 'comlink';

const planner = {
  /** Plans what is wished, beside the page. */
  plan: (given: PlanGiven, now: string): PlanView => planOf(given, now),
  moved: (given: PlanGiven, bake: string, readyBy: string, now: string): readonly MovedOption[] =>
    movedOf(given, bake, readyBy, now),
};

export type Planner = typeof planner;
expose(planner);
