import { styles, type StyleId } from '../style/style.ts';

/** A state of dough: a stretch of the level, in the words a baker has for it. */
export interface DoughState {
  readonly id: string;
  /** One word, for the scale. */
  readonly short: string;
  /** After “it felt”, where that one word does not go there. */
  readonly felt?: string;
  /** Ends here, in points; the next state begins. */
  readonly below: number;
  readonly says: string;
}

export const states: readonly DoughState[] = [
  { id: 'dry', short: 'dry', below: -10, says: 'dry and crumbly: it cracks, and a machine knocks' },
  { id: 'tight', short: 'tight', below: -4, says: 'tight: it holds together and pushes back' },
  { id: 'firm and smooth', short: 'firm', below: 0, says: 'firm and smooth' },
  { id: 'tacky ball', short: 'tacky', below: 4, says: 'a tacky ball that lets go of a finger' },
  { id: 'soft', short: 'soft', below: 8, says: 'soft: it sticks, then lets go' },
  { id: 'slack', short: 'slack', below: 14, says: 'slack: wet hands or a basket' },
  {
    id: 'batter',
    short: 'batter',
    felt: 'like batter',
    below: Infinity,
    says: 'so wet that it pools like batter',
  },
];

/** The state where nothing can be told. */
export const unknownState: DoughState = {
  id: 'cannot tell',
  short: 'cannot tell',
  below: Infinity,
  says: 'cannot tell',
};

/**
 * The state of a dough at a level, in the words of its style where those of a ball would be untrue.
 *
 * @param points of the level; 0 is the reference ball
 * @example stateAt(1).id // 'tacky ball'
 */
export function stateAt(points: number, style?: StyleId): DoughState {
  const state = states.find((s) => points < s.below) ?? states[states.length - 1]!;
  const says = style && styles[style].words[state.id];
  return says ? { ...state, says } : state;
}
