import { stepKinds, type StepKindId } from '../process/step-kind.ts';

/** How a step of a run goes on by taps. */
export interface RunStepKind {
  readonly label: string;
  /** One of its words, for a line on which all steps stand. */
  readonly short: string;
  /** How it begins: with the one before it, by a tap, or as the thing that is done. */
  readonly begins: 'itself' | 'tap' | 'doing';
  /** What the tap says that begins it. */
  readonly beginSays?: string;
  /** What the tap says that ends it. */
  readonly doneSays: string;
  /** It runs beside what stands before it: an oven is heated while a dough proofs. */
  readonly beside?: true;
}

const own = (
  id: StepKindId,
  begins: RunStepKind['begins'],
  doneSays: string,
  more: Pick<RunStepKind, 'beginSays' | 'beside'> = {},
): RunStepKind => {
  const { label, short } = stepKinds[id];
  return { label, short, begins, doneSays, ...more };
};

/**
 * One row a step that the run leads: those of a plan, with mixing parted into weighing and the look at the
 * dough, and the tasting at its end.
 */
export const runStepKinds = {
  refresh: own('refresh', 'tap', 'It has risen', { beginSays: 'Fed' }),
  feed: own('feed', 'doing', 'Fed'),
  preferment: own('preferment', 'doing', 'Stirred'),
  ripen: own('ripen', 'itself', 'It is ripe'),
  soak: own('soak', 'tap', 'Soaked', { beginSays: 'Soaking' }),
  autolyse: own('autolyse', 'tap', 'Rested', { beginSays: 'Resting' }),
  weigh: { label: 'Weigh the ingredients', short: 'Weigh', begins: 'doing', doneSays: 'All in' },
  mix: own('mix', 'tap', 'Kneaded', { beginSays: 'Start kneading' }),
  check: {
    label: 'Dough check',
    short: 'Check',
    begins: 'doing',
    doneSays: 'Looks right, carry on',
  },
  freeze: own('freeze', 'tap', 'Out of the freezer', { beginSays: 'In the freezer' }),
  thaw: own('thaw', 'itself', 'Thawed'),
  'first-rise': own('first-rise', 'itself', 'It has risen', { beginSays: 'Start the rise' }),
  chill: own('chill', 'itself', 'Firm'),
  shape: own('shape', 'doing', 'Shaped'),
  'final-proof': own('final-proof', 'itself', 'Ready for the oven', {
    beginSays: 'Start the proof',
  }),
  heat: own('heat', 'tap', 'The oven is hot', { beginSays: 'The oven is on', beside: true }),
  bake: own('bake', 'tap', 'Done baking', { beginSays: 'In the oven' }),
  programme: own('programme', 'tap', 'The loaf is out', { beginSays: 'Machine started' }),
  cool: own('cool', 'itself', 'It has cooled'),
  taste: { label: 'Result', short: 'Result', begins: 'doing', doneSays: 'Save the bake' },
} as const satisfies Record<string, RunStepKind>;

export type RunStepKindId = keyof typeof runStepKinds;
