import { stepKinds, type StepKindId } from '../process/step-kind.ts';

/** How a step of a run goes on by taps. */
export interface RunStepKind {
  readonly label: string;
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
): RunStepKind => ({ label: stepKinds[id].label, begins, doneSays, ...more });

/**
 * One row a step that the run leads: those of a plan, with mixing parted into weighing and the look at the
 * dough, and the tasting at its end.
 */
export const runStepKinds = {
  refresh: own('refresh', 'tap', 'It has risen', { beginSays: 'It is fed' }),
  feed: own('feed', 'doing', 'It is fed'),
  preferment: own('preferment', 'doing', 'It is stirred'),
  ripen: own('ripen', 'itself', 'It is ripe'),
  soak: own('soak', 'tap', 'It has soaked', { beginSays: 'It soaks' }),
  autolyse: own('autolyse', 'tap', 'It has rested', { beginSays: 'It rests' }),
  weigh: { label: 'Weigh and load', begins: 'doing', doneSays: 'All in' },
  mix: own('mix', 'tap', 'It is kneaded', { beginSays: 'It kneads' }),
  check: { label: 'Dough check', begins: 'doing', doneSays: 'It stays as it is' },
  freeze: own('freeze', 'tap', 'It is out of the freezer', { beginSays: 'It is in the freezer' }),
  thaw: own('thaw', 'itself', 'It is thawed'),
  'first-rise': own('first-rise', 'itself', 'It has risen', { beginSays: 'It rises from now' }),
  chill: own('chill', 'itself', 'It is firm'),
  shape: own('shape', 'doing', 'Shaped'),
  'final-proof': own('final-proof', 'itself', 'It is ready for the oven', {
    beginSays: 'It rises from now',
  }),
  heat: own('heat', 'tap', 'It is hot', { beginSays: 'The oven heats', beside: true }),
  bake: own('bake', 'tap', 'It is done', { beginSays: 'It is in' }),
  programme: own('programme', 'tap', 'The loaf is out of the pan', { beginSays: 'It runs' }),
  cool: own('cool', 'itself', 'It is cool'),
  taste: { label: 'How it came out', begins: 'doing', doneSays: 'Write it in the book' },
} as const satisfies Record<string, RunStepKind>;

export type RunStepKindId = keyof typeof runStepKinds;
