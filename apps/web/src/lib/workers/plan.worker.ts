import { expose } from 'comlink';
import { planned, type NoTimedPlan, type Question, type TimedPlan } from '../plan/planned.ts';

const planner = {
  /** Plans what was asked for, beside the page. */
  plan: (question: Question): TimedPlan | NoTimedPlan => planned(question),
};

export type Planner = typeof planner;
expose(planner);
