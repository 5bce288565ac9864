import type { Formula } from '../formula/formula.ts';
import { pantryIn, type Household } from '../household/household.ts';
import type { Belief } from '../belief/belief.ts';
import type { DeviceId } from '../machine/device.ts';
import type { Course } from '../course/course.ts';
import { bakedByMachine, breadTasks } from '../schedule/bread-tasks.ts';
import type { Bread } from '../schedule/bread.ts';
import type { Task } from '../schedule/task.ts';
import { ways } from '../schedule/ways.ts';
import type { WayId } from '../schedule/way-id.ts';
import { breadMade, wayOf } from '../bake/bread-made.ts';
import { mixedLines } from '../bake/mixed.ts';
import type { BakeEvent } from '../bake/event.ts';
import { runSteps, type RunStep } from './run-steps.ts';
import { bakeState, type BakeState, type CourseNoted } from '../bake/state.ts';

/** A bake that is being made, with where it is made. */
interface RunGiven {
  readonly id: string;
  readonly formula: Formula;
  readonly device: DeviceId;
  readonly events: readonly BakeEvent[];
  readonly household: Household;
  readonly belief: Belief;
}

/** A bake as it is led: what it is made of, how it goes, what its steps are and how they stand. */
export interface RunView {
  readonly state: BakeState;
  readonly formula: Formula;
  readonly bread: Bread;
  /** None where a machine does all of it, or no model tells. */
  readonly way?: WayId;
  readonly tasks: readonly Task[];
  readonly steps: readonly RunStep[];
}

/** A course as it was noted, with the household's machine behind it; undefined where that is gone. */
export function courseOf(
  { machine: id, programme, kind, size, crust, delay }: CourseNoted,
  { appliances }: Pick<Household, 'appliances'>,
): Course | undefined {
  const machine = appliances.find((a) => a.id === id)?.machine;
  const found = machine?.programmes.find((p) => p.id === programme);
  if (!machine || !found) return undefined;
  return {
    machine,
    programme: found,
    kind,
    size,
    crust,
    ...(delay === undefined ? {} : { delay }),
  };
}

/** How a bake goes, apart from how far it is: worked out anew only where it goes otherwise. */
interface Going extends Pick<RunView, 'formula' | 'bread' | 'way' | 'tasks'> {
  readonly key: string;
  readonly given: RunGiven;
}
const goings = new WeakMap<Formula, Going>();

/** What of a bake's events decides how it goes. */
const decides = (state: BakeState): string => {
  const { batch, instead, course, way, warmth, wished, divided, oven, weighed, added } = state;
  const went = [...weighed].map(([item, { grams }]) => [item, grams]);
  return JSON.stringify([batch, instead, course, way, warmth, wished, divided, oven, went, added]);
};

function goingOf(given: RunGiven, state: BakeState): Going {
  const { id, formula, device, household, belief } = given;
  const key = decides(state);
  const known = goings.get(formula);
  if (
    known?.key === key &&
    known.given.id === id &&
    known.given.device === device &&
    known.given.household === household &&
    known.given.belief === belief
  )
    return known;
  const course = state.course && courseOf(state.course, household);
  const lines = mixedLines(formula, state, pantryIn(household));
  const bread = breadMade(
    { id, formula, lines, state, household, device, ...(course ? { course } : {}) },
    belief,
  );
  const chosen = wayOf(state, bread);
  const found = bakedByMachine(bread)
    ? undefined
    : ([chosen, 'as-it-is'] as const)
        .map((way) => ({ way, rises: ways[way].of(bread) }))
        .find((w) => w.rises);
  const { tasks } = breadTasks(bread, found?.rises);
  const going: Going = {
    key,
    given,
    formula: bread.formula,
    bread,
    ...(found ? { way: found.way } : {}),
    tasks,
  };
  goings.set(formula, going);
  return going;
}

/**
 * A bake as it is led, from its events alone.
 *
 * @example runOf({id: 'b', formula, device: 'hand', events: [], household, belief}).steps.at(-1).id // 'taste'
 */
export function runOf(given: RunGiven): RunView {
  const state = bakeState(given.events);
  const { formula, bread, way, tasks } = goingOf(given, state);
  return {
    state,
    formula,
    bread,
    ...(way ? { way } : {}),
    tasks,
    steps: runSteps(tasks, formula, state),
  };
}
