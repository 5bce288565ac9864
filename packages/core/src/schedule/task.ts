import { applianceKinds } from '../machine/appliance.ts';
import type { Folds, Phase } from '../process/method-in.ts';
import type { Attended, ResourceKind, StepKindId } from '../process/step-kind.ts';

/** A piece of work of one bake, with how long it may take. Whole minutes. */
export interface Task {
  /** Once in a plan. */
  readonly id: string;
  readonly bake: string;
  readonly kind: StepKindId;
  readonly label: string;
  readonly least: number;
  readonly usual: number;
  readonly most: number;
  readonly attended: Attended;
  /** Minutes of hands where it is not attended throughout. */
  readonly hands: number;
  readonly uses: readonly Use[];
  /** Spread of the logarithm of its time that the dough decides, not the clock; 0 where there is none. */
  readonly doubt: number;
  /** The sign that ends it. */
  readonly until?: string;
  /** In the recipe's words. */
  readonly says?: string;
  /** Of the oven, or of the place that it stands in. */
  readonly celsius?: number;
  /** Its parts one after another, where the recipe has several: lid on, lid off. */
  readonly parts?: readonly Phase[];
  /** Folds of a rise, where the recipe has any. */
  readonly folds?: Folds;
  /** So many sheets go in, one after the other; once where absent. */
  readonly rounds?: number;
  /** It is as long as what follows wants it: a machine that waits by its timer. */
  readonly waits?: true;
  /** It is turned round half-way. */
  readonly turns?: true;
}

/** What a task takes hold of: an oven at a temperature, a shelf of the fridge. */
export interface Use {
  readonly resource: ResourceKind;
  readonly celsius?: number;
  /** Which of several ovens. */
  readonly oven?: string;
  /** It is held without anything in it: an oven that is heated. */
  readonly empty?: boolean;
}

/** From one end of a task to an end of another, at least and at most so many minutes. */
export interface Link {
  readonly from: readonly [task: string, end: 'start' | 'end'];
  readonly to: readonly [task: string, end: 'start' | 'end'];
  readonly least: number;
  readonly most: number;
}

/** Minutes from the plan's beginning in which nobody is there, or the power is dear. */
export interface Closed {
  readonly from: number;
  readonly to: number;
  /** What cannot be had then: somebody's hands, or power for oven and machine. */
  readonly what: 'hands' | 'power';
  /** The wish that it comes of: asleep, away, power. */
  readonly wish: string;
}

/** How many breads or doughs go into each at once; how many ovens that is, and pairs of hands. */
export type Resources = Readonly<Record<ResourceKind | 'ovens' | 'people', number>> & {
  /** What each of the ovens holds, by its id; told by their number alone where absent. */
  readonly eachOven?: Readonly<Record<string, number>>;
};
export const oneKitchen: Resources = {
  oven: applianceKinds.oven.holds,
  ovens: 1,
  mixer: applianceKinds.mixer.holds,
  machine: applianceKinds.machine.holds,
  fridge: applianceKinds.fridge.holds,
  people: 1,
};

/** What is wished of a bake: on the table by then, or begun then. Minutes from the plan's beginning. */
export interface Wish {
  readonly readyBy?: number;
  readonly beginAt?: number;
}

/** What has happened already, and what the baker holds fast, by task. */
export interface Fact {
  readonly start?: number;
  readonly end?: number;
  /** It takes longer: it is not over before that. */
  readonly notBefore?: number;
}

/** A start that the baker held fast. */
export type Locks = Readonly<Record<string, number>>;
