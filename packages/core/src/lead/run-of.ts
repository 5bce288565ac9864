import type { Formula } from '../formula/formula.ts';
import { pantryIn, type Household } from '../household/household.ts';
import type { Belief } from '../belief/belief.ts';
import { checkKindOf, checkKinds } from '../hands/check-kind.ts';
import { isUnkneaded } from '../process/unkneaded.ts';
import { baseOf } from '../formula/base.ts';
import { kitchenOf } from '../belief/kitchen.ts';
import { windowIn } from '../dough/own-window.ts';
import type { CheckKindId } from '../hands/check-kind.ts';
import type { DeviceId } from '../machine/device.ts';
import type { Course } from '../course/course.ts';
import { bakedByMachine, breadTasks } from '../schedule/bread-tasks.ts';
import type { Bread } from '../schedule/bread.ts';
import type { Task } from '../schedule/task.ts';
import { ways } from '../schedule/ways.ts';
import type { WayId } from '../schedule/way-id.ts';
import { breadMade, wayOf } from '../bake/bread-made.ts';
import { mixedLines } from '../bake/mixed.ts';
import { seenIn } from '../bake/seen-in.ts';
import type { BakeEvent } from '../bake/event.ts';
import { nobodyUpAt } from '../schedule/clock.ts';
import { lookInto } from './machine-clock.ts';
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
  readonly checkKind: CheckKindId;
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
interface Going extends Pick<RunView, 'formula' | 'bread' | 'way' | 'tasks' | 'checkKind'> {
  /** Hands or a mixer knead it, and it is looked at before that is over. */
  readonly within: boolean;
  readonly key: string;
  readonly given: RunGiven;
}
const goings = new WeakMap<Formula, Going>();

/** What of a bake's events decides how it goes. */
const decides = (state: BakeState): string => {
  const { batch, instead, device, course, way, warmth, wished, divided, oven, weighed, added } =
    state;
  const seen = seenIn(state);
  const went = [...weighed].map(([item, { grams }]) => [item, grams]);
  return JSON.stringify([
    batch,
    instead,
    device,
    course,
    way,
    warmth,
    wished,
    divided,
    oven,
    went,
    added,
    seen,
  ]);
};

function goingOf(given: RunGiven, state: BakeState): Going {
  const { id, formula, household, belief } = given;
  const device = state.device ?? given.device;
  const key = decides(state);
  const known = goings.get(formula);
  if (
    known?.key === key &&
    known.given.id === id &&
    known.given.device === given.device &&
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
  const { dryness } = baseOf(bread.lines);
  const { window } = windowIn(formula.style, dryness, kitchenOf(household, belief));
  const checkKind = checkKindOf(formula.style, device, dryness > dryFrom, window);
  const going: Going = {
    key,
    checkKind,
    within: checkKinds[checkKind].within && !isUnkneaded(bread.formula),
    given,
    formula: bread.formula,
    bread,
    ...(found ? { way: found.way } : {}),
    tasks,
  };
  goings.set(formula, going);
  return going;
}

/** A machine that waits kneads while nobody is up: there is no look at the dough then. */
function isUnseen(
  { course }: Pick<Bread, 'course'>,
  { steps }: BakeState,
  household: Household,
): boolean {
  const begunAt = (steps['programme'] ?? steps['mix'])?.begunAt;
  return (
    (course?.delay ?? 0) > 0 &&
    begunAt !== undefined &&
    nobodyUpAt(lookInto(begunAt, course).from, household)
  );
}

/** A dough that stands on its dry base by more than that is looked at as one. Own choice, no source. */
const dryFrom = 0.5;

/**
 * A bake as it is led, from its events alone.
 *
 * @example runOf({id: 'b', formula, device: 'hand', events: [], household, belief}).steps.at(-1).id // 'taste'
 */
export function runOf(given: RunGiven): RunView {
  const state = bakeState(given.events);
  const { household } = given;
  const { formula, bread, way, tasks, checkKind, within } = goingOf(given, state);
  return {
    state,
    formula,
    bread,
    ...(way ? { way } : {}),
    tasks,
    checkKind,
    steps: runSteps(tasks, formula, state, { within, unseen: isUnseen(bread, state, household) }),
  };
}
