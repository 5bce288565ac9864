import type { WeighingItem } from '../hands/weighing-list.ts';
import type { BakeState } from '../bake/state.ts';
import { foldsAt } from '../process/parts-at.ts';
import { stepNow, type RunStep } from './run-steps.ts';

/** Something that should have been done before a step, with what to do now. */
export interface Gate {
  readonly id: 'cold-oven' | 'oven-heats' | 'add-ins' | 'leaven' | 'fold';
  readonly says: string;
}

interface GateFacts {
  readonly step: RunStep;
  readonly steps: readonly RunStep[];
  readonly state: Pick<BakeState, 'weighed' | 'steps'>;
  /** What is weighed into the dough itself, in one list. */
  readonly items: readonly WeighingItem[];
  /** Minutes that its oven takes to be hot. */
  readonly heating: number;
  /** ISO moment. */
  readonly now: string;
}

const minute = 60_000;
const isOver = ({ standing }: RunStep): boolean => standing === 'done' || standing === 'skipped';

/** Some of it was weighed by the scale: what was not may be missing. Whoever weighs on paper is not asked. */
const weighsHere = ({ state, items }: GateFacts): boolean =>
  items.some((i) => state.weighed.has(i.id));
/** "All in" was tapped: it says of each thing that it is. */
const allIn = ({ state }: GateFacts): boolean => state.steps['weigh']?.doneAt !== undefined;

const notIn = (facts: GateFacts, role: WeighingItem['role']): readonly WeighingItem[] =>
  facts.items.filter((i) => i.role === role && i.grams > 0 && !facts.state.weighed.has(i.id));

/** When a fold was due and may still be done, minutes. Own choice, no source. */
const foldFor = 15;

/** One row a gate; each says nothing where all is well. */
const gates: ReadonlyArray<(facts: GateFacts) => Gate | undefined> = [
  ({ step, steps, heating, now }) => {
    const heat = steps.find((s) => s.kind === 'heat');
    // The dough is ready: what is far ahead is no matter yet.
    if (step.kind !== 'bake' || step.standing !== 'ahead' || stepNow(steps)?.id !== step.id)
      return undefined;
    if (!heat || isOver(heat)) return undefined;
    if (heat.begunAt === undefined)
      return {
        id: 'cold-oven',
        says: 'The oven is not on yet. Heat it now; keep the dough cool and covered.',
      };
    const left = Math.ceil(
      (Date.parse(heat.begunAt) + heating * minute - Date.parse(now)) / minute,
    );
    return left > 0
      ? {
          id: 'oven-heats',
          says: `The oven is not hot yet: about ${left} ${left === 1 ? 'minute' : 'minutes'} more. Keep the dough cool and covered.`,
        }
      : undefined;
  },
  (facts) => {
    const { step } = facts;
    const open = notIn(facts, 'addIn');
    if (
      !['first-rise', 'shape'].includes(step.kind) ||
      isOver(step) ||
      open.length === 0 ||
      !(weighsHere(facts) || allIn(facts))
    )
      return undefined;
    return {
      id: 'add-ins',
      says: `Not in yet: ${open.map((i) => i.name).join(', ')}. Flatten the dough, scatter them over, fold in.`,
    };
  },
  (facts) => {
    const { step } = facts;
    const open = notIn(facts, 'leaven');
    if (
      !['mix', 'check', 'first-rise'].includes(step.kind) ||
      isOver(step) ||
      open.length === 0 ||
      !weighsHere(facts) ||
      allIn(facts)
    )
      return undefined;
    return {
      id: 'leaven',
      says: `${open.map((i) => i.name).join(', ')}: not weighed in yet. Stir it into a spoon of water and knead it in now.`,
    };
  },
  ({ step, now }) => {
    if (!step.folds || !step.begunAt || isOver(step)) return undefined;
    const due = foldsAt(step.folds, step.begunAt, now).findLast((f) => f.due);
    return due && Date.parse(now) - Date.parse(due.at) < foldFor * minute
      ? { id: 'fold', says: 'Fold it now: wet hands, each side up and over.' }
      : undefined;
  },
];

/**
 * What stands in the way of a step, or is due in it, with what to do: the oven is cold, raisins or yeast are not in, a
 * fold is due.
 *
 * @example gatesAt({step: bake, steps, state, items, heating: 30, now})[0]?.id // 'cold-oven'
 */
export const gatesAt = (facts: GateFacts): Gate[] => gates.flatMap((gate) => gate(facts) ?? []);
