import type { Poke } from '../bake/event-kinds.ts';
import type { riseOf } from './run-steps.ts';

type RiseId = (typeof riseOf)[keyof typeof riseOf];

/** What a finger's dent says, by the rise that it is poked in: after the first one a dough is shaped, not baked. Handbook section 12. */
const says: Readonly<Record<RiseId, Readonly<Record<Poke, string>>>> = {
  first: {
    'at-once': 'Not yet: look again in 15 minutes.',
    slowly: 'Ready: shape it.',
    stays: 'Shape it now: it has over-proofed a little. The final proof will be shorter.',
  },
  final: {
    'at-once': 'Not yet: look again in 15 minutes.',
    slowly: 'Ready: into the oven.',
    stays: 'Bake it now: it has over-proofed a little.',
  },
};

/**
 * What to do with a dough that was poked.
 *
 * @example pokeSays('first', 'slowly') // 'Ready: shape it.'
 */
export const pokeSays = (rise: RiseId, poke: Poke): string => says[rise][poke];
